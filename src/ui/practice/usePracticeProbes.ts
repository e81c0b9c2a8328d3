import { useCallback, useEffect, useState } from "react";
import type { ProbePlaces } from "./usePracticeMeter";

/** Keys of the leads, in the order of the bench. */
export const LEAD_KEYS = "abcdefghijkl";

/** The two probes: a touch puts the free one on, or the older where none is free, and lifts one that is there. */
export function usePracticeProbes() {
  const [places, setPlaces] = useState<ProbePlaces & { readonly older: "first" | "second" }>({
    first: null,
    second: null,
    older: "first",
  });

  const touch = useCallback((place: string) => {
    setPlaces((now) => {
      if (now.first === place) return { ...now, first: null, older: "first" };
      if (now.second === place) return { ...now, second: null, older: "second" };
      const probe = now.first === null ? "first" : now.second === null ? "second" : now.older;
      const other = probe === "first" ? "second" : "first";
      return { ...now, [probe]: place, older: other };
    });
  }, []);

  const on = (place: string): 1 | 2 | null =>
    places.first === place ? 1 : places.second === place ? 2 : null;
  return { places, touch, on };
}

/** The bench by keys: a letter for each lead, s for the shell, Enter to note. None of them while a field is typed into. */
export function useBenchKeys(
  leads: readonly { readonly id: string }[],
  touch: (place: string) => void,
  note: () => void,
): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const { target } = event;
      const busy =
        target instanceof HTMLElement &&
        ["INPUT", "SELECT", "TEXTAREA", "BUTTON", "A"].includes(target.tagName);
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const lead = leads[LEAD_KEYS.indexOf(event.key.toLowerCase())];
      if (
        busy &&
        (event.key === "Enter" || target instanceof HTMLInputElement || target instanceof HTMLSelectElement)
      )
        return;
      if (lead && event.key.length === 1) touch(lead.id);
      else if (event.key.toLowerCase() === "s") touch("shell");
      else if (event.key === "Enter") note();
      else return;
      event.preventDefault();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [leads, touch, note]);
}
