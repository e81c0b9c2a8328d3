import type { Ohmmeter } from "../bench/ohmmeter";
import type { VirtualMotor } from "../bench/randomMotor";
import type { Identification } from "../identify/identification";
import { identify } from "../identify/identify";
import type { ReadingSheetInput } from "../identify/sheet";
import type { Meter } from "../ohms/readingError";

type Reading = NonNullable<ReadingSheetInput["readings"]>[number];
type ShellReading = NonNullable<ReadingSheetInput["frame"]>[number];

/** What became of a motor that was led from an empty sheet to the end. */
export interface Course {
  readonly answer: Identification;
  readonly readings: readonly Reading[];
  readonly frame: readonly ShellReading[];
  /** Time of each call by the clock handed in. */
  readonly callMs: readonly number[];
}

/** What a motor is led with. */
export interface Leading {
  readonly read: Ohmmeter;
  readonly meter: Meter;
  readonly about?: ReadingSheetInput["about"];
  /** What the probing is to find out; everything when left out. */
  readonly ask?: ReadingSheetInput["ask"];
  readonly shellOhms?: (lead: string) => number | null;
  /** Milliseconds now; stands still when left out. */
  readonly clock?: () => number;
}

/** No motor needs so many readings; a course that does is cut off. */
const MOST_READINGS = 90;

/**
 * Leads a motor from an empty sheet: what is asked is read, until nothing more is.
 *
 * @throws Error where the sheet so made is refused, which is a fault of ours.
 */
export function led({ leads }: Pick<VirtualMotor, "leads">, leading: Leading): Course {
  const { read, meter, about = {}, ask, shellOhms = () => null, clock = () => 0 } = leading;
  const readings: Reading[] = [];
  const frame: ShellReading[] = [];
  const callMs: number[] = [];
  for (;;) {
    const begun = clock();
    const answer = identify({
      format: "odd-lead/reading-sheet@1",
      leads: [...leads],
      meter,
      readings,
      frame,
      about,
      ask,
    } satisfies ReadingSheetInput);
    callMs.push(clock() - begun);
    if (!answer.ok) throw new Error(JSON.stringify(answer.faults));
    const probe = answer.status === "needs-probe" ? answer.nextProbe : null;
    if (!probe || readings.length >= MOST_READINGS) return { answer, readings, frame, callMs };
    if (probe.kind === "frame") {
      const ohms = shellOhms(probe.lead);
      frame.push(ohms === null ? { lead: probe.lead, open: true } : { lead: probe.lead, ohms });
    } else {
      const shown = read(...probe.between);
      readings.push(
        "open" in shown ? { between: probe.between, open: true } : { between: probe.between, ...shown },
      );
    }
  }
}
