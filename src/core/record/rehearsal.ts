import type { Identification } from "../identify/identification";
import { identified } from "./identified";

/** Readings of one made-up motor; a motor is told in about so many. */
const MOST_READINGS = 14;
/** Code is compiled for good once it has run often; a third time wins nothing that is felt. */
const TIMES = 2;
/** From so many leads on motors are mostly of separate windings. */
const SEPARATE_FROM = 9;
/** Ohms of a winding of its own, and of one tap to the next. */
const WINDING_OHMS = 1.2;
const TAP_OHMS = 1.7;

/** Ohms between two leads of a made-up motor, by place in the sheet, a < b; null where they read open. */
type MadeUp = (a: number, b: number, leads: number) => number | null;

/** Windings on two leads each. */
const separate: MadeUp = (a, b, leads) => (b - a === Math.floor(leads / 2) ? WINDING_OHMS : null);

/** The first lead is the joint, the last the end of the start winding, the others taps of the main. */
const joined: MadeUp = (a, b, leads) => {
  const along = (lead: number) => (lead === 0 ? 0 : 6 + TAP_OHMS * lead);
  return Number((b === leads - 1 ? 24 + along(a) : along(b) - along(a)).toFixed(1));
};

/** The part of a sheet that a rehearsal reads and writes; the rest stays as it came. */
interface Rehearsed {
  readonly leads: readonly { readonly id: string }[];
  readonly readings?: readonly object[];
  readonly frame?: readonly object[];
}

/**
 * Gets ready for a sheet's first real reading, a reading a step: a made-up motor of as many leads, of the kind that is
 * usual with so many, is identified to its end, and once more. The first identification in a worker costs twenty times a
 * later one, for nothing is compiled and no build of the catalogue drawn up; this has it paid while nobody waits. The second
 * time takes a third of the first and has more of it compiled for good; a motor of another kind would take as long as both.
 * What it finds is thrown away.
 *
 * @param question a sheet with nothing read, as text, as {@link identified} takes it; empty where there is none.
 */
export function* rehearsal(question: string): Generator<void> {
  if (question === "") return;
  const blank = JSON.parse(question) as Rehearsed;
  const motor = blank.leads.length >= SEPARATE_FROM ? separate : joined;
  for (let time = 0; time < TIMES; time++) {
    let sheet = blank;
    for (let reading = 0; reading < MOST_READINGS; reading++) {
      const probe = identified(JSON.stringify(sheet))?.nextProbe;
      yield;
      if (!probe) break;
      sheet = withReading(sheet, probe, motor);
    }
  }
}

function withReading(
  sheet: Rehearsed,
  probe: NonNullable<Identification["nextProbe"]>,
  motor: MadeUp,
): Rehearsed {
  if (probe.kind === "frame")
    return { ...sheet, frame: [...(sheet.frame ?? []), { lead: probe.lead, open: true }] };
  const place = (id: string) => sheet.leads.findIndex((lead) => lead.id === id);
  const [a, b] = probe.between.map(place).sort((x, y) => x - y) as [number, number];
  const ohms = motor(a, b, sheet.leads.length);
  const reading = { between: probe.between, ...(ohms === null ? { open: true } : { ohms }) };
  return { ...sheet, readings: [...(sheet.readings ?? []), reading] };
}
