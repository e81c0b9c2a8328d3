import type { Identification } from "../../src/core/identify/identification";
import { identify } from "../../src/core/identify/identify";
import type { ReadingSheetInput } from "../../src/core/identify/sheet";

/** Helpers of the identification tests: sheets as a technician jots them, answers as he would read them back. */

export type Reading = NonNullable<ReadingSheetInput["readings"]>[number];

export const METER = { percent: 1, counts: 2, resolutionOhms: 0.1, probeOhms: 0 };

/** A sheet from rows of "a b ohms"; OL for open. Every lead was tested to the shell and is clear of it. */
export function table(rows: string, more: Partial<ReadingSheetInput> = {}): ReadingSheetInput {
  const readings = rows
    .trim()
    .split("\n")
    .map((row): Reading => {
      const [a = "", b = "", value = ""] = row.trim().split(/\s+/);
      return value === "OL" ? { between: [a, b], open: true } : { between: [a, b], ohms: Number(value) };
    });
  const ids = [...new Set(readings.flatMap((r) => r.between))].sort();
  const frame = ids.map((lead) => ({ lead, open: true as const }));
  return { format: "odd-lead/reading-sheet@1", leads: ids.map((id) => ({ id })), readings, frame, ...more };
}

/** The identification of a sheet that must hold together. */
export function answer(sheet: unknown): Identification {
  const result = identify(sheet);
  if (!result.ok) throw new Error(JSON.stringify(result.faults));
  return result;
}

/** Roles by lead, in one word each: "speed 2", "half 1". */
export function rolesOf(id: Identification): Record<string, string> {
  return Object.fromEntries(
    Object.entries(id.roles).map(([lead, role]) => [
      lead,
      [role.role, role.rank ?? role.group].filter(Boolean).join(" "),
    ]),
  );
}
