import { synchronousRadians } from "./field";

/** What the shaft has to turn, newton metres at a speed. */
export type Load =
  /** Fan and pump: torque with the square of speed, so much at so many rpm; a rotor that rubs drags beside it, at every speed alike. */
  | {
      readonly kind: "fan";
      readonly newtonMetres: number;
      readonly atRpm: number;
      readonly dragNm?: number;
    }
  /** Conveyor, piston: the same torque at every speed. */
  | { readonly kind: "constant"; readonly newtonMetres: number }
  | { readonly kind: "none" };

/** Torque that a load asks at a speed; the other way round it is against the turning too. */
export function loadTorque(load: Load, rpm: number): number {
  switch (load.kind) {
    case "fan":
      return (
        load.newtonMetres * (rpm / load.atRpm) * Math.abs(rpm / load.atRpm) +
        (load.dragNm ?? 0) * Math.sign(rpm)
      );
    case "constant":
      return load.newtonMetres * Math.sign(rpm);
    case "none":
      return 0;
  }
}

/** Shaft speed of a slip, rpm. */
export function rpmOf(slip: number, poles: number, hertz: number): number {
  return ((1 - slip) * synchronousRadians(poles, hertz) * 60) / (2 * Math.PI);
}
