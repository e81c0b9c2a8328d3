import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { plansFor } from "../../../../tests/material/motors";
import { builtMotor } from "../../bench/builtMotor";
import { withGearStated } from "../../bench/gearStated";
import { seededRandom } from "../../bench/random";
import { withStartCapacitor } from "../../bench/wiringAttack";
import { type WrongKind, wrongWirings } from "../../bench/wrongWirings";
import { fitMotor } from "../../machine/fitMotor";
import { ratingOf } from "../../machine/rating";
import { COMPARTMENTS } from "../equipment";
import { checkPlan, type WiringCheck } from "./check";
import type { CheckCode } from "./finding";

/** Which kinds of motor each compartment of the library is for, with their lead counts. */
const MEANT_FOR: Readonly<Record<string, readonly (readonly [family: string, leads: number])[]>> = {
  "condenser-dual": [
    ["two-winding", 3],
    ["two-winding", 4],
    ["two-winding", 5],
  ],
  "condenser-dual-one-pole": [
    ["two-winding", 3],
    ["two-winding", 4],
  ],
  "condenser-single": [
    ["two-winding", 3],
    ["two-winding", 4],
  ],
  "furnace-board": [
    ["two-winding", 5],
    ["two-winding", 6],
    ["two-winding", 7],
    ["one-winding", 4],
  ],
  "furnace-board-two-stage": [
    ["two-winding", 6],
    ["two-winding", 7],
  ],
  "air-handler-relay": [
    ["two-winding", 5],
    ["one-winding", 2],
  ],
  "bench-cord": [
    ["one-winding", 2],
    ["split-windings", 4],
    ["two-winding", 4],
    ["two-winding", 6],
  ],
  "pump-pressure-switch": [
    ["dual-voltage-single-phase", 5],
    ["dual-voltage-single-phase", 6],
    ["dual-voltage-single-phase", 8],
    ["split-windings", 4],
  ],
  "pump-float-switch": [
    ["split-windings", 4],
    ["dual-voltage-single-phase", 6],
  ],
  "centrifugal-switch": [
    ["split-windings", 4],
    ["dual-voltage-single-phase", 6],
    ["dual-voltage-single-phase", 7],
  ],
  "start-capacitor-relay": [["split-windings", 4]],
  "submersible-box": [["two-winding", 3]],
  "two-speed-switch": [
    ["two-speed-two-main", 5],
    ["two-speed-two-main", 6],
  ],
  "reversing-switch": [["two-winding-reversible", 3]],
  "three-phase-contactor": [
    ["three-phase-3", 3],
    ["three-phase-9-wye", 9],
    ["three-phase-12", 12],
  ],
  "three-phase-starter": [
    ["three-phase-6", 6],
    ["three-phase-9-delta", 9],
  ],
};
const SETUPS = COMPARTMENTS.flatMap((made) =>
  (MEANT_FOR[made.id] ?? []).map(([family, leads]) => ({ made, family, leads })),
);

/** A motor built at random with its plate and its ends marked, and every plan for it here. */
function good(setup: (typeof SETUPS)[number], seed: number) {
  const { made, family, leads } = setup;
  const two = family.startsWith("dual") || /three-phase-(6|9|12)/.test(family);
  const volts = two && made.supply.volts < 150 ? 230 : made.supply.volts;
  const built = builtMotor(seededRandom(seed), family, leads, volts);
  const { motor } = built;
  const plate = withStartCapacitor(made, motor, built.plate, volts);
  const fitted = fitMotor(motor, ratingOf(motor, plate, made.supply.volts));
  return { run: { motor, fitted }, plans: plansAt({ motor, fitted, plate }, made).map(withGearStated) };
}

let refusedForRelays = 0;

/** Plans for a motor; one whose start no relay could tell from its run is rightly refused, and drawn again. */
function plansAt(motor: Parameters<typeof plansFor>[0], made: Parameters<typeof plansFor>[1]) {
  try {
    return plansFor(motor, made);
  } catch (refusal) {
    const isRelays = refusal instanceof Error && refusal.message.includes("no relay would tell");
    if (isRelays) refusedForRelays++;
    fc.pre(!isRelays);
    throw refusal;
  }
}

