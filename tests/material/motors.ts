import { type FittedMotor, fitMotor } from "../../src/core/machine/fitMotor";
import { ratingOf } from "../../src/core/machine/rating";
import { type WoundMotor, woundMotor } from "../../src/core/machine/woundMotor";
import type { Plate } from "../../src/core/motor/plate/plate";
import type { Role } from "../../src/core/motor/role";
import type { Compartment } from "../../src/core/wiring/compartment";
import type { MotorPlan } from "../../src/core/wiring/plan";
import { planWiring } from "../../src/core/wiring/planWiring";
import type { WiringAsk } from "../../src/core/wiring/wiringAsk";

/** Motors of the invented world, as an identification would know them, for the tests of the wiring. */

type Section = readonly [
  from: string,
  to: string,
  ohms: number,
  winding: WoundMotor["coils"][number]["winding"],
];

/** A motor by its leads and sections: what tests land. */
export interface TestMotor {
  readonly motor: WoundMotor;
  readonly fitted: FittedMotor;
  readonly plate: Plate;
  readonly leads: readonly string[];
}

/** @param leads role by lead id, in the order of the sheet. */
export function testMotor(
  family: string,
  leads: Readonly<Record<string, Role>>,
  sections: readonly Section[],
  typed: Plate,
  marks: Readonly<Record<string, string>> = {},
): TestMotor {
  const plate: Plate = { hertz: [60], ...typed };
  const byRole = new Map<string, string[]>();
  for (const [lead, role] of Object.entries(leads))
    if (["run-end", "start-end", "speed"].includes(role.role)) {
      const key = `${role.role}/${role.rank ?? ""}`;
      byRole.set(key, [...(byRole.get(key) ?? []), lead]);
    }
  const bonded = [...byRole.values()].filter((group) => group.length > 1);
  const motor = woundMotor(
    {
      family,
      roles: leads,
      bonded,
      sections: sections.map(([from, to, ohms, winding]) => ({ between: [from, to], ohms, winding })),
    },
    Object.keys(leads).map((id) => ({ id, mark: marks[id] })),
  );
  if (!motor) throw new Error(`${family} has nothing to run`);
  return {
    motor,
    plate,
    leads: Object.keys(leads),
    fitted: fitMotor(motor, ratingOf(motor, plate, plate.volts?.at(-1)?.high ?? 230)),
  };
}

const range = (low: number, high = low) => ({ low, high });
const hp = (value: number) => [value * 745.7];
const runEnd: Role = { role: "run-end" };
const startEnd: Role = { role: "start-end" };
const speed = (rank: number): Role => ({ role: "speed", rank });

const FAN_PLATE: Plate = {
  volts: [range(208, 230)],
  powerWatts: hp(1 / 4),
  rpm: 1075,
  fullLoadAmps: [1.9],
  runCapacitor: { microfarads: 5, volts: 440 },
};

/** Condenser fan, three leads: yellow the run end, black the joint, brown the start end. */
export const fan3 = testMotor(
  "two-winding",
  { ye: runEnd, bk: speed(1), bn: startEnd },
  [
    ["ye", "bk", 12, "main"],
    ["bk", "bn", 26, "start"],
  ],
  FAN_PLATE,
);

/** The same with the run end out twice: brown with a white stripe. */
export const fan4 = testMotor(
  "two-winding",
  { ye: runEnd, bk: speed(1), bn: startEnd, "bn/wh": runEnd },
  [
    ["ye", "bk", 12, "main"],
    ["bk", "bn", 26, "start"],
  ],
  FAN_PLATE,
);

/** A universal motor: a second copy of each capacitor lead. */
export const fan5 = testMotor(
  "two-winding",
  { ye: runEnd, bk: speed(1), bn: startEnd, "bn/wh": runEnd, "bn/ye": startEnd },
  [
    ["ye", "bk", 12, "main"],
    ["bk", "bn", 26, "start"],
  ],
  FAN_PLATE,
);

