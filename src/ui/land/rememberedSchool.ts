/** The school of the run capacitor that was last chosen in this browser: the shop's habit, offered first on the next job. */
const KEY = "odd-lead:school";

/** Null while none was chosen, or where the browser keeps nothing. */
export function rememberedSchool(): string | null {
  try {
    return localStorage.getItem(KEY);
  } catch {
    return null;
  }
}

/** Keeps the plan's id; a browser that keeps nothing only offers the first plan again. */
export function rememberSchool(plan: string): void {
  try {
    localStorage.setItem(KEY, plan);
  } catch {
    return;
  }
}
