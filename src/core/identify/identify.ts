import { type LeadName, leadNames } from "../motor/lead";
import { faultsOf, type Refused, refused } from "../quantity/fault";
import { type Answer, answers, roleConfidences } from "./answers";
import { type Evidence, weighEvidence, without } from "./evidence";
import { brokenSection, type Hypotheses, hypotheses } from "./hypotheses";
import type { Finding, Identification, NextProbe } from "./identification";
import { checkingPair, decidingPair, shellTestDue } from "./probing";
import { listed, reasoning } from "./reasoning";
import { type ReadingSheet, readingSheet } from "./sheet";
import { shellFindings } from "./shell";
import { findSlips, type Slip } from "./slips";
import { bondedLeads, impliedOhms, saysOhms, sectionsOf, sectionsWithoutFamily } from "./structure";

/** One answer stands at this probability or better: settled. */
export const SETTLED = 0.99;
/** A fault is declared when sound explanations together are this unlikely. */
const FAULT_SURE = 0.97;
const MOST_ALTERNATIVES = 5;

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
  const evidence = weighEvidence(sheet);
  const shell = shellFindings(sheet, names);
  const findings = [...shell, ...repeatFindings(evidence, sheet, names)];
  if (evidence.pairs.length === 0) return untouched(sheet, evidence, names, findings);

  const asRead = hypotheses(evidence, sheet.about);
  const search = findSlips(evidence, sheet.about, asRead);
  const slips = search.probability > 0.5 ? search.slips : [];
  const standing: Hypotheses = slips[0]?.without ?? asRead;
  const list = answers(standing.all);
  if (list.length === 0 || !explains(standing)) return unexplained(sheet, evidence, names, findings);
  if (slips.length > 0) findings.push(...slipFindings(slips, sheet, names));
  else if (search.probability > 1 - SETTLED) findings.push(unusualFinding(evidence, sheet, names));
  const trust = slips[0]?.probability ?? 1 - search.probability;
  return answered(sheet, evidence, names, findings, list, standing, slips, trust);
}

/** A reading that the best explanation misses by more than this, in standard deviations, is not explained. */
const UNEXPLAINED_SIGMAS = 6;

function explains({ all }: Hypotheses): boolean {
  return all[0]?.fit.residualSigmas.every((z) => Math.abs(z) < UNEXPLAINED_SIGMAS) ?? false;
}

function answered(
  sheet: ReadingSheet,
  evidence: Evidence,
  names: ReadonlyMap<string, LeadName>,
  earlier: readonly Finding[],
  list: readonly Answer[],
  standing: Hypotheses,
  slips: readonly Slip[],
  trust: number,
): Identification {
  const best = list[0] as Answer;
  const hypothesis = best.members[0];
  if (!hypothesis) throw new RangeError("an answer without members");
  const findings = [...earlier, ...openFindings(list, sheet, names)];
  const confidence = best.confidence * trust;
  const decided = confidence >= SETTLED && !standing.truncated;
  const deciding = decided ? null : decidingPair(list, evidence, sheet, names);
  const checking = decided ? checkingPair(best, evidence, sheet) : null;
  const faulty = findings.some((finding) => finding.severity === "fault");
  const status: Identification["status"] = faulty
    ? "fault"
    : slips.length > 0
      ? "conflict"
      : decided && !checking
        ? "settled"
        : deciding || checking
          ? "needs-probe"
          : "tied";
  const pairProbe = slips[0] ? againProbe(slips[0], sheet) : (deciding ?? checking);
  const shellDue = status === "settled" ? null : shellTestDue(sheet, evidence, names);
  const roles = roleRecord(best.roles, sheet);
  const sure = roleConfidences(list).map((p) => p * trust);
  const bonded = bondedLeads(hypothesis).map((group) => group.map((lead) => sheet.leads[lead]?.id ?? ""));
  return {
    ok: true,
    format: "odd-lead/identification@1",
    status,
    family: best.family.id,
    confidence: Math.min(1, confidence),
    roles,
    roleConfidence: Object.fromEntries(
      sheet.leads.flatMap((lead, i) => (best.roles[i] ? [[lead.id, sure[i] ?? 0]] : [])),
    ),
    bonded,
    interchangeable: interchangeable(best, bonded, sheet),
    sections: sectionsOf(
      hypothesis,
      sheet.leads.map((lead) => lead.id),
    ),
    alternatives: list.slice(1, 1 + MOST_ALTERNATIVES).flatMap((answer) =>
      answer.confidence < 0.0005
        ? []
        : [
            {
              family: answer.family.id,
              confidence: answer.confidence,
              roles: roleRecord(answer.roles, sheet),
            },
          ],
    ),
    nextProbe: shell(findings) ? null : slips.length > 0 ? pairProbe : (shellDue ?? pairProbe),
    settleBy: status === "tied" ? settleBy(list) : [],
    findings,
    reasoning: reasoning(best, slips[0] ? without(evidence, slips[0].pair) : evidence, sheet, names),
  };
}

