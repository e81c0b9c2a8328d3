/**
 * Fan and pump laws: torque goes with the square of speed, power with its cube (similarity laws; density the same).
 *
 * @returns how many times the power a blade asks for when it is turned at `rpm` instead of the speed it was made for.
 */
export function powerTimes(rpm: number, madeForRpm: number): number {
  return (rpm / madeForRpm) ** 3;
}

/** Air density against the standard at sea level and 20 °C: ISA by altitude, ideal gas by temperature. */
export function densityRatio(altitudeM: number, airC = 20): number {
  const pressure = (1 - 2.25577e-5 * altitudeM) ** 5.25588;
  return (pressure * 293.15) / (airC + 273.15);
}
