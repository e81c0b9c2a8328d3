import type { Belief } from "./belief";
import { isBelowOpening } from "./contactsAtSpeed";
import { isUntold, mayBe, unreadEvidence } from "./directEvidence";
import type { Check } from "./nextCheck";
import type { CauseGroup } from "./oneCause";
import type { ProvingCase } from "./provingCase";
import type { Reading } from "./reading";
import type { Sight } from "./sight";
import { FOUND } from "./statusLimits";

/** How it stands with what shows the likeliest cause itself. */
export interface CauseEvidence {
  /** What can still be read of it there. */
  readonly unread: readonly Reading[];
  readonly stands: "read" | "to-be-read" | "out-of-reach" | "cannot-tell";
}

interface Asked {
  readonly made: ProvingCase;
  readonly sight: Sight;
  readonly belief: Belief;
  /** Whether some figure is unlike the plan's. */
  readonly odd: boolean;
  /** What may be asked for now, with the instruments there. */
  readonly canBe: (check: Check) => boolean;
}

/** What shows the likeliest cause itself, once it is likely enough to be named. */
export function evidenceOf(
  { made, sight, belief, odd, canBe }: Asked,
  likeliest: CauseGroup | undefined,
): CauseEvidence {
  if (!likeliest) return { unread: [], stands: "read" };
  const direct = likeliest.probability >= FOUND ? unreadEvidence(made, sight, belief, likeliest, odd) : [];
  const unread = direct.filter(canBe);
  // What keeps a motor slow keeps its start contact in as well.
  const rightlyIn =
    likeliest.cause === "start-contact-stays-closed" && isBelowOpening(made, belief.standing.figures);
  const untold = isUntold(made, sight, likeliest);
  // Wires changed over that no ohms tell hum like a stuck shaft, and a hand on the dead shaft has the last word.
  if (rightlyIn || (untold && mayBe(belief, "shaft-stuck"))) return { unread, stands: "cannot-tell" };
  // No motor is condemned by a clamp that may be put on wrong, where the other end of its winding may not be read any more.
  const condemned = likeliest.cause === "shorted-turns" && direct.some(({ what }) => what === "line-amps");
  if (condemned && unread.length === 0 && mayBe(belief, "clamp-turns"))
    return { unread, stands: "cannot-tell" };
  if (unread.length > 0) return { unread, stands: "to-be-read" };
  return { unread, stands: direct.length > 0 || untold ? "out-of-reach" : "read" };
}
