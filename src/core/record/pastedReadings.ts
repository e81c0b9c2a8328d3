import type { Fault } from "../quantity/fault";
import { type OhmsShown, parseOhms } from "../quantity/ohms";

/** One reading out of a pasted text. `between` are lead ids; the second is null for the shell. */
export interface PastedReading {
  readonly between: readonly [string, string | null];
  readonly typed: string;
  readonly shown: OhmsShown;
}

/** What a pasted text holds: readings in its order, and every line or cell that could not be read. */
export interface PastedReadings {
  readonly readings: readonly PastedReading[];
  /** Paths are ["line", n] or ["line", n, "column", m], counted from 1. */
  readonly faults: readonly Fault[];
}

/** Longer texts are no table of twelve leads. */
const MOST_LINES = 400;
const SHELL = /^(shell|frame|gnd|ground|case)$/i;

/**
 * Reads a table of readings as it comes out of a spreadsheet, a CSV or a note: either a row for each pair ("WH, BK,
 * 12.4", "WH BK OL", a heading row allowed), or a square table with the leads along the top and down the side. Cells
 * are parted by tabs, semicolons, commas or, failing these, spaces. Empty cells and dashes of the square table's other
 * half are passed over.
 *
 * @param names what each lead may be called, by id: its letters, its words, its mark. Case does not matter.
 */
export function parsePastedReadings(
  text: string,
  names: ReadonlyMap<string, readonly string[]>,
): PastedReadings {
  const lines = text
    .replace(/^\uFEFF/, "")
    .split(/\r\n|\n|\r/)
    .map((line, i) => ({ number: i + 1, cells: cellsOf(line) }))
    .filter(({ cells }) => cells.some((cell) => cell !== ""));
  if (lines.length === 0)
    return { readings: [], faults: [fault("empty", [], "There is nothing to read in what was pasted.")] };
  if (lines.length > MOST_LINES) {
    const says = `${lines.length} lines were pasted; a table of readings has ${MOST_LINES} at the most.`;
    return { readings: [], faults: [fault("too-long", [], says)] };
  }
  const leads = lookup(names);
  return isSquare(lines, leads) ? readSquare(lines, leads) : readRows(lines, leads);
}

interface Line {
  readonly number: number;
  readonly cells: readonly string[];
}

/** Lead ids by every name in lower case; null for the shell. */
type Leads = (cell: string) => string | null | undefined;

function lookup(names: ReadonlyMap<string, readonly string[]>): Leads {
  const byName = new Map<string, string>();
  for (const [id, all] of names) for (const name of all) byName.set(name.toLowerCase(), id);
  return (cell) => (SHELL.test(cell) ? null : byName.get(cell.toLowerCase()));
}

function cellsOf(line: string): string[] {
  const separator = line.includes("\t") ? "\t" : line.includes(";") ? ";" : line.includes(",") ? "," : /\s+/;
  // Leading tabs and commas are empty cells; leading spaces are nothing.
  return (typeof separator === "string" ? line : line.trim()).split(separator).map((cell) =>
    cell
      .trim()
      .replace(/^"(.*)"$/, "$1")
      .trim(),
  );
}

/** A square table: the first line names leads, from its second cell on, and the next lines begin with one each. */
function isSquare(lines: readonly Line[], leads: Leads): boolean {
  const [head, first] = lines;
  if (!head || !first) return false;
  const along = head.cells.slice(1).filter((cell) => cell !== "");
  const named = head.cells[0] === "" || leads(head.cells[0] ?? "") === undefined;
  return named && along.length > 0 && along.every((cell) => leads(cell) !== undefined);
}

function readSquare(lines: readonly Line[], leads: Leads): PastedReadings {
  const [head, ...rows] = lines as [Line, ...Line[]];
  const readings: PastedReading[] = [];
  const faults: Fault[] = [];
  for (const { number, cells } of rows) {
    const down = leads(cells[0] ?? "");
    if (down === undefined) {
      faults.push(fault("unknown-lead", ["line", number], `“${cells[0]}” is no lead of this motor.`));
      continue;
    }
    cells.slice(1).forEach((cell, i) => {
      const along = leads(head.cells[i + 1] ?? "");
      if (cell === "" || /^[-–—x]$/i.test(cell) || along === undefined || along === down) return;
      add(readings, faults, [down, along], cell, ["line", number, "column", i + 2]);
    });
  }
  return { readings, faults };
}

function readRows(lines: readonly Line[], leads: Leads): PastedReadings {
  const readings: PastedReading[] = [];
  const faults: Fault[] = [];
  lines.forEach(({ number, cells }, row) => {
    const [a = "", b = "", ...rest] = cells;
    const value = rest.join(" ").trim();
    const [one, other] = [leads(a), leads(b)];
    if (one === undefined || other === undefined) {
      const heading = row === 0 && !/\d/.test(value);
      const bad = one === undefined ? a : b;
      if (!heading)
        faults.push(fault("unknown-lead", ["line", number], `“${bad}” is no lead of this motor.`));
      return;
    }
    add(readings, faults, [one, other], value, ["line", number]);
  });
  return { readings, faults };
}

function add(
  readings: PastedReading[],
  faults: Fault[],
  [one, other]: readonly [string | null, string | null],
  value: string,
  path: readonly (string | number)[],
): void {
  const [lead, second] = one === null ? [other, one] : [one, other];
  if (lead === null || lead === second) {
    faults.push(fault("same-lead", path, "A lead is read against itself."));
    return;
  }
  const parsed = parseOhms(value);
  if (parsed.ok) readings.push({ between: [lead, second], typed: parsed.typed, shown: parsed.shown });
  else faults.push(fault("not-ohms", path, parsed.faults[0]?.says ?? "That is not a reading."));
}

function fault(code: string, path: readonly (string | number)[], says: string): Fault {
  return { code, path: [...path], says };
}
