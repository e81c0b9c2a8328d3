import type { HandedIn, PracticeWish } from "@/core/practice";

/** A practice motor being worked on: kept in this browser until it is handed in, so that a reload loses nothing. */
export interface PracticeWork {
  readonly id: string;
  readonly seed: number;
  readonly wish: PracticeWish;
  readonly readings: HandedIn["readings"];
  readonly frame: HandedIn["frame"];
  readonly naming: HandedIn["naming"];
}

const WORK_KEY = "odd-lead:practice";
const PERSON_KEY = "odd-lead:practice-person";

/** What was being worked on when the page was last open; null when nothing, or nothing that can be read. */
export function rememberedWork(): PracticeWork | null {
  try {
    const kept = localStorage.getItem(WORK_KEY);
    return kept ? (JSON.parse(kept) as PracticeWork) : null;
  } catch {
    return null;
  }
}

/** Keeps the work; null forgets it. A browser that keeps nothing only loses it on a reload. */
export function rememberWork(work: PracticeWork | null): void {
  try {
    if (work) localStorage.setItem(WORK_KEY, JSON.stringify(work));
    else localStorage.removeItem(WORK_KEY);
  } catch {
    return;
  }
}

/** Who practised last in this browser. */
export function rememberedPerson(): string {
  try {
    return localStorage.getItem(PERSON_KEY) ?? "";
  } catch {
    return "";
  }
}

/** Keeps who practises. */
export function rememberPerson(person: string): void {
  try {
    localStorage.setItem(PERSON_KEY, person);
  } catch {
    return;
  }
}
