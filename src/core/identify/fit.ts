import { boxPenaltyNats, boxSlope, type SoftBox } from "../motor/softBox";
import { choleskyFactor, choleskyLogDeterminant, choleskySolve } from "./cholesky";

/** One reading of a fit: the sections its path runs through and what the meter gave. */
export interface FitRow {
  readonly sections: readonly number[];
  readonly ohms: number;
  readonly sigmaOhms: number;
}

/** A section of a fit: its prior, in ohms or as a ratio to an earlier section. */
export interface FitSection {
  readonly ratioTo: number | null;
  readonly box: SoftBox;
}

/** The sections' most probable ohms for given readings, and how well the whole explains them. */
export interface Fit {
  /** Log of the marginal likelihood of the readings (densities per ohm), sections integrated out. */
  readonly logEvidence: number;
  /** Most probable ohms of each section. */
  readonly ohms: readonly number[];
  /** Covariance of the sections' natural logs. */
  readonly logCovariance: readonly (readonly number[])[];
  /** Residual of each row over its standard deviation. */
  readonly residualSigmas: readonly number[];
}

/** Degrees of freedom of the Student t that stands for reading errors: real meters have fatter tails than Gauss. */
const ERROR_FREEDOM = 10;
const MOST_STEPS = 15;
const MOST_DAMPING = 1e4;
/**
 * A step that gains less than this ends the search: weights then move by a hundredth at most. Needed because a section
 * that is not there slides to zero ohms, ever slower in the logarithm.
 */
const LEAST_GAIN_NATS = 0.01;

/**
 * Fits section resistances to readings by weighted least squares under their priors, and gives the evidence for the
 * structure by Laplace's approximation.
 *
 * The unknowns are the logarithms x of the section ohms, so that no section is negative. The maximum of
 * likelihood × prior is found by Levenberg–Marquardt; log Z = f(x̂) + k/2·ln 2π − ½·ln det H (MacKay, Information
 * Theory, Inference, and Learning Algorithms, ch. 27). Priors are flat inside their boxes: in H each counts as a
 * Gaussian of the box's width, so that a section no reading touches integrates to one. Tolerance: the
 * maximum is found to {@link LEAST_GAIN_NATS}. Failure: a matrix that rounding makes indefinite is damped further; after
 * {@link MOST_STEPS} steps the best point found stands.
 */
export function fitSections(
  sections: readonly FitSection[],
  rows: readonly FitRow[],
  start: RoughFit = roughFit(sections, rows),
): Fit {
  let { logOhms: x, costNats: cost } = start;
  let damping = 1e-4;
  for (let step = 0; step < MOST_STEPS; step++) {
    const { hessian, gradient } = slopes(x, sections, rows);
    const before = cost;
    for (; damping < MOST_DAMPING; damping *= 10) {
      const move = dampedStep(hessian, gradient, damping);
      const next = x.map((value, s) => value - clamp(move[s] ?? 0, 1.5));
      const nextCost = costAt(next, sections, rows);
      if (nextCost > cost) continue;
      x = next;
      cost = nextCost;
      break;
    }
    if (before - cost < LEAST_GAIN_NATS) break;
    damping = Math.max(damping / 10, 1e-9);
  }
  return summary(x, sections, rows);
}

/** Where a fit begins: section ohms in the natural log, and what they cost. */
export interface RoughFit {
  readonly logOhms: readonly number[];
  /** Half the weighted squares plus the prior's penalty, in nats: a full fit costs no more. */
  readonly costNats: number;
}

/** A quick first guess at a fit, to tell hopeless hypotheses from those worth fitting. */
export function roughFit(sections: readonly FitSection[], rows: readonly FitRow[]): RoughFit {
  const logOhms = startingPoint(sections, rows);
  return { logOhms, costNats: costAt(logOhms, sections, rows) };
}

/**
 * Prior centres scaled to the readings, then one linear least-squares pull to them; sections that it would make
 * negative start at a small share of their prior.
 */
function startingPoint(sections: readonly FitSection[], rows: readonly FitRow[]): number[] {
  const ratio: number[] = [];
  sections.forEach((section, s) => {
    const centre = 0.5 * (section.box.logLow + section.box.logHigh);
    ratio[s] = section.ratioTo === null ? 0 : (ratio[section.ratioTo] ?? 0) + centre;
  });
  const logs = rows.flatMap((row) => {
    const expected = row.sections.reduce((sum, s) => sum + Math.exp(ratio[s] ?? 0), 0);
    return expected > 0 ? [Math.log(Math.max(row.ohms, row.sigmaOhms) / expected)] : [];
  });
  const scale = logs.length > 0 ? logs.reduce((a, b) => a + b, 0) / logs.length : Math.log(10);
  const prior = ratio.map((value) => Math.exp(value + scale));
  const normal = prior.map((_, i) => prior.map((ohms, j) => (i === j ? 0.05 / ohms ** 2 : 0)));
  const right = prior.map((ohms) => 0.05 / ohms);
  for (const row of rows) {
    const weight = 1 / row.sigmaOhms ** 2;
    for (const i of row.sections) {
      right[i] = (right[i] ?? 0) + weight * row.ohms;
      for (const j of row.sections) addTo(normal[i], j, weight);
    }
  }
  const factor = choleskyFactor(normal);
  const pulled = factor ? choleskySolve(factor, right) : prior;
  return prior.map((ohms, s) => Math.log(Math.max(pulled[s] ?? ohms, 0.02 * ohms)));
}

