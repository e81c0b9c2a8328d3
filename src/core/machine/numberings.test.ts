import { describe, expect, it } from "vitest";
import { builtMotor } from "../bench/builtMotor";
import { seededRandom } from "../bench/random";
import { nearNumberings, numberings, renumbered } from "./numberings";
import { type WoundMotor, woundMotor } from "./woundMotor";

/** A motor's leads with nothing on them. */
function unmarked(family: string, leads: number, seed = 11): WoundMotor {
  const { known, leads: marked } = builtMotor(
    seededRandom(seed),
    family,
    leads,
    family.startsWith("three") ? 460 : 230,
  );
  const motor = woundMotor(
    known,
    marked.map(({ id }) => ({ id })),
  );
  if (!motor) throw new Error(family);
  return motor;
}

const KINDS = [
  ["dual-voltage-single-phase", 6],
  ["three-phase-6", 6],
  ["three-phase-9-wye", 9],
  ["three-phase-9-delta", 9],
  ["three-phase-12", 12],
] as const;

describe("the ways to number leads that nothing has numbered", () => {
  it.each([
    ["two mains, the second either way; the start winding too", "dual-voltage-single-phase", 6, 2 * 2],
    ["three coils: two orders of the others, their ends either way", "three-phase-6", 6, 2 * 2 ** 2],
    ["six coils: orders of five, ends of five", "three-phase-12", 12, 120 * 2 ** 5],
    [
      "three coils beside a star: orders of two, ends of three, places of the star",
      "three-phase-9-wye",
      9,
      96,
    ],
  ] as const)("%s", (_, family, leads, count) => {
    const ways = numberings(unmarked(family, leads));
    expect(ways).toHaveLength(count);
    expect(new Set(ways.map((way) => JSON.stringify([...way].sort()))).size).toBe(count);
  });

  it.each(KINDS)(
    "%s: each numbering gives every lead a slot, no slot twice but at one junction",
    (family, leads) => {
      const motor = unmarked(family, leads);
      const ways = numberings(motor);
      expect(ways.length).toBeGreaterThan(1);
      for (const way of ways.slice(0, 200)) {
        const slots = motor.leads.map(({ id, slot }) => way.get(id) ?? slot);
        expect([...slots].sort()).toEqual(motor.leads.map(({ slot }) => slot).sort());
      }
    },
  );

  it.each(KINDS)("%s: a near numbering is one of them, and another one than the present", (family, leads) => {
    const motor = unmarked(family, leads);
    const near = nearNumberings(motor);
    expect(near.length).toBeGreaterThan(0);
    const now = motor.leads.map(({ slot }) => slot);
    for (const way of near) {
      const slots = motor.leads.map(({ id, slot }) => way.get(id) ?? slot);
      expect(slots).not.toEqual(now);
      expect([...slots].sort()).toEqual([...now].sort());
    }
  });

  it.each(KINDS)("%s: renumbered, the coils hang where they hung", (family, leads) => {
    const motor = unmarked(family, leads);
    const hangs = (of: WoundMotor) =>
      of.coils.map(({ from, to, ohms }) => `${[from, to].sort().join(" ")} ${ohms.toPrecision(9)}`).sort();
    for (const way of nearNumberings(motor)) expect(hangs(renumbered(motor, way))).toEqual(hangs(motor));
  });

  it("a motor with its numbers on leaves nothing open", () => {
    const { motor } = builtMotor(seededRandom(3), "three-phase-12", 12, 460);
    expect(motor.openSets).toEqual([]);
    expect(nearNumberings(motor)).toEqual([]);
  });
});
