import { builtMotor, seededRandom } from "../src/core/bench";
import { abs, fedMotor, operatingPoint, ZERO } from "../src/core/machine";
import { type FittedMotor, fitMotor, ratingOf } from "../src/core/wiring";

const MOTORS = 100;
const SEED = 7919;
const FAR = 0.3;
const SPEEDS = 5;
const KINDS = [
  ["two-winding", 4, 230],
  ["two-winding", 7, 115],
  ["one-winding", 4, 115],
  ["two-winding-reversible", 3, 115],
  ["split-windings", 4, 115],
  ["two-speed-two-main", 6, 115],
  ["dual-voltage-single-phase", 4, 230],
  ["dual-voltage-single-phase", 6, 230],
  ["three-phase-3", 3, 460],
  ["three-phase-9-wye", 9, 460],
  ["three-phase-12", 12, 460],
] as const;

/** How near a motor fitted to plate and ohms comes to the motor that the plate was read off; as Markdown. */
export function machineFit(say: (line: string) => void): string {
  const rows = KINDS.map(([family, leads, volts]) => {
    const amps: number[] = [];
    const rpm: number[] = [];
    const capacitor: number[] = [];
    for (let n = 1; n <= MOTORS; n++) {
      const built = builtMotor(seededRandom(n * SEED), family, leads, volts);
      const fitted = fitMotor(built.motor, ratingOf(built.motor, built.plate, volts));
      for (let speed = 1; speed <= SPEEDS; speed++) {
        const run = (of: FittedMotor) => {
          const fed = fedMotor(built.motor, of.parameters, of.gear, {
            ask: { speed, setting: "high", reversed: false },
            volts,
            runMicrofarads: of.rating.runMicrofarads,
          });
          const load = { kind: "fan" as const, newtonMetres: of.ratedNm, atRpm: of.rating.rpm };
          return fed && operatingPoint(fed.machine, load, fed.contacts);
        };
        const [truth, model] = [run(built.truth), run(fitted)];
        if (!truth || !model || truth.outcome === "stalls") continue;
        const ratio = (id: string, of: "amps" | "volts") =>
          abs(model.solution.branches.get(id)?.[of] ?? ZERO) /
          Math.max(abs(truth.solution.branches.get(id)?.[of] ?? ZERO), 1e-9);
        amps.push(ratio("line-1", "amps"));
        rpm.push(Math.abs(model.rpm / truth.rpm));
        if (built.truth.rating.runMicrofarads !== null) capacitor.push(ratio("run-capacitor", "volts"));
      }
    }
    const far = (100 * amps.filter((r) => Math.abs(r - 1) > FAR).length) / amps.length;
    const row = `| ${family}, ${leads} leads | ${amps.length} | ${span(amps)} | ${far.toFixed(1)} % | ${span(rpm)} | ${capacitor.length > 0 ? span(capacitor) : "–"} |`;
    say(row);
    return row;
  });
  return [
    "## Fitted to plate and ohms",
    "",
    "Motors built from their iron and rotor; what is fitted to their plates, over what they truly are, as the fifth to the ninety-fifth per cent of the states that run.",
    "",
    "| motor | states | amps | off by over 30 % | speed | capacitor volts |",
    "| --- | --- | --- | --- | --- | --- |",
    ...rows,
    "",
  ].join("\n");
}

function span(values: readonly number[]): string {
  const sorted = [...values].sort((a, b) => a - b);
  const at = (share: number) =>
    (sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0).toFixed(2);
  return `${at(0.05)}–${at(0.95)}`;
}
