import { abs, type Complex, scale } from "../machine/complex";

/** What a suspect makes an instrument show, and how that moves with what is open. */
export interface FiguredMove {
  /** As {@link weighed} has it. */
  readonly log: number;
  /** For one standard deviation of each open direction, and last of the suspect's own degree. */
  readonly slopes: readonly number[];
  /** What the open directions do beside that, of the logarithm: see {@link moving}. */
  readonly variance: number;
}

/**
 * How an amplitude moves with what is open, where its phasor moves by so much along each direction. What moves it at a right
 * angle adds by squares: an amplitude that is the difference of two large currents has no straight line through it, so it is
 * as great as they leave it in the mean, its slopes are less steep by as much, and the rest is variance of its own (moments
 * of |z₀ + Σ δᵢ·dᵢ|² with the δᵢ standard normal). Good to a fifth and the spread itself; of the many ways in which readings
 * of several leads share one direction the variance knows nothing, so it errs to the wide side.
 *
 * @param still amps or volts as they are with nothing moved.
 * @param offs how far one standard deviation of each direction moves them, in the same unit.
 * @param least what is added before the logarithm is taken, in the same unit.
 */
export function moving(still: Complex, offs: readonly Complex[], least: number): FiguredMove {
  const length = abs(still);
  const along = length > 0 ? scale(still, 1 / length) : { re: 1, im: 0 };
  const parts = offs.map(({ re, im }) => ({
    radial: re * along.re + im * along.im,
    across: im * along.re - re * along.im,
  }));
  const square = parts.reduce((sum, { across }) => sum + across ** 2, 0);
  const mean = Math.sqrt(length ** 2 + square);
  const straight = mean > 0 ? (length / mean) ** 2 : 1;
  const log = (amplitude: number) => Math.log(amplitude + least);
  const fourth = parts.reduce((sum, { across }) => sum + across ** 4, 0);
  const ofMean = mean / (mean + least);
  return {
    log: log(mean),
    // Both ways: a logarithm falls steeper than it rises.
    slopes: parts.map(({ radial }) => {
      const [more, less] = [
        length + Math.abs(radial),
        Math.max(length - Math.abs(radial), LEAST_LEFT * length),
      ];
      return (straight * Math.sign(radial) * (log(more) - log(less))) / 2;
    }),
    variance: mean > 0 ? (0.5 * fourth * ofMean ** 2) / mean ** 4 : 0,
  };
}

/** No direction takes more than all but this of an amplitude away. */
const LEAST_LEFT = 0.05;
