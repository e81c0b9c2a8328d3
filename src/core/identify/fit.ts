import { boxPenaltyNats, boxSlope, type SoftBox } from "../motor/softBox";
import {
  choleskyFactor,
  choleskyLogDeterminant,
  factorInPlace,
  forwardInPlace,
  solveInPlace,
} from "./cholesky";

/** One reading of a fit: the sections its path runs through, as a bit mask, and what the meter gave. */
export interface FitRow {
  readonly mask: number;
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
  /** What of that the sections' ratios cost by lying outside their usual ranges, in nats. */
  readonly strainNats: number;
  /** Most probable ohms of each section. */
  readonly ohms: Float64Array;
  /** Cholesky factor of the Hessian in the sections' natural logs, row by row. */
  readonly factor: Float64Array;
  /** Residual of each row over its standard deviation. */
  readonly residualSigmas: readonly number[];
}

/** Degrees of freedom of the Student t that stands for reading errors: real meters have fatter tails than Gauss. */
const ERROR_FREEDOM = 10;
/** Boxes of windings wound alike end under this ratio. */
const ALIKE_AT_MOST = 1.1;
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
  const { normal } = start;
  const scratch = scratchFor(normal.n);
  const { x, next, move } = scratch;
  x.set(start.logOhms);
  let cost = start.costNats;
  let damping = 1e-4;
  for (let step = 0; step < MOST_STEPS; step++) {
    slopes(x, sections, normal, scratch);
    const before = cost;
    for (; damping < MOST_DAMPING; damping *= 10) {
      dampedStep(damping, scratch);
      for (let s = 0; s < next.length; s++) next[s] = (x[s] as number) - clamp(move[s] as number, 1.5);
      const nextCost = costAt(next, sections, normal);
      if (nextCost > cost) continue;
      x.set(next);
      cost = nextCost;
      break;
    }
    if (before - cost < LEAST_GAIN_NATS) break;
    damping = Math.max(damping / 10, 1e-9);
  }
  return summary(x, sections, rows, normal);
}

/** What a fit works in. */
interface Scratch {
  /** Log ohms, those of the next step, and how far that goes. */
  readonly x: Float64Array;
  readonly next: Float64Array;
  readonly move: Float64Array;
  readonly ohms: Float64Array;
  readonly gradient: Float64Array;
  readonly hessian: Float64Array;
  readonly damped: Float64Array;
}

const scratches: Scratch[] = [];

/**
 * The scratch for so many sections, one for all fits: thousands are made for a sheet, one after the other, and an array
 * made anew for each step of each costs more than the arithmetic. Nothing of it is handed out.
 */
function scratchFor(n: number): Scratch {
  const known = scratches[n];
  if (known) return known;
  const [row, square] = [() => new Float64Array(n), () => new Float64Array(n * n)];
  const made = {
    x: row(),
    next: row(),
    move: row(),
    ohms: row(),
    gradient: row(),
    hessian: square(),
    damped: square(),
  };
  scratches[n] = made;
  return made;
}

/** Variance of the natural-log sections along a direction: vᵀ·H⁻¹·v. */
export function directionVariance(fit: Fit, direction: Float64Array): number {
  const y = direction.slice();
  forwardInPlace(fit.factor, y, y.length);
  let sum = 0;
  for (const value of y) sum += value * value;
  return sum;
}

/** Where a fit begins: section ohms in the natural log, and what they cost. */
export interface RoughFit {
  readonly logOhms: Float64Array;
  /** Half the weighted squares plus the prior's penalty, in nats: a full fit costs no more. */
  readonly costNats: number;
  readonly normal: Normal;
}

/** A quick first guess at a fit, to tell hopeless hypotheses from those worth fitting. */
export function roughFit(sections: readonly FitSection[], rows: readonly FitRow[]): RoughFit {
  const normal = normalEquations(sections.length, rows);
  const logOhms = startingPoint(sections, rows, normal);
  const costNats = costAt(logOhms, sections, normal);
  const raised = onTheirFeet(logOhms, sections);
  const raisedNats = raised ? costAt(raised, sections, normal) : Number.POSITIVE_INFINITY;
  return raised && raisedNats < costNats
    ? { logOhms: raised, costNats: raisedNats, normal }
    : { logOhms, costNats, normal };
}

/**
 * The readings in the form that least squares asks for. Readings are linear in the ohms r of the sections, so their
 * weighted squares are rᵀ·N·r − 2·bᵀ·r + c, however many readings there are.
 */
interface Normal {
  readonly n: number;
  readonly N: Float64Array;
  readonly b: Float64Array;
  readonly c: number;
}