/** A grounded winding ends the probing: nothing further is asked of the meter. */
function shell(findings: readonly Finding[]): boolean {
  return findings.some((f) => f.code === "grounded-winding" || f.code === "low-insulation");
}

function untouched(
  sheet: ReadingSheet,
  evidence: Evidence,
  names: ReadonlyMap<string, LeadName>,
  findings: readonly Finding[],
): Identification {
  const [first, second] = sheet.leads;
  const pair: NextProbe | null =
    first && second
      ? {
          kind: "pair",
          between: [first.id, second.id],
          because: "Nothing is read yet; any pair is as good a start.",
        }
      : null;
  const stop = shell(findings);
  return {
    ...nothingKnown(findings),
    status: stop ? "fault" : "needs-probe",
    nextProbe: stop ? null : (shellTestDue(sheet, evidence, names) ?? pair),
  };
}

function unexplained(
  sheet: ReadingSheet,
  evidence: Evidence,
  names: ReadonlyMap<string, LeadName>,
  earlier: readonly Finding[],
): Identification {
  const findings: Finding[] = [
    ...earlier,
    {
      code: "unknown-build",
      severity: "doubt",
      leads: sheet.leads.map((lead) => lead.id),
      says: "No kind of motor in the catalogue reads like this, even with any one reading left out. Read the table again from the start, with the motor disconnected and cool.",
    },
  ];
  const ids = sheet.leads.map((lead) => lead.id);
  return {
    ...nothingKnown(findings),
    status: shell(findings) ? "fault" : "conflict",
    sections: sectionsWithoutFamily(evidence, ids),
    nextProbe: shell(findings) ? null : (shellTestDue(sheet, evidence, names) ?? againFirst(evidence, ids)),
  };
}

function nothingKnown(findings: readonly Finding[]): Identification {
  return {
    ok: true,
    format: "odd-lead/identification@1",
    status: "needs-probe",
    family: null,
    confidence: 0,
    roles: {},
    roleConfidence: {},
    bonded: [],
    interchangeable: [],
    sections: [],
    alternatives: [],
    nextProbe: null,
    settleBy: [],
    findings: [...findings],
    reasoning: [],
  };
}

function roleRecord(roles: Answer["roles"], sheet: ReadingSheet): Identification["roles"] {
  return Object.fromEntries(sheet.leads.flatMap((lead, i) => (roles[i] ? [[lead.id, roles[i]]] : [])));
}

function interchangeable(best: Answer, bonded: string[][], sheet: ReadingSheet): string[][] {
  const alike = best.family.swappable ?? [];
  const groups = alike.map((name) =>
    sheet.leads.flatMap((lead, i) => (best.roles[i]?.role === name ? [lead.id] : [])),
  );
  return [...bonded, ...groups.filter((group) => group.length > 1)];
}

function settleBy(list: readonly Answer[]): string[] {
  const likely = list.filter((answer) => answer.confidence > 0.005);
  const families = [...new Set(likely.map((answer) => answer.family))];
  const between =
    families.length > 1 ? [`Plate or machine: is it ${families.map((f) => f.title).join(", or ")}?`] : [];
  return [...between, ...new Set(families.flatMap((family) => family.beyondOhms))];
}

function againProbe(slip: Slip, sheet: ReadingSheet): NextProbe {
  const between: [string, string] = [sheet.leads[slip.pair.a]?.id ?? "", sheet.leads[slip.pair.b]?.id ?? ""];
  return { kind: "pair", between, because: "The other readings speak against this one. Read it again." };
}

function againFirst(evidence: Evidence, ids: readonly string[]): NextProbe | null {
  const pair = evidence.pairs[0];
  if (!pair) return null;
  return {
    kind: "pair",
    between: [ids[pair.a] ?? "", ids[pair.b] ?? ""],
    because: "Begin the table again here.",
  };
}

