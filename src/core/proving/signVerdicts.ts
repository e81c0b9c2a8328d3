import type { Weight } from "../quantity/weight";
import type { ProvingLine } from "./diagnosis";
import type { ProvingObservation } from "./observation";

/** What a line is told, before its place is known. */
export type Verdict = Pick<ProvingLine, "verdict" | "says">;

/** A verdict in words. */
export function is(verdict: Weight, says: string): Verdict {
  return { verdict, says };
}

/** What eye, nose and hand tell, each by itself. */
export const SIGN_VERDICTS: Readonly<Record<Extract<ProvingObservation, { what: "sign" }>["sign"], Verdict>> =
  {
    smoke: is("stop", "Smoke: off at once, whatever else is open."),
    smell: is("stop", "A burnt smell: off at once, whatever else is open."),
    breaker: is("stop", "The breaker tripped: insulation test before any reset; never reset twice."),
    "ground-fault": is(
      "stop",
      "The ground-fault device tripped: insulation test before any reset; never reset twice.",
    ),
    protector: is(
      "again",
      "Its protector opened: amps, ambient and the setting of the overload; it may start again by itself.",
    ),
    "too-hot": is("again", "Too hot to hold: amps, vents, ambient. Off before a hand goes near."),
    warm: is("good", "Warm is as it should be."),
    growl: is("again", "A growl: bars, bearings, or unlike volts."),
    rub: is("again", "Something rubs: off and locked, turn the shaft by hand."),
    click: is("good", "A click on coasting down: the start switch falls back."),
    hunting: is(
      "again",
      "Still looking for its way after 30 s: power, signal, common, module, in this order.",
    ),
    "silent-module": is("again", "Silent: power, signal, common, module, in this order."),
  };

/** How it takes a call, by itself. */
export const START_VERDICTS: Readonly<
  Record<Extract<ProvingObservation, { what: "starts" }>["how"], Verdict>
> = {
  itself: is("good", "It starts by itself."),
  hums: is(
    "again",
    "It hums and stands: off within five seconds; the shaft is not helped by hand, a blade bites.",
  ),
  "stops-again": is("again", "It starts and stops again: a protector, or a contact that does not hold."),
  "not-at-all": is("again", "Nothing happens: the line, the return, or a contact does not reach it."),
};