function costAt(x: readonly number[], sections: readonly FitSection[], rows: readonly FitRow[]): number {
  let cost = 0;
  for (const row of rows) {
    let expected = 0;
    for (const s of row.sections) expected += Math.exp(x[s] ?? 0);
    cost += 0.5 * ((row.ohms - expected) / row.sigmaOhms) ** 2;
  }
  sections.forEach((section, s) => {
    cost += boxPenaltyNats(section.box, priorArgument(x, section, s));
  });
  return cost;
}

function priorArgument(x: readonly number[], section: FitSection, s: number): number {
  return (x[s] ?? 0) - (section.ratioTo === null ? 0 : (x[section.ratioTo] ?? 0));
}

/** Gauss–Newton Hessian and gradient of the cost; box interiors count with the curvature of their width. */
function slopes(x: readonly number[], sections: readonly FitSection[], rows: readonly FitRow[]) {
  const hessian = x.map(() => x.map(() => 0));
  const gradient = x.map(() => 0);
  const ohms = x.map(Math.exp);
  for (const row of rows) {
    let expected = 0;
    for (const s of row.sections) expected += ohms[s] ?? 0;
    const residual = (expected - row.ohms) / row.sigmaOhms;
    for (const i of row.sections) {
      const slopeI = (ohms[i] ?? 0) / row.sigmaOhms;
      addTo(gradient, i, residual * slopeI);
      for (const j of row.sections) addTo(hessian[i], j, slopeI * ((ohms[j] ?? 0) / row.sigmaOhms));
    }
  }
  sections.forEach((section, s) => {
    const { slope, curvature } = boxSlope(section.box, priorArgument(x, section, s));
    const weight = curvature + (2 * Math.PI) / section.box.logWidth ** 2;
    addTo(gradient, s, slope);
    addTo(hessian[s], s, weight);
    if (section.ratioTo === null) return;
    addTo(gradient, section.ratioTo, -slope);
    addTo(hessian[section.ratioTo], section.ratioTo, weight);
    addTo(hessian[s], section.ratioTo, -weight);
    addTo(hessian[section.ratioTo], s, -weight);
  });
  return { hessian, gradient };
}

/** Adds to an entry in place. */
function addTo(row: number[] | undefined, index: number, value: number): void {
  if (row) row[index] = (row[index] ?? 0) + value;
}

function dampedStep(hessian: number[][], gradient: readonly number[], damping: number): number[] {
  for (let grow = damping; grow < 1e12; grow *= 100) {
    const damped = hessian.map((row, i) =>
      row.map((value, j) => (i === j ? value * (1 + grow) + 1e-12 : value)),
    );
    const factor = choleskyFactor(damped);
    if (factor) return choleskySolve(factor, gradient);
  }
  return gradient.map(() => 0);
}

function summary(x: readonly number[], sections: readonly FitSection[], rows: readonly FitRow[]): Fit {
  const k = sections.length;
  const ohms = x.map(Math.exp);
  const residualSigmas = rows.map((row) => {
    const expected = row.sections.reduce((sum, s) => sum + (ohms[s] ?? 0), 0);
    return (row.ohms - expected) / row.sigmaOhms;
  });
  let logEvidence = rows.reduce(
    (sum, row, i) => sum + logErrorDensity(residualSigmas[i] ?? 0, row.sigmaOhms),
    0,
  );
  sections.forEach((section, s) => {
    logEvidence -= boxPenaltyNats(section.box, priorArgument(x, section, s)) + Math.log(section.box.logWidth);
  });
  if (k === 0) return { logEvidence, ohms, logCovariance: [], residualSigmas };
  const { hessian } = slopes(x, sections, rows);
  const factor = choleskyFactor(hessian);
  if (!factor) throw new RangeError("a Hessian with priors on its diagonal is not positive definite");
  logEvidence += 0.5 * (k * Math.log(2 * Math.PI) - choleskyLogDeterminant(factor));
  const logCovariance = x.map((_, column) =>
    choleskySolve(
      factor,
      x.map((_, i) => (i === column ? 1 : 0)),
    ),
  );
  return { logEvidence, ohms, logCovariance, residualSigmas };
}

/** Log density per ohm of a reading that misses its expectation by `z` standard deviations. */
export function logErrorDensity(z: number, sigmaOhms: number): number {
  const nu = ERROR_FREEDOM;
  // Γ(5.5) / (Γ(5) √(10π)), the peak of Student's t with ten degrees of freedom.
  const peak = 0.38910838396603;
  return Math.log(peak / sigmaOhms) - ((nu + 1) / 2) * Math.log1p((z * z) / nu);
}

function clamp(value: number, most: number): number {
  return Math.max(-most, Math.min(most, value));
}
