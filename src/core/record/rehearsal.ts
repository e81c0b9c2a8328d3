import type { Identification } from "../identify/identification";
import { identified } from "./identified";

/** Readings of a rehearsal; a motor is told in about so many. */
const MOST_READINGS = 14;
/** From so many leads on the made-up motor is of separate windings, under it of one with a start winding. */
const SEPARATE_FROM = 9;
/** Ohms of a winding of its own, and of one tap to the next. */
const WINDING_OHMS = 1.2;
const TAP_OHMS = 1.7;

/** The part of a sheet that a rehearsal reads and writes; the rest stays as it came. */
interface Rehearsed {
  readonly leads: readonly { readonly id: string }[];
  readonly readings?: readonly object[];
  readonly frame?: readonly object[];
}

/**
 * Gets ready for a sheet's first real reading, a reading a step: a made-up motor of as many leads is identified to its
 * end. The first identification in a worker costs twenty times a later one, for nothing is compiled and no build of the
 * catalogue drawn up; this has it paid while nobody waits. What it finds is thrown away.
 *
 * @param question a sheet with nothing read, as text, as {@link identified} takes it; empty where there is none.
 */
export function* rehearsal(question: string): Generator<void> {
  if (question === "") return;
  let sheet = JSON.parse(question) as Rehearsed;
  for (let reading = 0; reading < MOST_READINGS; reading++) {
    const probe = identified(JSON.stringify(sheet))?.nextProbe;
    yield;
    if (!probe) return;
    sheet = withReading(sheet, probe);
  }
}

function withReading(sheet: Rehearsed, probe: NonNullable<Identification["nextProbe"]>): Rehearsed {
  if (probe.kind === "frame")
    return { ...sheet, frame: [...(sheet.frame ?? []), { lead: probe.lead, open: true }] };
  const place = (id: string) => sheet.leads.findIndex((lead) => lead.id === id);
  const [a, b] = probe.between.map(place).sort((x, y) => x - y) as [number, number];
  const ohms = madeUpOhms(a, b, sheet.leads.length);
  const reading = { between: probe.between, ...(ohms === null ? { open: true } : { ohms }) };
  return { ...sheet, readings: [...(sheet.readings ?? []), reading] };
}

/** Ohms between two leads of the made-up motor, by place in the sheet, a < b; null where they read open. */
function madeUpOhms(a: number, b: number, leads: number): number | null {
  if (leads >= SEPARATE_FROM) return b - a === Math.floor(leads / 2) ? WINDING_OHMS : null;
  // The first lead is the joint, the last the end of the start winding, the others taps of the main.
  const along = (lead: number) => 6 + TAP_OHMS * lead;
  if (b === leads - 1) return Number((24 + (a === 0 ? 0 : along(a))).toFixed(1));
  return Number((a === 0 ? along(b) : along(b) - along(a)).toFixed(1));
}
