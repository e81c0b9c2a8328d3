import { formatRotation } from "../quantity/rotation";
import { type Believed, foreseen } from "./belief";
import { ampsIn } from "./callRun";
import type { Expectation } from "./diagnosis";
import type { ProvingCase } from "./provingCase";
import { type Reading, unweighed } from "./reading";
import { turnAsPlanned } from "./seen";
import type { Sight } from "./sight";
import { AS_PLANNED } from "./suspects";

/** Share of true figures that an expected interval is to hold, and its half width in standard deviations. */
export const EXPECTED_RATE = 0.95;
const SIGMAS = 1.96;
/** Seconds for a sound start: what hangs on the shaft is not known, so the band is wide. */
const START_SECONDS = { low: 0.2, likely: 0.7, high: 3 } as const;

/**
 * What each call is to show if all is as planned. Before power the intervals come from what plate, ohms, load and supply
 * leave open; what is read narrows them, because all figures hang on the same few unknowns.
 */
export function expectedOf(
  made: ProvingCase,
  sight: Sight,
  sound: Pick<Believed, "suspect" | "posterior">,
): Expectation[] {
  const serving = made.capacitors.filter(({ serves }) => serves);
  return made.calls.flatMap((call): Expectation[] => {
    const id = call.state.id;
    const run = sight.run(AS_PLANNED, id);
    const band = (reading: Reading) => bandOf(made, sight, sound, reading);
    const live = made.motor.leads.filter(
      ({ id: lead }) =>
        run !== null && (ampsIn(run, run.point.solution, lead) ?? 0) > 0.01 * made.fitted.rating.amps,
    );
    const turn = turnAsPlanned(made, call, run);
    const started = run !== null && run.point.open.length > 0;
    return [
      ...live.flatMap(({ id: lead }): Expectation[] => {
        const amps = band({ what: "line-amps", call: id, lead });
        return amps ? [{ what: "line-amps", call: id, lead, ...amps }] : [];
      }),
      ...serving.flatMap(({ at, start }): Expectation[] => {
        // What starts the motor and is out again shows nothing at work.
        if (start && started) return [];
        return (["capacitor-volts", "capacitor-amps"] as const).flatMap((what): Expectation[] => {
          const figure = band({ what, call: id, at });
          return figure ? [{ what, call: id, at, ...figure }] : [];
        });
      }),
      ...[band({ what: "rpm", call: id })].flatMap((rpm): Expectation[] =>
        rpm ? [{ what: "rpm", call: id, ...rpm }] : [],
      ),
      ...(turn ? [{ what: "turn" as const, call: id, turn, says: formatRotation(turn) }] : []),
      { what: "start-seconds", call: id, ...START_SECONDS },
    ];
  });
}

/** The interval of a figure as planned. */
export function bandOf(
  made: ProvingCase,
  sight: Sight,
  sound: Pick<Believed, "suspect" | "posterior">,
  reading: Reading,
): { low: number; likely: number; high: number } | null {
  const curve = foreseen(sight, sound, reading);
  if (!curve) return null;
  const at = (sigmas: number) =>
    unweighed(reading.what, curve.mean + sigmas * Math.sqrt(curve.variance), made.fitted.rating);
  return { low: at(-SIGMAS), likely: at(0), high: at(SIGMAS) };
}
