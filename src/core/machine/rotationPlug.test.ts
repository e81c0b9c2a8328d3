import { describe, expect, it } from "vitest";
import { platedMotor } from "../bench/platedMotor";
import { seededRandom } from "../bench/random";
import { fedMotor } from "./fedMotor";
import { fitMotor } from "./fitMotor";
import { ratingOf } from "./rating";
import { canHavePlug, turnedByPlug } from "./rotationPlug";
import { solve } from "./solve";
import { type WoundMotor, woundMotor } from "./woundMotor";

function drawn(family: string, leads: number, volts: number, seed: number) {
  const { known, motor, plate } = platedMotor(seededRandom(seed), family, leads, volts, (b) => !b.unusual);
  const wound = woundMotor(known, motor.leads);
  if (!wound) throw new Error(family);
  return { wound, fitted: fitMotor(wound, ratingOf(wound, plate, volts)) };
}

const WITH_START = [
  ["two-winding", 3, 230],
  ["two-winding", 6, 115],
  ["split-windings", 4, 115],
  ["dual-voltage-single-phase", 6, 230],
  ["two-speed-two-main", 5, 115],
] as const;

describe("the plug of a start winding", () => {
  it.each(WITH_START)(
    "can be on %s of %d leads; turned over twice it is as it was",
    (family, leads, volts) => {
      const { wound } = drawn(family, leads, volts, 3);
      expect(canHavePlug(wound)).toBe(true);
      const twice = turnedByPlug(turnedByPlug(wound));
      expect(twice.plugTurned).toBe(false);
      twice.coils.forEach(({ seat }, i) => {
        expect((seat.axisDegrees - (wound.coils[i]?.seat.axisDegrees ?? 0)) % 360).toBe(0);
      });
    },
  );

  it.each([
    ["one-winding", 2, 115],
    ["three-phase-3", 3, 460],
    ["two-winding-reversible", 3, 115],
  ] as const)("cannot be on %s: it has no start winding", (family, leads, volts) => {
    expect(canHavePlug(drawn(family, leads, volts, 3).wound)).toBe(false);
  });

  it.each(WITH_START)(
    "on %s of %d leads it turns the torque round, amps as they were",
    (family, leads, volts) => {
      const { wound, fitted } = drawn(family, leads, volts, 5);
      const at = (motor: WoundMotor) => {
        const fed = fedMotor(motor, fitted.parameters, fitted.gear, {
          ask: { speed: 1, setting: "high", reversed: false },
          volts: fitted.rating.volts.high,
          runMicrofarads: fitted.rating.runMicrofarads,
        });
        const solution = fed && solve(fed.machine, 1);
        if (!solution) throw new Error("not fed");
        const line = solution.branches.get("line-1")?.amps ?? { re: 0, im: 0 };
        return { torqueNm: solution.torqueNm, amps: Math.hypot(line.re, line.im) };
      };
      const [straight, over] = [at(wound), at(turnedByPlug(wound))];
      expect(straight.torqueNm).toBeGreaterThan(0);
      expect(over.torqueNm / straight.torqueNm).toBeCloseTo(-1, 9);
      expect(over.amps / straight.amps).toBeCloseTo(1, 9);
    },
  );

  it("changes no lead and no ohms", () => {
    const { wound } = drawn("two-winding", 5, 115, 7);
    const over = turnedByPlug(wound);
    expect(over.leads).toEqual(wound.leads);
    expect(over.coils.map(({ ohms, from, to }) => [ohms, from, to])).toEqual(
      wound.coils.map(({ ohms, from, to }) => [ohms, from, to]),
    );
  });
});
