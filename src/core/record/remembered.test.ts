import { describe, expect, it } from "vitest";
import { platedMotor } from "../bench/platedMotor";
import { seededRandom } from "../bench/random";
import { fitMotor } from "../machine/fitMotor";
import { ratingOf } from "../machine/rating";
import { woundMotor } from "../machine/woundMotor";
import { remembered } from "./remembered";

function drawn(seed: number, volts = 230) {
  const { known, motor, plate } = platedMotor(seededRandom(seed), "two-winding", 4, volts, (b) => !b.unusual);
  const wound = woundMotor(known, motor.leads);
  if (!wound) throw new Error("no winding");
  return { wound, rating: ratingOf(wound, plate, volts) };
}

describe("a fit that is remembered", () => {
  const motors = [1, 2, 3, 4, 5].map((seed) => drawn(seed));

  it("is the one that would be made anew, in whatever order motors are asked for", () => {
    const again = remembered(fitMotor);
    for (const i of [0, 0, 1, 0, 2, 3, 4, 1, 0]) {
      const { wound, rating } = motors[i] as (typeof motors)[number];
      expect(again(structuredClone(wound), structuredClone(rating))).toEqual(fitMotor(wound, rating));
    }
  });

  it("is not made anew while the motor and its plate stay the same", () => {
    const again = remembered(fitMotor);
    const { wound, rating } = drawn(7);
    const first = again(wound, rating);
    expect(again(structuredClone(wound), structuredClone(rating))).toBe(first);
    const warmer = { ...wound, coils: wound.coils.map((coil) => ({ ...coil, ohms: coil.ohms * 1.2 })) };
    expect(again(warmer, rating)).not.toBe(first);
    expect(again(wound, { ...rating, rpm: rating.rpm - 20 })).not.toBe(first);
    expect(again(wound, rating)).toBe(first);
  });

  it("keeps no more than a few: the one asked for longest ago goes first", () => {
    const again = remembered(fitMotor);
    const fits = motors.map(({ wound, rating }) => again(wound, rating));
    const kept = motors.map(({ wound, rating }, i) => again(wound, rating) === fits[i]);
    expect(kept.filter(Boolean).length).toBeLessThan(motors.length);
  });

  it("remembers that there was nothing, too", () => {
    let asked = 0;
    const nothing = remembered((_: number): string | undefined => {
      asked += 1;
      return undefined;
    });
    expect([nothing(1), nothing(1), nothing(2)]).toEqual([undefined, undefined, undefined]);
    expect(asked).toBe(2);
  });
});