function normalEquations(n: number, rows: readonly FitRow[]): Normal {
  const N = new Float64Array(n * n);
  const b = new Float64Array(n);
  let c = 0;
  for (const { mask, ohms, sigmaOhms } of rows) {
    const weight = 1 / (sigmaOhms * sigmaOhms);
    c += weight * ohms * ohms;
    for (let i = 0; i < n; i++) {
      if (((mask >> i) & 1) === 0) continue;
      b[i] = (b[i] as number) + weight * ohms;
      for (let j = 0; j < n; j++) {
        if ((mask >> j) & 1) N[i * n + j] = (N[i * n + j] as number) + weight;
      }
    }
  }
  return { n, N, b, c };
}

/**
 * The same with sections that came out shorter than their boxes allow at the foot of their boxes; null where none did.
 * Windings wound alike that are not have a fault, and stay where the readings put them.
 */
function onTheirFeet(x: Float64Array, sections: readonly FitSection[]): Float64Array | null {
  let raised: Float64Array | null = null;
  for (let s = 0; s < sections.length; s++) {
    const { box, ratioTo } = sections[s] as FitSection;
    if (ratioTo === null || box.high <= ALIKE_AT_MOST) continue;
    const foot = ((raised ?? x)[ratioTo] as number) + box.logLow - box.below;
    if (foot <= (x[s] as number)) continue;
    raised ??= x.slice();
    raised[s] = foot;
  }
  return raised;
}

/** A section that least squares makes shorter than this share of its prior has no length from it. */
const LEAST_OF_PRIOR = 0.02;

/**
 * Prior centres scaled to the readings, then one linear least-squares pull to them; sections that it would make
 * negative start at the foot of their box: the prior says how short they may be, where the readings have no say.
 */
function startingPoint(
  sections: readonly FitSection[],
  rows: readonly FitRow[],
  { n, N, b }: Normal,
): Float64Array {
  const { next: ratio, ohms: prior, move: pulled, damped: pull } = scratchFor(n);
  for (let s = 0; s < n; s++) {
    const { box, ratioTo } = sections[s] as FitSection;
    ratio[s] = ratioTo === null ? 0 : (ratio[ratioTo] as number) + 0.5 * (box.logLow + box.logHigh);
  }
  let scale = 0;
  let counted = 0;
  for (const { mask, ohms, sigmaOhms } of rows) {
    let expected = 0;
    for (let s = 0; s < n; s++) if ((mask >> s) & 1) expected += Math.exp(ratio[s] as number);
    if (expected === 0) continue;
    scale += Math.log(Math.max(ohms, sigmaOhms) / expected);
    counted += 1;
  }
  scale = counted > 0 ? scale / counted : Math.log(10);
  for (let s = 0; s < n; s++) prior[s] = Math.exp((ratio[s] as number) + scale);
  pull.set(N);
  pulled.set(b);
  for (let s = 0; s < n; s++) {
    const ohms = prior[s] as number;
    pull[s * n + s] = (pull[s * n + s] as number) + 0.05 / (ohms * ohms);
    pulled[s] = (pulled[s] as number) + 0.05 / ohms;
  }
  if (factorInPlace(pull, n)) solveInPlace(pull, pulled, n);
  else pulled.set(prior);
  const x = new Float64Array(n);
  for (let s = 0; s < n; s++) {
    const { box, ratioTo } = sections[s] as FitSection;
    const least = LEAST_OF_PRIOR * (prior[s] as number);
    const ohms = pulled[s] as number;
    if (ohms >= least) x[s] = Math.log(ohms);
    else x[s] = ratioTo === null ? Math.log(least) : (x[ratioTo] as number) + box.logLow - box.below;
  }
  anchorUnread(x, sections, N);
  return x;
}

/**
 * Puts a section that no reading runs through where the most exacting of the boxes that tie it to others wants it: the
 * search would get there in small steps only, for outside a narrow box the slope says little of how far it is.
 */
function anchorUnread(x: Float64Array, sections: readonly FitSection[], N: Float64Array): void {
  const n = sections.length;
  sections.forEach((_, unread) => {
    if (N[unread * n + unread] !== 0) return;
    let narrowest = Number.POSITIVE_INFINITY;
    sections.forEach(({ ratioTo, box }, s) => {
      const other = s === unread ? ratioTo : ratioTo === unread ? s : null;
      if (other === null || box.logWidth >= narrowest) return;
      if (s !== unread && N[s * n + s] === 0) return;
      narrowest = box.logWidth;
      const centre = 0.5 * (box.logLow + box.logHigh);
      x[unread] = (x[other] as number) + (s === unread ? centre : -centre);
    });
  });
}

