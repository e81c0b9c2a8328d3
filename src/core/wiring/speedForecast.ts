import { type MotorToRun, rightRuns } from "./check/outcome";
import { speedsOf } from "./speedsOf";

/** What a motor is expected to do on one of its speeds, at its plate's volts and load; an estimate. */
export interface SpeedForecast {
  readonly speed: number;
  readonly rpm: number;
  readonly amps: number;
}

/** Every speed of a motor, the fastest first; one that does not run is left out. */
export function speedForecast(run: MotorToRun, setting: "low" | "high"): SpeedForecast[] {
  const right = rightRuns(run, setting);
  return Array.from({ length: speedsOf(run.motor) }, (_, i) => i + 1).flatMap((speed) => {
    const found = right(speed, false);
    return found && found.point.outcome !== "stalls"
      ? [{ speed, rpm: Math.abs(found.point.rpm), amps: found.lineAmps }]
      : [];
  });
}
