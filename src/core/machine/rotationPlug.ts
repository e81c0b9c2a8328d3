import type { WoundMotor } from "./woundMotor";

/** Whether a motor has a start winding, whose two ends a plug of its own can change over. */
export function canHavePlug({ coils }: Pick<WoundMotor, "coils">): boolean {
  return coils.some(({ winding }) => winding === "start");
}

/**
 * The motor with the plug of its start winding turned over: the winding's ends change places inside, so it lies the other
 * way in the field. No ohm reading between its leads differs, and every lead is what it was.
 */
export function turnedByPlug(motor: WoundMotor): WoundMotor {
  return {
    ...motor,
    plugTurned: motor.plugTurned !== true,
    coils: motor.coils.map((coil) =>
      coil.winding === "start"
        ? { ...coil, seat: { ...coil.seat, axisDegrees: coil.seat.axisDegrees + 180 } }
        : coil,
    ),
  };
}
