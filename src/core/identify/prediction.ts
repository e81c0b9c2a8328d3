import { directionVariance } from "./fit";
import type { Hypothesis } from "./hypotheses";
import { sectionsOn } from "./paths";

/** What a hypothesis expects to read along a path, meter error left out. */
export interface Prediction {
  readonly ohms: number;
  /** Standard deviation of what is not yet known of the sections. */
  readonly sigmaOhms: number;
}

/**
 * Expected ohms along a path mask. Sections that no reading touched are taken from their priors: the middle of the
 * box in the logarithm, its width over √12 as standard deviation.
 */
export function predict(hypothesis: Hypothesis, mask: number): Prediction {
  const { fit, fitIndex, placement } = hypothesis;
  const { sections } = placement.template.variant;
  const direction = new Float64Array(fit.ohms.length);
  let ohms = 0;
  let variance = 0;
  for (const s of sectionsOn(mask)) {
    const f = fitIndex[s] ?? -1;
    const value = sectionOhms(hypothesis, s);
    ohms += value;
    const section = sections[s];
    if (f >= 0) direction[f] = value;
    else if (section) variance += ((value * section.box.logWidth) / Math.sqrt(12)) ** 2;
  }
  return { ohms, sigmaOhms: Math.sqrt(variance + directionVariance(fit, direction)) };
}

/** Most probable ohms of a section, from the fit or else from its prior. */
function sectionOhms(hypothesis: Hypothesis, s: number): number {
  const { fit, fitIndex, placement } = hypothesis;
  const f = fitIndex[s] ?? -1;
  if (f >= 0) return fit.ohms[f] ?? 0;
  const section = placement.template.variant.sections[s];
  if (!section) throw new RangeError(`no section ${s} in the template`);
  const centre = Math.sqrt(section.box.low * section.box.high);
  return section.ratioTo === null ? centre : centre * sectionOhms(hypothesis, section.ratioTo);
}
