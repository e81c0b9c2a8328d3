/** What discharging a capacitor through a resistor comes to. */
export interface Discharge {
  /** The most it can stand at: the peak of its own working volts, more than the line. */
  readonly peakVolts: number;
  readonly joules: number;
  /** Seconds until it is under {@link SAFE_VOLTS}. */
  readonly secondsToSafe: number;
  /** Power in the resistor at the first touch, watts. */
  readonly firstWatts: number;
  readonly says: readonly string[];
  readonly warnings: readonly string[];
}

/** Under this a capacitor is taken for discharged, to be proved with the meter. */
export const SAFE_VOLTS = 10;
/** A resistor stands several times its rating for the second or two this takes; more is too much for any. */
const BURST_TIMES_RATING = 20;

/**
 * Discharge through a resistor: V(t) = V0·e^(−t/RC), so the time to V is RC·ln(V0/V); first power V0²/R; energy ½CV².
 *
 * @param rmsVolts volts across the capacitor at work; more than the line on a run capacitor. Its rating when not known.
 */
export function discharge(
  microfarads: number,
  rmsVolts: number,
  tool: { readonly ohms: number; readonly watts: number },
): Discharge {
  const farads = microfarads * 1e-6;
  const peakVolts = Math.SQRT2 * rmsVolts;
  const secondsToSafe = tool.ohms * farads * Math.max(0, Math.log(peakVolts / SAFE_VOLTS));
  const firstWatts = peakVolts ** 2 / tool.ohms;
  const joules = 0.5 * farads * peakVolts ** 2;
  return {
    peakVolts,
    joules,
    secondsToSafe,
    firstWatts,
    says: [
      `Up to ${Math.round(peakVolts)} V and ${joules < 10 ? joules.toFixed(1) : Math.round(joules)} J may be left in it.`,
      `Under ${SAFE_VOLTS} V after ${secondsToSafe < 10 ? secondsToSafe.toFixed(1) : Math.ceil(secondsToSafe)} s through ${ohmsWords(tool.ohms)}; ${firstWatts.toFixed(1)} W at the first touch.`,
    ],
    warnings: [
      ...(firstWatts > BURST_TIMES_RATING * tool.watts
        ? [
            `${Math.round(firstWatts)} W at the first touch is too much for a ${tool.watts} W resistor: take more ohms.`,
          ]
        : []),
      ...(secondsToSafe > 60 ? ["That is long to hold a probe: take fewer ohms, 15 to 20 kΩ of 5 W."] : []),
    ],
  };
}

/** Volts left after so many seconds through the tool. */
export function voltsLeft(
  microfarads: number,
  startVolts: number,
  toolOhms: number,
  seconds: number,
): number {
  return startVolts * Math.exp(-seconds / (toolOhms * microfarads * 1e-6));
}

/** One touch of the sequence. */
export interface DischargeStep {
  readonly between: string;
  readonly seconds: number;
  readonly microfarads: number;
}

/**
 * The touches in order: a single across its two terminals; a dual C to HERM, C to FAN, then HERM to FAN, where the two
 * halves stand in series. Each is held until under {@link SAFE_VOLTS}, and for half as long again.
 */
export function dischargeSequence(
  capacitor:
    | { readonly kind: "single"; readonly microfarads: number }
    | { readonly kind: "dual"; readonly hermMicrofarads: number; readonly fanMicrofarads: number },
  rmsVolts: number,
  toolOhms: number,
): DischargeStep[] {
  const step = (between: string, microfarads: number): DischargeStep => {
    const { secondsToSafe } = discharge(microfarads, rmsVolts, { ohms: toolOhms, watts: 5 });
    return { between, microfarads, seconds: Math.max(2, Math.ceil(1.5 * secondsToSafe)) };
  };
  if (capacitor.kind === "single") return [step("its two terminals", capacitor.microfarads)];
  const { hermMicrofarads: herm, fanMicrofarads: fan } = capacitor;
  return [
    step("C and HERM", herm),
    step("C and FAN", fan),
    step("HERM and FAN", (herm * fan) / (herm + fan)),
  ];
}

/** What is said around every discharge. */
export const DISCHARGE_RULES: readonly string[] = [
  "Power off, locked, proved dead first. Gloves and glasses on.",
  "Through a resistor of 15 to 20 kΩ, 5 W, with insulated leads. No metal tool across the terminals: it welds, burns and shatters.",
  "Then measure volts across every pair of terminals: under 10 V, and not climbing back.",
];

function ohmsWords(ohms: number): string {
  return ohms >= 1000 ? `${Number((ohms / 1000).toPrecision(3))} kΩ` : `${ohms} Ω`;
}
