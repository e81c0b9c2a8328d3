import { platedMotor, seededRandom } from "../src/core/bench";
import { checkPlan, compartmentById, fitMotor, planWiring, ratingOf, woundMotor } from "../src/core/wiring";

const TIMES = 15;
const CASES = [
  ["condenser-dual", "two-winding", 4],
  ["furnace-board-two-stage", "two-winding", 7],
  ["pump-pressure-switch", "dual-voltage-single-phase", 6],
  ["two-speed-switch", "two-speed-two-main", 5],
  ["three-phase-contactor", "three-phase-9-wye", 9],
  ["three-phase-contactor", "three-phase-12", 12],
] as const;

/** Fit to a plate, and the check of a plan with all its states, in milliseconds; as Markdown. */
export function wiring(say: (line: string) => void): string {
  const rows = CASES.map(([equipment, family, leads]) => {
    const compartment = compartmentById(equipment);
    const {
      known,
      motor: virtual,
      plate,
    } = platedMotor(
      seededRandom(11),
      family,
      leads,
      compartment?.supply.volts ?? 230,
      (build) => !build.unusual,
    );
    const motor = woundMotor(known, virtual.leads);
    if (!compartment || !motor) throw new Error(`${equipment} ${family}`);
    const rating = ratingOf(motor, plate, compartment.supply.volts);
    const fitted = fitMotor(motor, rating);
    const { runCapacitor } = plate;
    const planned = planWiring({
      motor,
      fitted,
      compartment,
      runCapacitor: runCapacitor
        ? { microfarads: runCapacitor.microfarads, volts: runCapacitor.volts ?? 370, known: true }
        : null,
      speeds: {},
      reversed: false,
    });
    const plan = planned.ok ? planned.plans[0] : undefined;
    if (!plan) throw new Error(`no plan for ${family} on ${equipment}`);
    const states = compartment.calls.length + 1;
    const fit = median(() => fitMotor(motor, rating));
    const check = median(() => checkPlan(plan, { motor, fitted }));
    return `| ${compartment.title} | ${family}, ${leads} leads | ${states} | ${fit.toFixed(0)} | ${check.toFixed(1)} |`;
  });
  for (const row of rows) say(row);
  return [
    "## Fit and check of a plan",
    "",
    "| equipment | motor | states | fit, ms | check of all states, ms, median |",
    "| --- | --- | --- | --- | --- |",
    ...rows,
    "",
  ].join("\n");
}

function median(run: () => unknown): number {
  const ms = Array.from({ length: TIMES }, () => {
    const start = performance.now();
    run();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return ms[Math.floor(TIMES / 2)] ?? 0;
}