describe("no false stop", () => {
  it("every wound motor's equipment of the library is looked at", () => {
    const wound = COMPARTMENTS.filter(({ id }) => !id.startsWith("electronic")).map(({ id }) => id);
    expect(Object.keys(MEANT_FOR).sort()).toEqual([...wound].sort());
  });

  it("every plan of the library, for random motors of every kind it is meant for, is clean", () => {
    fc.assert(
      fc.property(fc.constantFrom(...SETUPS), fc.integer({ min: 1, max: 1e6 }), (setup, seed) => {
        const { run, plans } = good(setup, seed);
        for (const plan of plans)
          expect(checkPlan(plan, run).findings.filter(({ weight }) => weight === "stop")).toEqual([]);
      }),
      { numRuns: 120, seed: 5 },
    );
    // Rare: a library that refuses what it is meant for is no library.
    expect(refusedForRelays).toBeLessThanOrEqual(2);
  });
});

/** What comes of a winding end where it does not belong: which of these hangs on the winding. */
const ASTRAY: readonly CheckCode[] = [
  "hums",
  "reversed",
  "wrong-speed",
  "crawls",
  "winding-overload",
  "short-through-motor",
  "nothing-runs",
  "start-overload",
  "weak-start",
  "capacitor-not-in-line",
  "places",
  "start-stays-in",
  "winding-over-volts",
];

/** What the check may rightly say of each wrong move: at least one of these. */
const RIGHT_CONSEQUENCE: Readonly<Record<WrongKind, readonly CheckCode[]>> = {
  "two-leads-changed-over": [...ASTRAY, "runs-uncalled", "tied-taps"],
  "lead-left-off": [
    "hums",
    "nothing-runs",
    "winding-overload",
    "wrong-speed",
    "crawls",
    "weak-start",
    "capacitor-not-in-line",
    "start-stays-in",
  ],
  "lead-on-hot": [...ASTRAY, "tied-taps"],
  "lead-on-return": ASTRAY,
  "lead-on-ground": ["lead-on-ground"],
  "two-taps-tied": ["tied-taps"],
  "capacitor-dropped": ["hums", "capacitor-not-in-line", "crawls", "wrong-speed", "winding-overload"],
  "capacitor-too-small": [
    "capacitor-value",
    "wrong-speed",
    "crawls",
    "hums",
    "winding-overload",
    "capacitor-not-in-line",
  ],
  "wrong-volts": ["setting"],
  "neutral-switched": ["live-when-off"],
  "frame-off": ["frame-not-grounded"],
  "served-wire-off": ["serves-harmed"],
  "relay-coil-off": ["start-stays-in"],
  "guard-led-round": ["guard-defeated"],
};

/** A move after which nothing differs in any winding in any state is none: two ends of one conductor, two lines of one winding. */
function harmless(before: WiringCheck, after: WiringCheck): boolean {
  const near = (a: number, b: number) => Math.abs(a - b) <= 2e-3 * Math.max(0.02, Math.abs(a));
  return before.outcomes.every((one, i) => {
    const other = after.outcomes[i];
    if (!one.point || !other?.point || one.point.outcome !== other.point.outcome) return false;
    return (
      near(one.point.rpm, other.point.rpm) &&
      one.coils.every(
        (coil, c) =>
          near(coil.amps, other.coils[c]?.amps ?? -1) && near(coil.volts, other.coils[c]?.volts ?? -1),
      )
    );
  });
}

describe("mutations of good plans", () => {
  // Every move of one seed's motors, each third of another's: the whole of both takes a minute.
  it.each([
    [11, 1],
    [12, 3],
  ])(
    "at least 99 of 100 wrong moves are caught, with the right consequence (seed %d)",
    (seed, nth) => {
      const missed: string[] = [];
      let wrongs = 0;
      for (const setup of SETUPS) {
        const { run, plans } = good(setup, seed * 31 + setup.leads);
        for (const plan of plans) {
          const before = checkPlan(plan, run);
          const known = new Set(
            before.findings.filter(({ weight }) => weight !== "good").map(({ code }) => code),
          );
          const moves = wrongWirings(plan, run.motor, (lead) => lead).filter((_, i) => i % nth === 0);
          for (const { kind, says, plan: wrong } of moves) {
            const after = checkPlan(wrong, run);
            const said = after.findings.filter(
              ({ weight, code }) => weight === "stop" || (weight === "again" && !known.has(code)),
            );
            const right = said.some(({ code }) => RIGHT_CONSEQUENCE[kind].includes(code));
            if (!right && said.length === 0 && harmless(before, after)) continue;
            wrongs += 1;
            if (!right)
              missed.push(
                `${setup.made.id} ${setup.family} ${kind}: ${says} → ${said.map(({ code }) => code)}`,
              );
          }
        }
      }
      expect(wrongs).toBeGreaterThan(1000 / nth);
      expect(missed.length / wrongs, missed.join("\n")).toBeLessThan(0.01);
    },
    120_000,
  );
});