/** Two power leads: a stronger tap and a weaker. */
export const fanTwoPower = testMotor(
  "two-winding",
  { ye: runEnd, bk: speed(1), bu: speed(2), bn: startEnd, "bn/wh": runEnd },
  [
    ["ye", "bk", 12, "main"],
    ["bk", "bu", 2.5, "speed"],
    ["bu", "bn", 26, "start"],
  ],
  FAN_PLATE,
);

/** Four-speed blower on 115 V. */
export const blower4 = testMotor(
  "two-winding",
  { wh: runEnd, bk: speed(1), bu: speed(2), ye: speed(3), rd: speed(4), bn: startEnd, "bn/wh": runEnd },
  [
    ["wh", "bk", 1.5, "main"],
    ["bk", "bu", 0.25, "speed"],
    ["bu", "ye", 0.3, "speed"],
    ["ye", "rd", 0.35, "speed"],
    ["rd", "bn", 4, "start"],
  ],
  {
    volts: [range(115)],
    powerWatts: hp(1 / 2),
    rpm: 1075,
    fullLoadAmps: [7.4],
    runCapacitor: { microfarads: 20, volts: 370 },
  },
);

/** Two-speed blower on 115 V. */
export const blower2 = testMotor(
  "two-winding",
  { wh: runEnd, bk: speed(1), rd: speed(2), bn: startEnd },
  [
    ["wh", "bk", 1.5, "main"],
    ["bk", "rd", 0.6, "speed"],
    ["rd", "bn", 4, "start"],
  ],
  blower4.plate,
);

/** Reversible with like windings, 115 V. */
export const reversible = testMotor(
  "two-winding-reversible",
  { wh: { role: "common" }, bk: { role: "end" }, rd: { role: "end" } },
  [
    ["wh", "bk", 20, "main"],
    ["wh", "rd", 20, "main"],
  ],
  { volts: [range(115)], runCapacitor: { microfarads: 12, volts: 370 } },
);

/** Split-phase pump motor, marked. */
export const splitPhase = testMotor(
  "split-windings",
  { bu: { role: "main" }, ye: { role: "main" }, bk: { role: "start" }, rd: { role: "start" } },
  [
    ["bu", "ye", 1.8, "main"],
    ["bk", "rd", 7, "start"],
  ],
  { volts: [range(115)], powerWatts: hp(1 / 3), rpm: 1725, fullLoadAmps: [6.2] },
  { bu: "T1", ye: "T4", bk: "T5", rd: "T8" },
);

/** The same with its protector on leads of its own. */
export const guarded = testMotor(
  "split-windings",
  {
    p1: { role: "protector" },
    p2: { role: "protector" },
    bu: { role: "main" },
    ye: { role: "main" },
    bk: { role: "start" },
    rd: { role: "start" },
  },
  [
    ["bu", "ye", 1.8, "main"],
    ["bk", "rd", 7, "start"],
  ],
  { volts: [range(115)], powerWatts: hp(1 / 3), rpm: 1725, fullLoadAmps: [6.2] },
  { p1: "P1", p2: "P2", bu: "T1", ye: "T4", bk: "T5", rd: "T8" },
);

/** Capacitor-run, the start winding on two leads of its own. */
export const startPair = testMotor(
  "two-winding-start-pair",
  { bk: speed(1), bn: runEnd, br: runEnd, pu: { role: "start" }, ye: { role: "start" } },
  [
    ["bk", "bn", 21, "main"],
    ["pu", "ye", 34, "start"],
  ],
  {
    volts: [range(230)],
    powerWatts: hp(1 / 4),
    rpm: 1075,
    fullLoadAmps: [1.9],
    runCapacitor: { microfarads: 5, volts: 370 },
  },
);

/** The same built for 230 V: for a relay of the equipment. */
export const capacitorStart230 = testMotor(
  "split-windings",
  { bu: { role: "main" }, ye: { role: "main" }, bk: { role: "start" }, rd: { role: "start" } },
  [
    ["bu", "ye", 2.2, "main"],
    ["bk", "rd", 9, "start"],
  ],
  {
    volts: [range(230)],
    powerWatts: hp(1),
    rpm: 1725,
    fullLoadAmps: [8],
    startCapacitor: { lowMicrofarads: 108, highMicrofarads: 130, volts: 250 },
  },
  { bu: "T1", ye: "T4", bk: "T5", rd: "T8" },
);

