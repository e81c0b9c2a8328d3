import { describe, expect, it } from "vitest";
import { sheetOfPlan } from "../bench/ledProof";
import { seededRandom } from "../bench/random";
import { goodPlans } from "../bench/wiringAttack";
import { COMPARTMENTS } from "../wiring/equipment";
import { type Belief, type Believed, beliefOf } from "./belief";
import type { Cause } from "./causes";
import { isUntold } from "./directEvidence";
import { evidenceOf } from "./evidence";
import { powerOf } from "./nextCheck";
import type { CauseGroup } from "./oneCause";
import { provingCase } from "./provingCase";
import { provingSheet } from "./provingSheet";
import { sightOf } from "./sight";
import type { Suspect } from "./suspect";
import { suspectsKept } from "./suspects";

const compartment = COMPARTMENTS.find(({ id }) => id === "bench-cord");
if (!compartment) throw new Error("no bench cord");
const random = seededRandom(4);
const [attacked] = goodPlans(random, compartment, "dual-voltage-single-phase", 8);
if (!attacked) throw new Error("no plan");
const opened = provingCase(provingSheet.parse(sheetOfPlan(attacked, random)));
if (!opened.ok) throw new Error(JSON.stringify(opened.faults));
const made = opened.case;
const sight = sightOf(made);
const call = made.calls[0]?.state.id ?? "";

/** Two suspects and no more, one at 0.985 and one at a hundredth, after a start that was seen. */
function beside(likeliest: Suspect, other: Suspect) {
  const before = beliefOf(made, sight, [{ what: "starts", call, how: "itself" }]);
  const { posterior } = before.believed[0] as Believed;
  const [first, second] = [
    { suspect: likeliest, probability: 0.985, posterior },
    { suspect: other, probability: 0.01, posterior },
  ];
  const belief: Belief = { ...before, believed: [first, second] };
  const group: CauseGroup = { ...likeliest, members: [first], same: [], probability: 0.985 };
  return { belief, group };
}
const suspect = (cause: Cause): Suspect => {
  const found = suspectsKept(made).find((one) => one.cause === cause);
  if (!found) throw new Error(cause);
  return found;
};

describe("what shows the likeliest cause itself", () => {
  it("no motor is condemned by a clamp that may be put on wrong, once a stop forbids the other end", () => {
    const powerOff = (other: Cause) => {
      const { belief, group } = beside(suspect("shorted-turns"), suspect(other));
      const canBe = () => false;
      return evidenceOf({ made, sight, belief, odd: true, canBe }, group).stands;
    };
    expect(powerOff("clamp-turns")).toBe("cannot-tell");
    expect(powerOff("load-heavy")).toBe("out-of-reach");
  });

  it("both ends of a winding are clamped before its turns are said to be shorted", () => {
    const { belief, group } = beside(suspect("shorted-turns"), suspect("load-heavy"));
    const { unread, stands } = evidenceOf({ made, sight, belief, odd: true, canBe: () => true }, group);
    const ends = (group.at[0] ?? "").split("–");
    const own = made.motor.leads.filter(({ junction }) => ends.includes(junction)).map(({ id }) => id);
    expect(stands).toBe("to-be-read");
    expect(own.length).toBeGreaterThan(1);
    expect(unread.flatMap((one) => (one.what === "line-amps" ? [one.lead] : []))).toEqual(
      expect.arrayContaining(own),
    );
    expect(unread.some((one) => powerOf(one) === "off")).toBe(true);
  });

  it("wires that no ohms tell are not blamed for a hum while the shaft may be stuck", () => {
    const group = (one: Suspect): CauseGroup => ({ ...one, members: [], same: [], probability: 0.985 });
    const untold = suspectsKept(made).find(
      (one) =>
        one.cause === "leads-exchanged" &&
        isUntold(made, sight, { ...group(one), members: beside(one, one).group.members }),
    );
    if (!untold) throw new Error("ohms tell every exchange here");
    const stands = (other: Cause) => {
      const { belief, group: likeliest } = beside(untold, suspect(other));
      return evidenceOf({ made, sight, belief, odd: true, canBe: () => false }, likeliest).stands;
    };
    expect(stands("shaft-stuck")).toBe("cannot-tell");
    expect(stands("load-heavy")).toBe("out-of-reach");
  });
});
