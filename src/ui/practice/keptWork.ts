/** Work that is kept in this browser until it is handed in, so that a reload loses nothing. */
export interface KeptWork<Work> {
  /** What was being worked on when the page was last open; null when nothing, or nothing that can be read. */
  readonly remembered: () => Work | null;
  /** Keeps the work; null forgets it. A browser that keeps nothing only loses it on a reload. */
  readonly remember: (work: Work | null) => void;
}

/** @param read what was kept, if it is such work still: null for what an older version left. */
export function keptWork<Work>(key: string, read: (kept: unknown) => Work | null): KeptWork<Work> {
  return {
    remembered: () => {
      try {
        return read(JSON.parse(localStorage.getItem(key) ?? "null"));
      } catch {
        return null;
      }
    },
    remember: (work) => {
      try {
        if (work) localStorage.setItem(key, JSON.stringify(work));
        else localStorage.removeItem(key);
      } catch {
        return;
      }
    },
  };
}

const PERSON_KEY = "odd-lead:practice-person";

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