/** Main and start on leads of their own, with a run capacitor for good and no switch. */
export const capacitorRun4 = testMotor(
  "split-windings",
  { bu: { role: "main" }, ye: { role: "main" }, bk: { role: "start" }, rd: { role: "start" } },
  [
    ["bu", "ye", 12, "main"],
    ["bk", "rd", 22, "start"],
  ],
  {
    volts: [range(230)],
    powerWatts: hp(1 / 4),
    rpm: 1625,
    fullLoadAmps: [1.9],
    runCapacitor: { microfarads: 6, volts: 440 },
  },
  { bu: "T1", ye: "T4", bk: "T5", rd: "T8" },
);

/** Three-wire submersible: yellow shared, black main, red start. */
export const submersible = testMotor(
  "two-winding",
  { bk: runEnd, ye: speed(1), rd: startEnd },
  [
    ["bk", "ye", 1.8, "main"],
    ["ye", "rd", 4.5, "start"],
  ],
  {
    volts: [range(230)],
    powerWatts: hp(1),
    rpm: 3450,
    fullLoadAmps: [8.2],
    runCapacitor: { microfarads: 15, volts: 370 },
    startCapacitor: { lowMicrofarads: 88, highMicrofarads: 108, volts: 250 },
  },
);

/** Pole-changing, two mains on one shared lead. */
export const twoSpeed = testMotor(
  "two-speed-two-main",
  {
    wh: { role: "common" },
    bu: { role: "main-high" },
    vt: { role: "main-low" },
    bk: { role: "start" },
    ye: { role: "start" },
  },
  [
    ["bu", "wh", 1.6, "main"],
    ["vt", "wh", 3.4, "main"],
    ["bk", "ye", 5, "start"],
  ],
  { volts: [range(115)], powerWatts: hp(1 / 2), rpm: 1725, fullLoadAmps: [8.5] },
);

/** The same with the start winding on that lead too; and with its start parts inside. */
export const twoSpeed4 = testMotor(
  "two-speed-two-main",
  { wh: { role: "common" }, bu: { role: "main-high" }, vt: { role: "main-low" }, bk: { role: "start" } },
  [
    ["bu", "wh", 1.6, "main"],
    ["vt", "wh", 3.4, "main"],
    ["bk", "wh", 5, "start"],
  ],
  { volts: [range(115)], powerWatts: hp(1 / 2), rpm: 1725, fullLoadAmps: [8.5] },
);
export const twoSpeed3 = testMotor(
  "two-speed-two-main",
  { wh: { role: "common" }, bu: { role: "main-high" }, vt: { role: "main-low" } },
  [
    ["bu", "wh", 1.6, "main"],
    ["vt", "wh", 3.4, "main"],
  ],
  { volts: [range(115)], powerWatts: hp(1 / 3), rpm: 1725, fullLoadAmps: [8] },
);

const half = (group: number): Role => ({ role: "half", group });
const start: Role = { role: "start", group: 1 };

/** Pump for two voltages, numbered. */
export const dualVoltage = testMotor(
  "dual-voltage-single-phase",
  { t1: half(1), t2: half(1), t3: half(2), t4: half(2), t5: start, t8: start },
  [
    ["t1", "t2", 1.3, "half"],
    ["t3", "t4", 1.3, "half"],
    ["t5", "t8", 6, "start"],
  ],
  {
    volts: [range(115), range(230)],
    powerWatts: hp(3 / 4),
    rpm: 1725,
    fullLoadAmps: [11.2, 5.6],
    startCapacitor: { lowMicrofarads: 320, highMicrofarads: 450 },
  },
  { t1: "T1", t2: "T2", t3: "T3", t4: "T4", t5: "T5", t8: "T8" },
);

