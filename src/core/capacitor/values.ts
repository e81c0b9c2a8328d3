/** Run capacitor values that are sold, microfarads. */
export const RUN_MICROFARADS = [
  2, 2.5, 3, 4, 5, 6, 7.5, 10, 12.5, 15, 17.5, 20, 25, 30, 35, 40, 45, 50, 55, 60, 70, 80,
] as const;

/** Volts that run capacitors are rated for where mains are 60 Hz, and where they are 50 Hz (IEC 60252-1). */
export const RUN_VOLTS = { 60: [370, 440], 50: [250, 400, 425, 450] } as const;

/** Start capacitors are sold as bands, microfarads. */
export const START_BANDS = [
  [88, 108],
  [108, 130],
  [130, 156],
  [145, 174],
  [161, 193],
  [189, 227],
  [216, 259],
  [233, 280],
  [270, 324],
  [324, 389],
  [340, 408],
  [378, 454],
  [400, 480],
  [430, 516],
  [460, 553],
  [540, 648],
  [590, 708],
  [708, 850],
  [829, 995],
] as const;

/** Volts that start capacitors are rated for. */
export const START_VOLTS = [110, 125, 165, 220, 250, 330] as const;

/** Tolerance of a run capacitor whose label does not say. */
export const USUAL_TOLERANCE_PERCENT = 6;

/** Life classes of IEC 60252-1, hours at rated volts and temperature. */
export const LIFE_HOURS = { A: 30_000, B: 10_000, C: 3000, D: 1000 } as const;
export type LifeClass = keyof typeof LIFE_HOURS;

/** Safety classes of IEC 60252-1, in words. */
export const SAFETY_CLASSES = {
  S0: "no protection: may short, burst or burn when it fails",
  S1: "may fail open or short, without fire or flying parts",
  S2: "fails open, without fire or flying parts",
  S3: "segmented film: fails by losing value, open at last",
} as const;
