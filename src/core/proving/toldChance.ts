import type { CallRun } from "./callRun";
import type { ProvingCase } from "./provingCase";
import { signChance, startChances, TURN_SURE, turnsOver, turnUnder } from "./seen";
import type { Sight } from "./sight";
import type { Discrete, Standing } from "./standing";
import type { Suspect } from "./suspect";

/** What an unlisted cause gives anything that is told. */
export const ANY_TOLD: Readonly<Record<Discrete["kind"], number>> = {
  starts: 0.25,
  turn: 0.5,
  sign: 0.1,
  insulation: 0.3,
  delivers: 0.5,
};

/** What was told, under a suspect, as a logarithm. */
export function toldLog(made: ProvingCase, sight: Sight, suspect: Suspect, { told }: Standing): number {
  return told.reduce((sum, one) => sum + Math.log(toldChance(made, sight, suspect, one)), 0);
}

function toldChance(made: ProvingCase, sight: Sight, suspect: Suspect, one: Discrete): number {
  const call = made.calls.find(({ state }) => state.id === (one.call ?? made.calls[0]?.state.id));
  const run: CallRun | null = call ? sight.run(suspect, call.state.id, one.air) : null;
  switch (one.kind) {
    case "starts":
      return run ? startChances(made, run)[one.how] : ANY_TOLD.starts;
    case "turn": {
      if (!call || !run) return ANY_TOLD.turn;
      if (run.point.outcome === "stalls") return STANDS_YET_TURNS;
      const way = turnUnder(made, call, sight, suspect, one.air);
      if (way === null) return ANY_TOLD.turn;
      return way === one.way ? TURN_SURE : 1 - TURN_SURE;
    }
    case "sign":
      return signChance(made, run, suspect, one.sign);
    case "insulation":
      return INSULATION[suspect.cause === "shorted-turns" ? "burnt" : "whole"][one.weight];
    case "delivers": {
      const over = call ? turnsOver(call, sight, suspect, one.air) : null;
      if (over === null) return ANY_TOLD.delivers;
      return over === (one.more === "changed") ? TURN_SURE : 1 - TURN_SURE;
    }
  }
}

/** A turn was seen of what should stand. */
const STANDS_YET_TURNS = 0.01;

/** A fault of the insulation is no cause of the list: what is on it leaves a winding whole, but for turns that burnt. */
const INSULATION = {
  whole: { good: 0.97, again: 0.025, stop: 0.005 },
  burnt: { good: 0.75, again: 0.1, stop: 0.15 },
} as const;