const phase = (group: number): Role => ({ role: "phase", group });
const NUMBERS = (count: number) =>
  Object.fromEntries(Array.from({ length: count }, (_, i) => [`t${i + 1}`, `T${i + 1}`]));

export const threePhase3 = testMotor(
  "three-phase-3",
  { t1: { role: "phase" }, t2: { role: "phase" }, t3: { role: "phase" } },
  [
    ["t1", "*1", 6, "phase"],
    ["t2", "*1", 6, "phase"],
    ["t3", "*1", 6, "phase"],
  ],
  { phase: 3, volts: [range(460)], powerWatts: hp(2), rpm: 1740, fullLoadAmps: [3.1] },
  NUMBERS(3),
);

const TWO_VOLT_PLATE: Plate = {
  phase: 3,
  volts: [range(230), range(460)],
  powerWatts: hp(3),
  rpm: 1740,
  fullLoadAmps: [9, 4.5],
};

export const threePhase9Wye = testMotor(
  "three-phase-9-wye",
  {
    t1: phase(1),
    t4: phase(1),
    t2: phase(2),
    t5: phase(2),
    t3: phase(3),
    t6: phase(3),
    t7: { role: "star" },
    t8: { role: "star" },
    t9: { role: "star" },
  },
  [
    ["t1", "t4", 1, "phase"],
    ["t2", "t5", 1, "phase"],
    ["t3", "t6", 1, "phase"],
    ["t7", "*1", 1, "star"],
    ["t8", "*1", 1, "star"],
    ["t9", "*1", 1, "star"],
  ],
  TWO_VOLT_PLATE,
  NUMBERS(9),
);

export const threePhase9Delta = testMotor(
  "three-phase-9-delta",
  {
    t1: { role: "corner", group: 1 },
    t4: phase(1),
    t9: phase(1),
    t2: { role: "corner", group: 2 },
    t5: phase(2),
    t7: phase(2),
    t3: { role: "corner", group: 3 },
    t6: phase(3),
    t8: phase(3),
  },
  [
    ["t1", "t4", 1.5, "phase"],
    ["t1", "t9", 1.5, "phase"],
    ["t2", "t5", 1.5, "phase"],
    ["t2", "t7", 1.5, "phase"],
    ["t3", "t6", 1.5, "phase"],
    ["t3", "t8", 1.5, "phase"],
  ],
  TWO_VOLT_PLATE,
  NUMBERS(9),
);

export const threePhase6 = testMotor(
  "three-phase-6",
  { t1: phase(1), t4: phase(1), t2: phase(2), t5: phase(2), t3: phase(3), t6: phase(3) },
  [
    ["t1", "t4", 3, "phase"],
    ["t2", "t5", 3, "phase"],
    ["t3", "t6", 3, "phase"],
  ],
  { ...TWO_VOLT_PLATE, volts: [range(266), range(460)], fullLoadAmps: [7.8, 4.5] },
  NUMBERS(6),
);

/** One winding, three speeds, shaded pole. */
export const shaded3 = testMotor(
  "one-winding",
  { wh: { role: "line-common" }, bk: speed(1), bu: speed(2), rd: speed(3) },
  [
    ["wh", "bk", 14, "main"],
    ["bk", "bu", 2, "speed"],
    ["bu", "rd", 2.2, "speed"],
  ],
  { volts: [range(115)], powerWatts: hp(1 / 15), rpm: 1550, fullLoadAmps: [2.2] },
);

/** Plans for a test motor on this equipment; a refusal fails the test with its words. */
export function plansFor(
  { motor, fitted, plate }: Omit<TestMotor, "leads">,
  made: Compartment,
  more: Partial<WiringAsk> = {},
): readonly MotorPlan[] {
  const { runCapacitor } = plate;
  const result = planWiring({
    motor,
    fitted,
    compartment: made,
    runCapacitor: runCapacitor
      ? { microfarads: runCapacitor.microfarads, volts: runCapacitor.volts ?? 370, known: true }
      : null,
    speeds: {},
    reversed: false,
    ...more,
  });
  if (!result.ok) throw new Error(result.faults.map(({ says }) => says).join(" "));
  return result.plans;
}