function costAt(x: Float64Array, sections: readonly FitSection[], { n, N, b, c }: Normal): number {
  let squares = c;
  const r = exponentials(x, scratchFor(n).ohms);
  for (let i = 0; i < n; i++) {
    let row = -2 * (b[i] as number);
    for (let j = 0; j < n; j++) row += (N[i * n + j] as number) * (r[j] as number);
    squares += row * (r[i] as number);
  }
  // Rounding may leave a hair below zero where the readings fit exactly.
  let cost = 0.5 * Math.max(0, squares);
  for (let s = 0; s < n; s++) {
    const section = sections[s] as FitSection;
    cost += boxPenaltyNats(section.box, priorArgument(x, section, s));
  }
  return cost;
}

/** The ohms of natural-log ohms. A plain loop: the arrays are short and many, and their own map costs several times it. */
function exponentials(x: Float64Array, r: Float64Array): Float64Array {
  for (let i = 0; i < r.length; i++) r[i] = Math.exp(x[i] as number);
  return r;
}

function priorArgument(x: Float64Array, section: FitSection, s: number): number {
  return (x[s] as number) - (section.ratioTo === null ? 0 : (x[section.ratioTo] as number));
}

/** Gauss–Newton Hessian and gradient of the cost; box interiors count with the curvature of their width. */
function slopes(
  x: Float64Array,
  sections: readonly FitSection[],
  { n, N, b }: Normal,
  { hessian, gradient, ohms }: Scratch,
): void {
  const r = exponentials(x, ohms);
  for (let i = 0; i < n; i++) {
    let row = -(b[i] as number);
    for (let j = 0; j < n; j++) {
      const product = (N[i * n + j] as number) * (r[j] as number);
      row += product;
      hessian[i * n + j] = product * (r[i] as number);
    }
    gradient[i] = row * (r[i] as number);
  }
  const add = (i: number, j: number, value: number) => {
    hessian[i * n + j] = (hessian[i * n + j] as number) + value;
  };
  for (let s = 0; s < n; s++) {
    const section = sections[s] as FitSection;
    const { slope, curvature } = boxSlope(section.box, priorArgument(x, section, s));
    const weight = curvature + (2 * Math.PI) / section.box.logWidth ** 2;
    gradient[s] = (gradient[s] as number) + slope;
    add(s, s, weight);
    const { ratioTo } = section;
    if (ratioTo === null) continue;
    gradient[ratioTo] = (gradient[ratioTo] as number) - slope;
    add(ratioTo, ratioTo, weight);
    add(s, ratioTo, -weight);
    add(ratioTo, s, -weight);
  }
}

/** The step down the slopes, damped as it must be: into `move`. */
function dampedStep(damping: number, { hessian, gradient, damped, move }: Scratch): void {
  const n = gradient.length;
  for (let grow = damping; grow < 1e12; grow *= 100) {
    damped.set(hessian);
    for (let i = 0; i < n; i++) damped[i * n + i] = (damped[i * n + i] as number) * (1 + grow) + 1e-12;
    if (!factorInPlace(damped, n)) continue;
    move.set(gradient);
    solveInPlace(damped, move, n);
    return;
  }
  move.fill(0);
}

function summary(
  x: Float64Array,
  sections: readonly FitSection[],
  rows: readonly FitRow[],
  normal: Normal,
): Fit {
  const n = sections.length;
  const ohms = exponentials(x, new Float64Array(n));
  const residualSigmas = rows.map((row) => {
    let expected = 0;
    for (let s = 0; s < n; s++) if ((row.mask >> s) & 1) expected += ohms[s] as number;
    return (row.ohms - expected) / row.sigmaOhms;
  });
  let logEvidence = 0;
  let strainNats = 0;
  rows.forEach((row, i) => {
    logEvidence += logErrorDensity(residualSigmas[i] as number, row.sigmaOhms);
  });
  sections.forEach((section, s) => {
    const penalty = boxPenaltyNats(section.box, priorArgument(x, section, s));
    // Windings wound alike that are not: a fault, and no other build.
    if (section.ratioTo !== null && section.box.high > ALIKE_AT_MOST) strainNats += penalty;
    logEvidence -= penalty + Math.log(section.box.logWidth);
  });
  if (n === 0) return { logEvidence, strainNats, ohms, factor: new Float64Array(0), residualSigmas };
  const scratch = scratchFor(n);
  slopes(x, sections, normal, scratch);
  const factor = choleskyFactor(scratch.hessian, n);
  if (!factor) throw new RangeError("a Hessian with priors on its diagonal is not positive definite");
  logEvidence += 0.5 * (n * Math.log(2 * Math.PI) - choleskyLogDeterminant(factor, n));
  return { logEvidence, strainNats, ohms, factor, residualSigmas };
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
