import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { fan3, splitPhase, twoSpeed } from "../../../tests/material/motors";
import { builtMotor } from "../bench/builtMotor";
import { seededRandom } from "../bench/random";
import { nearNumberings, numberings, renumbered } from "./numberings";
import { type Kick, polarity } from "./polarity";
import { type WoundMotor, woundMotor } from "./woundMotor";

/** What a needle does, reckoned another way: flux linkage by axes as vectors, coil by coil from end to end. */
function needle(truth: WoundMotor, { battery, meter }: Pick<Kick, "battery" | "meter">): number {
  const vector = ([plus, minus]: readonly [string, string]) => {
    const at = (lead: string) => truth.leads.find(({ id }) => id === lead)?.junction ?? "";
    // Ampere-turns of a unit current from plus to minus; windings here are trees, so Kirchhoff leaves one way.
    const reach = new Map<string, readonly [number, number]>([[at(plus), [0, 0]]]);
    for (let i = 0; i < truth.coils.length; i++)
      for (const { from, to, seat } of truth.coils) {
        const [x, y] = [
          Math.cos((seat.axisDegrees * Math.PI) / 180),
          Math.sin((seat.axisDegrees * Math.PI) / 180),
        ];
        const [a, b] = [reach.get(from), reach.get(to)];
        if (a && !b) reach.set(to, [a[0] + x, a[1] + y]);
        if (b && !a) reach.set(from, [b[0] - x, b[1] - y]);
      }
    return reach.get(at(minus)) ?? [0, 0];
  };
  const [[ax, ay], [bx, by]] = [vector(battery), vector(meter)];
  return ax * bx + ay * by;
}

const KINDS = [
  ["dual-voltage-single-phase", 4, 230],
  ["dual-voltage-single-phase", 6, 230],
  ["three-phase-6", 6, 460],
  ["three-phase-9-wye", 9, 460],
  ["three-phase-9-delta", 9, 460],
] as const;

/** A motor as it truly is, and as it stands without its marks. */
function pairOf(family: string, leads: number, volts: number, seed: number) {
  const { motor: truth, known, leads: marked } = builtMotor(seededRandom(seed), family, leads, volts);
  const bare = woundMotor(
    known,
    marked.map(({ id }) => ({ id })),
  );
  if (!bare) throw new Error(family);
  return { truth, bare };
}

/** Kicks as they are asked for, each answered by the true motor. */
function led(bare: WoundMotor, truth: WoundMotor): { kicks: Kick[]; result: ReturnType<typeof polarity> } {
  const kicks: Kick[] = [];
  for (let i = 0; i < 20; i++) {
    const result = polarity(bare, kicks);
    if (result.kind !== "open") return { kicks, result };
    const { battery, meter } = result.next;
    const value = needle(truth, { battery, meter });
    const ends = (junction: string) => bare.leads.find((lead) => lead.junction === junction)?.id ?? "";
    const apart = (id: string) => !battery.includes(id);
    const most = Math.max(
      ...bare.coils
        .map(({ from, to }) => [ends(from), ends(to)] as const)
        .filter(([one, other]) => one && other && (apart(one) || apart(other)))
        .map((pair) => Math.abs(needle(truth, { battery, meter: pair }))),
    );
    kicks.push({
      battery,
      meter,
      shows: Math.abs(value) < 0.3 ? "still" : value > 0 ? "up" : "down",
      hardest: Math.abs(value) > 0.9 * most,
    });
  }
  throw new Error("asked on and on");
}

describe("the ends of coils by battery kicks", () => {
  it("led by what it asks for, every kind of motor is numbered as it truly is, but for naming and the turn", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...KINDS),
        fc.integer({ min: 1, max: 1e6 }),
        ([family, leads, volts], seed) => {
          const { truth, bare } = pairOf(family, leads, volts, seed);
          const { kicks, result } = led(bare, truth);
          if (result.kind !== "proved") throw new Error(`${family}: ${result.kind}`);
          expect(kicks.length).toBeLessThanOrEqual(9);
          const coils = truth.coils.filter(({ winding }) => winding !== "start");
          for (const one of coils)
            for (const other of coils) {
              const at = (motor: WoundMotor, id: string) =>
                motor.coils.find((coil) => coil.id === id)?.seat.axisDegrees ?? 0;
              const between = (motor: WoundMotor) =>
                Math.cos(((at(motor, one.id) - at(motor, other.id)) * Math.PI) / 180);
              expect(between(result.motor)).toBeCloseTo(between(truth), 6);
            }
        },
      ),
      { numRuns: 60, seed: 4 },
    );
  });

  it("nine leads in wye: one in 48 orders is right, and the star is fed first", () => {
    const { bare } = pairOf("three-phase-9-wye", 9, 460, 3);
    const star = new Set(
      bare.leads.filter(({ slot }) => ["T7", "T8", "T9"].includes(slot)).map(({ id }) => id),
    );
    const open = polarity(bare, []);
    if (open.kind !== "open") throw new Error(open.kind);
    expect(open.left).toBe(48);
    expect(open.next.battery.every((lead) => star.has(lead))).toBe(true);
    expect(open.next.meter.some((lead) => star.has(lead))).toBe(false);
  });

  it("kicks that no motor gives are a contradiction, not an answer", () => {
    const { bare } = pairOf("three-phase-6", 6, 460, 3);
    const open = polarity(bare, []);
    if (open.kind !== "open") throw new Error(open.kind);
    const still: Kick = { ...open.next, shows: "still" };
    expect(polarity(bare, [still]).kind).toBe("contradiction");
  });

  it("where ends only decide the turn, nothing is to prove", () => {
    for (const { motor } of [fan3, splitPhase, twoSpeed]) expect(polarity(motor, []).kind).toBe("none");
  });

  it("the test is undone by exchanging either pair of clips, and stays by exchanging both", () => {
    const { truth, bare } = pairOf("dual-voltage-single-phase", 6, 230, 5);
    const { kicks } = led(bare, truth);
    const [first] = kicks;
    if (!first) throw new Error("no kick");
    const turned = { ...first, battery: [first.battery[1], first.battery[0]] as const };
    const one = polarity(bare, [{ ...turned, shows: first.shows === "up" ? "down" : "up" }]);
    expect(one).toEqual(polarity(bare, [first]));
  });
});

describe("numberings", () => {
  it("one step from the present each exchanges two slots or two coils, and turns back onto itself", () => {
    const { bare } = pairOf("three-phase-6", 6, 460, 7);
    const near = nearNumberings(bare);
    expect(near).toHaveLength(6);
    for (const way of near) {
      const there = renumbered(bare, way);
      expect(new Set(there.leads.map(({ slot }) => slot)).size).toBe(6);
      expect(there.leads).not.toEqual(bare.leads);
    }
  });

  it("keep what hangs together inside", () => {
    const { bare } = pairOf("three-phase-9-delta", 9, 460, 2);
    expect(numberings(bare)).toHaveLength(4);
  });
});
