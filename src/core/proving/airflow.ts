/** Air and heat of a blower: what it moves, what it warms, and which speed would come nearer. */

/** British thermal units an hour to a watt. */
export const BTU_PER_WATT = 3.412;
/** Heat that a cubic foot a minute of standard air takes for each degree Fahrenheit: 60 · 0.075 lb · 0.24, in Btu/h. */
const BTU_PER_CFM_F = 1.08;
const WATTS_PER_KILOWATT = 1000;
/** Standard air at sea level and 21 °C, kilograms a cubic metre, and its heat, joules a kilogram kelvin. */
const AIR = { density: 1.2, joules: 1006 } as const;
/** Air’s density beside that at sea level, a metre higher: the exponential atmosphere (ISO 2533), 8.4 km. */
const SCALE_HEIGHT_M = 8434;

/** Density of air at a height and temperature beside standard air. */
export function densityRatio(altitudeM: number, airC = 21): number {
  return Math.exp(-altitudeM / SCALE_HEIGHT_M) * ((273.15 + 21) / (273.15 + airC));
}

/** Electric heat by what flows into it, watts: the sum of volts times amps. */
export function electricWatts(legs: readonly { readonly volts: number; readonly amps: number }[]): number {
  return legs.reduce((sum, { volts, amps }) => sum + volts * amps, 0);
}

/** Cubic feet a minute by heat and rise: cfm = Q/(1.08·d·ΔT°F), Q in Btu an hour. */
export function cubicFeetAMinute(watts: number, riseF: number, density = 1): number {
  return (BTU_PER_WATT * watts) / (BTU_PER_CFM_F * density * riseF);
}

/** Cubic metres an hour by heat and rise: m³/h = 3600·W/(ρ·cp·ΔT). */
export function cubicMetresAnHour(watts: number, riseK: number, density = 1): number {
  return (3600 * watts) / (AIR.density * density * AIR.joules * riseK);
}

/** A blower as it runs now. */
export interface AirNow {
  readonly rpm: number;
  readonly riseF: number;
  readonly amps: number;
}

/** A speed that could be taken, as the machine model has it. */
export interface SpeedChoice {
  readonly speed: number;
  readonly rpm: number;
  readonly amps: number;
}

/** What another speed would give, by the fan laws. */
export interface SpeedForecastByAir {
  readonly speed: number;
  /** ΔT₂ = ΔT₁·n₁/n₂. */
  readonly riseF: number;
  /** cfm₂ = cfm₁·n₂/n₁. */
  readonly airTimes: number;
  readonly amps: number;
  /** Its amps stay under what it may draw. */
  readonly passes: boolean;
}

/** The speeds by how near their rise comes to the middle of the machine's plate; those whose amps do not pass come last. */
export function speedsByRise(
  now: AirNow,
  choices: readonly SpeedChoice[],
  plate: { readonly lowF: number; readonly highF: number },
  mostAmps: number,
): SpeedForecastByAir[] {
  const middle = (plate.lowF + plate.highF) / 2;
  return choices
    .map(({ speed, rpm, amps }) => ({
      speed,
      riseF: (now.riseF * now.rpm) / rpm,
      airTimes: rpm / now.rpm,
      amps,
      passes: amps <= mostAmps,
    }))
    .sort(
      (a, b) =>
        Number(b.passes) - Number(a.passes) || Math.abs(a.riseF - middle) - Math.abs(b.riseF - middle),
    );
}

/** Cooling air for each ton, cubic feet a minute: the trade's range. */
export const CFM_PER_TON = { low: 350, high: 450 } as const;
/** A ton of cooling, watts. */
export const WATTS_PER_TON = 3.517 * WATTS_PER_KILOWATT;
