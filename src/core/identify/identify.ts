import { type LeadName, leadNames } from "../motor/lead";
import { faultsOf, type Refused, refused } from "../quantity/fault";
import { answers } from "./answers";
import { electronicSign } from "./electronic";
import { type Evidence, weighEvidence, without } from "./evidence";
import type { FindingContext } from "./findings/context";
import { continuityFinding } from "./findings/continuity";
import { outsideFinding } from "./findings/outside";
import { probeOffsetFinding } from "./findings/probeOffset";
import { repeatFindings } from "./findings/repeats";
import { shellFindings } from "./findings/shell";
import { slipFindings, unusualFinding } from "./findings/slip";
import { type Hypotheses, hypotheses } from "./hypotheses";
import type { Finding, Identification } from "./identification";
import { outsideShare } from "./outside";
import { probeOffset } from "./probeOffset";
import { unsettledPairs } from "./probing";
import { answered, behindElectronics, unexplained, untouched } from "./report";
import { SETTLED } from "./settled";
import { type ReadingSheet, readingSheet } from "./sheet";
import { findSlips } from "./slips";
import { WorkBudget } from "./workBudget";

/**
 * What a sheet of readings says about a motor, in the form of `odd-lead/identification@1`.
 *
 * Pure: the same sheet gives the same answer everywhere. A sheet that does not hold together is refused with every
 * fault in it, named by path; nothing is dropped or repaired silently.
 */
export function identify(sheet: unknown): Identification | Refused {
  const parsed = readingSheet.safeParse(sheet);
  if (!parsed.success) return refused(...faultsOf(parsed.error.issues));
  return identifySheet(parsed.data);
}

function identifySheet(sheet: ReadingSheet): Identification {
  const names = leadNames(sheet.leads);
  const shown = weighEvidence(sheet);
  const noted = [
    ...shellFindings(sheet, names),
    ...repeatFindings({ sheet, evidence: shown, names }),
    ...continuityFinding({ sheet, evidence: shown, names }),
  ];
  const electronic = electronicSign(sheet);
  if (electronic) return behindElectronics(electronic, sheet, noted);
  if (shown.pairs.length === 0) return untouched({ sheet, evidence: shown, names, answers: [] }, noted);
  return weighed(sheet, shown, names, noted);
}

/** Work that the searches for probes that were not zeroed and for slips may take, over all of them. */
const MOST_MORE_WORK = 450_000;

/** What is likelier than not is taken to be so. */
const LIKELIER_THAN_NOT = 0.5;
/** Of two readings of one pair that do not agree the later one is the likelier, and no more. */
const LATEST_IS_RIGHT = 0.7;

/** The sheet weighed as read, without the probes' zero where that was forgotten, or without a reading that slipped. */
function weighed(
  sheet: ReadingSheet,
  shown: Evidence,
  names: ReadonlyMap<string, LeadName>,
  noted: readonly Finding[],
): Identification {
  const asShown = hypotheses(shown, sheet);
  // Half for each, so that neither starves the other; what the first leaves goes to the second.
  const forOffset = new WorkBudget(MOST_MORE_WORK / 2);
  const offset = sheet.meter.probeOhms === 0 ? probeOffset(shown, sheet, asShown, forOffset) : null;
  const evidence = offset?.evidence ?? shown;
  const asRead = offset?.standing ?? asShown;
  const forSlips = new WorkBudget(MOST_MORE_WORK / 2 + forOffset.rest);
  const search = findSlips(evidence, sheet, asRead, forSlips);
  const slips = search.probability > LIKELIER_THAN_NOT ? search.slips : [];
  const standing = slips[0]?.without ?? asRead;
  const trusted = slips[0] ? without(evidence, slips[0].pair) : evidence;
  const context: FindingContext = { sheet, evidence: trusted, names, answers: answers(standing.all) };
  const findings = [...noted, ...(offset ? [probeOffsetFinding(offset, context)] : [])];
  if (!explains(standing)) return unexplained({ ...context, evidence }, findings, search.complete);
  if (slips.length > 0) findings.push(...slipFindings(slips, context));
  else if (search.probability > 1 - SETTLED) findings.push(unusualFinding(context));
  const outside = outsideShare(standing);
  if (outside > LIKELIER_THAN_NOT) findings.push(outsideFinding(context));
  const [best] = context.answers;
  const latest = best && unsettledPairs(best, trusted).length > 0 ? LATEST_IS_RIGHT : 1;
  const trust = (slips[0]?.probability ?? 1 - search.probability) * (1 - outside) * latest;
  return answered(context, evidence, findings, {
    slips,
    trust,
    complete: !standing.truncated && search.complete,
  });
}

/** A reading that the best explanation misses by more than this, in standard deviations, is not explained. */
const UNEXPLAINED_SIGMAS = 6;

function explains({ all }: Hypotheses): boolean {
  return all[0]?.fit.residualSigmas.every((z) => Math.abs(z) < UNEXPLAINED_SIGMAS) ?? false;
}
