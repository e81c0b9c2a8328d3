import type { Family } from "../family";
import { toldFactor } from "./told";

/**
 * Rectifier and electronics between leads and winding: what is read between the leads says nothing of the winding, so
 * there is no network to place leads on. It is known by what is told or by readings that no winding gives.
 */
export const electronic: Family = {
  id: "electronic",
  title: "electronics between the leads and the winding",
  commonness: 0.2,
  variants: () => [],
  likelihoodOfAbout: (about) => toldFactor(about, {}, 1),
  plateTells: () => ({ phase: 1 }),
  roleWords: () => "lead of the electronics",
  feeding: null,
  reverseBy: "a setting in the module, a jumper, or by itself on the first start",
  beyondOhms: [
    "Supply and signal at the module's plug, measured live by a licensed person with the meter on volts: power there and a call there, and no turn, condemns the module or the motor.",
    "Module taken off its motor, dead and waited out: the three pins of the winding read alike in pairs, a few ohms, and open to the shell. Then the winding is sound and the module is not.",
  ],
};
