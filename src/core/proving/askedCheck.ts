import type { Belief } from "./belief";
import type { NextCheck } from "./diagnosis";
import type { NameOf } from "./judging";
import { type Check, powerOf, type WeighedCheck } from "./nextCheck";
import { PRESSURE_WORDS } from "./observation";
import type { ProvingCase } from "./provingCase";

/** Less than this a check tells nothing, nats. */
export const TELLS_LEAST = 0.0012;
/** The same where little is wanting until all is good. */
export const TELLS_LEAST_NEAR_GOOD = 0.0002;

/** The check to make next: the bump first, then what tells most for its effort, then what no proof goes without. */
export function chosenCheck(
  made: ProvingCase,
  belief: Belief,
  checks: readonly WeighedCheck[],
  missing: readonly Check[],
  least = TELLS_LEAST,
): Check | null {
  const { figures, told } = belief.standing;
  const powered = told.length > 0 || figures.some(({ reading }) => powerOf(reading) === "on");
  const [first] = made.calls;
  if (!powered && first) return { what: "starts", call: first.state.id };
  return checks.find(({ tells }) => tells > least)?.check ?? missing[0] ?? null;
}

/** A check with why it is asked for, and whether it needs power. */
export function asked(made: ProvingCase, check: Check | null, nameOf: NameOf): NextCheck | null {
  if (!check) return null;
  const call = (id: string) => made.calls.find(({ state }) => state.id === id)?.state.name ?? id;
  return { ...check, because: becauseOf(check, call, nameOf), power: powerOf(check) } as NextCheck;
}

function becauseOf(check: Check, call: (id: string) => string, nameOf: NameOf): string {
  switch (check.what) {
    case "starts":
      return `Bump it for one second on ${call(check.call)}, cover on, clamp on: does it start by itself?`;
    case "turn":
      return `Which way does it turn on ${call(check.call)}, seen from a named end?`;
    case "line-amps":
      return `Amps on ${nameOf(check.lead)}, ${call(check.call)}: they tell most of what is still open.`;
    case "start-amps":
      return `Peak amps on ${nameOf(check.lead)} and seconds until they fall, ${call(check.call)}.`;
    case "supply-volts":
      return `Volts ${check.between.join(" to ")} under load, ${call(check.call)}.`;
    case "capacitor-amps":
      return `Amps into the capacitor (${nameOf(check.at)}), the clamp on its own lead, never on C.`;
    case "capacitor-volts":
      return `Volts across the capacitor (${nameOf(check.at)}), probes clipped on with the power off.`;
    case "rpm":
      return `Speed on ${call(check.call)}, by tachometer.`;
    case "ohms":
      return `Power off, proved dead: ohms ${nameOf(check.between[0])} to ${nameOf(check.between[1])}.`;
    case "insulation":
      return `Something tripped: insulation test, ${nameOf(check.lead)} to the shell, before any reset.`;
    case "pressure":
      return `Pressure ${PRESSURE_WORDS[check.at]}, ${call(check.call)}: a pump that runs dry, or backward, shows it.`;
    case "capacitor-microfarads":
      return `Power off, discharged: microfarads of the capacitor (${nameOf(check.at)}), one lead off.`;
  }
}
