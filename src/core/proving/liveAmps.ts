import { ampsIn, carriesLine, LIVE_SHARE } from "./callRun";
import type { ProvingCase } from "./provingCase";
import type { Reading } from "./reading";
import type { Sight } from "./sight";
import { AS_PLANNED } from "./suspects";

/** Amps of what carries any, those first that tell most of the load: of leads that carry the line's, then of what carries most. */
export function lineAmps(made: ProvingCase, sight: Sight, call: string): Reading[] {
  const run = sight.run(AS_PLANNED, call);
  if (!run) return [];
  const amps = (lead: string) => ampsIn(run, run.point.solution, lead) ?? 0;
  const ofLine = (lead: string) => Number(carriesLine(made.plan, run, lead));
  return made.motor.leads
    .map(({ id }) => id)
    .filter((lead) => amps(lead) > LIVE_SHARE * made.fitted.rating.amps)
    .sort((a, b) => ofLine(b) - ofLine(a) || amps(b) - amps(a))
    .map((lead): Reading => ({ what: "line-amps", call, lead }));
}

/** Amps of leads that carry at power and none once it runs: what the start gear has cut out. */
export function startAmps(made: ProvingCase, sight: Sight, call: string): Reading[] {
  const run = sight.run(AS_PLANNED, call);
  if (!run) return [];
  const least = LIVE_SHARE * made.fitted.rating.amps;
  return made.motor.leads
    .map(({ id }) => id)
    .filter((lead) => (ampsIn(run, run.rest, lead) ?? 0) > least)
    .filter((lead) => (ampsIn(run, run.point.solution, lead) ?? 0) <= least)
    .map((lead): Reading => ({ what: "line-amps", call, lead }));
}
