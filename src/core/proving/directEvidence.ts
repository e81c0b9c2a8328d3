import type { Belief } from "./belief";
import { ampsIn, carriesLine } from "./callRun";
import type { Group } from "./oneCause";
import type { ProvingCase } from "./provingCase";
import { type Reading, readingKey } from "./reading";
import type { Sight } from "./sight";
import { AS_PLANNED } from "./suspects";

/**
 * What looks at a cause itself and was not read: other figures only hint at it. Volts are read before the supply is blamed,
 * microfarads before a capacitor; speed, volts and amps before what is turned, which a weak rotor or low volts look like.
 * Empty for a cause that nothing there shows by itself.
 */
export function unreadEvidence(
  made: ProvingCase,
  sight: Sight,
  { standing }: Belief,
  { cause, at }: Pick<Group, "cause" | "at">,
): readonly Reading[] {
  const calls = standing.figures.flatMap(({ reading }) => ("call" in reading ? [reading.call] : []));
  const call = calls[0] ?? standing.told[0]?.call ?? made.calls[0]?.state.id;
  if (call === undefined) return [];
  const read = new Set(standing.figures.map(({ reading }) => readingKey(reading)));
  const kinds = new Set(standing.figures.map(({ reading }) => reading.what));
  const unread = (readings: readonly Reading[]) => readings.filter((one) => !read.has(readingKey(one)));
  // Volts under any call are the supply's, and any speed and amps tell the load.
  const anyUnread = (readings: readonly Reading[]) => readings.filter(({ what }) => !kinds.has(what));
  const { terminals } = made.plan.compartment.supply;
  const pairs = terminals.flatMap((one, i) => terminals.slice(i + 1).map((other) => [one, other] as const));
  const volts = (between: readonly [string, string]): Reading => ({ what: "supply-volts", call, between });
  const supply = pairs.slice(0, 1).map(volts);
  switch (cause) {
    case "supply-low":
    case "supply-high":
      return anyUnread(supply);
    case "phase-lost":
    case "volts-unbalanced":
      return unread(pairs.filter((pair) => at.some((line) => pair.includes(line))).map(volts));
    case "capacitor-weak":
    case "capacitor-wrong":
      return unread(at.map((place): Reading => ({ what: "capacitor-microfarads", at: place })));
    case "load-heavy":
    case "load-light":
    case "drag":
    case "rotor-bars":
      return anyUnread([{ what: "rpm", call }, ...supply, ...lineAmps(made, sight, call)]);
    default:
      return [];
  }
}

/** The amps that tell most of the load: of a lead that carries the line's, or else of that which carries most. */
function lineAmps(made: ProvingCase, sight: Sight, call: string): Reading[] {
  const run = sight.run(AS_PLANNED, call);
  if (!run) return [];
  const amps = (lead: string) => ampsIn(run, run.point.solution, lead) ?? 0;
  const leads = made.motor.leads.map(({ id }) => id).sort((a, b) => amps(b) - amps(a));
  const lead = leads.find((id) => carriesLine(made.plan, run, id)) ?? leads[0];
  return lead === undefined ? [] : [{ what: "line-amps", call, lead }];
}