function slipFindings(
  slips: readonly Slip[],
  sheet: ReadingSheet,
  names: ReadonlyMap<string, LeadName>,
): Finding[] {
  if (slips.length === 0) return [];
  const id = (lead: number) => sheet.leads[lead]?.id ?? "";
  const word = (lead: number) => names.get(id(lead))?.long ?? "";
  const resolution = sheet.meter.resolutionOhms;
  return slips
    .filter((slip, rank) => rank === 0 || slip.probability > 0.05)
    .slice(0, 4)
    .map(({ pair, probability, without }): Finding => {
      const best = without.all[0];
      const implied = best ? impliedOhms(best, pair.a, pair.b) : null;
      const chance =
        slips.length > 1 && probability < 0.9
          ? ` (${Math.round(probability * 100)} % likely the wrong one)`
          : "";
      return {
        code: "readings-disagree",
        severity: "doubt",
        leads: [id(pair.a), id(pair.b)],
        says: `The sums do not close: ${word(pair.a)} to ${word(pair.b)} was entered as ${saysOhms(pair.ohms, resolution)}, the others imply ${saysOhms(implied, resolution)}${chance}. Read this pair again.`,
      };
    });
}

/** The sums do not close in a row; only a build that is rare explains them. */
function unusualFinding(
  evidence: Evidence,
  sheet: ReadingSheet,
  names: ReadonlyMap<string, LeadName>,
): Finding {
  const read = evidence.pairs.filter((pair) => pair.ohms !== null);
  const longest = read.reduce((best, pair) => ((pair.ohms ?? 0) > (best.ohms ?? 0) ? pair : best));
  const ids = [longest.a, longest.b].map((lead) => sheet.leads[lead]?.id ?? "");
  const words = listed(ids.map((id) => names.get(id)?.long ?? id));
  return {
    code: "readings-disagree",
    severity: "doubt",
    leads: ids,
    says: `The sums do not close along the winding. Either it has a joint that no lead comes out of, which is rare, or a reading is wrong: read ${words} again first, then the others.`,
  };
}

function repeatFindings(
  evidence: Evidence,
  sheet: ReadingSheet,
  names: ReadonlyMap<string, LeadName>,
): Finding[] {
  return evidence.pairs
    .filter((pair) => pair.discarded.length > 0)
    .map((pair): Finding => {
      const leads = [pair.a, pair.b].map((lead) => sheet.leads[lead]?.id ?? "");
      const shown = pair.discarded.map((ohms) => saysOhms(ohms, sheet.meter.resolutionOhms));
      return {
        code: "reading-unsteady",
        severity: "note",
        leads,
        says: `${listed(leads.map((id) => names.get(id)?.long ?? id))} was read more than once, not alike; the latest stands, not ${listed(shown)}.`,
      };
    });
}

/** The chance that the motor is broken, and where, when no sound motor explains the opens. */
function openFindings(
  list: readonly Answer[],
  sheet: ReadingSheet,
  names: ReadonlyMap<string, LeadName>,
): Finding[] {
  const members = list.flatMap((answer) => answer.members);
  const best = members.reduce((a, b) => (b.logWeight > a.logWeight ? b : a));
  const weight = (h: (typeof members)[number]) => Math.exp(h.logWeight - best.logWeight);
  const total = members.reduce((sum, h) => sum + weight(h), 0);
  const broken = members.reduce((sum, h) => sum + (brokenSection(h) === null ? 0 : weight(h)), 0);
  const section = brokenSection(best);
  if (section === null || broken / total < FAULT_SURE) return [];
  const { template, nodeOf } = best.placement;
  const apart = nodeOf.flatMap((node, lead) => (node === null ? [lead] : []));
  const ids = apart.map((lead) => sheet.leads[lead]?.id ?? "");
  const words = listed(ids.map((id) => names.get(id)?.long ?? id));
  const cool = "Let the motor cool and read again before condemning it.";
  const roles = list[0]?.roles ?? [];
  const shared = apart.some((lead) => roles[lead]?.role !== "start-end" && roles[lead]?.role !== "start");
  const winding = template.variant.sections[section]?.winding ?? "main";
  return [
    {
      code: shared && apart.length > 0 ? "open-common" : "open-winding",
      severity: "fault",
      leads: ids,
      says:
        apart.length > 0
          ? `${words} reads open to every other lead: a broken ${winding} winding or lead, or a protector that is hot and open. ${cool}`
          : `The ${winding} winding is open between the two groups of leads. ${cool}`,
    },
  ];
}
