import { familyById } from "../motor/families";
import { type Answer, roleConfidences } from "./answers";
import { certainties } from "./certain";
import type { ElectronicSign } from "./electronic";
import { type Evidence, isConfirmed } from "./evidence";
import { colourFindings } from "./findings/colour";
import { type FindingContext, idsOf } from "./findings/context";
import { likelyOpen } from "./findings/likelyOpen";
import { observedFindings } from "./findings/observed";
import { brokenIf, cooledProbe, openFindings } from "./findings/open";
import { rangeFindings } from "./findings/range";
import { readsAlike } from "./findings/readsAlike";
import { twinFindings } from "./findings/twins";
import { logSum } from "./hypotheses";
import type { Certainty, Finding, Identification, NextProbe } from "./identification";
import { condemningPair, shellTestDue, shellTestOf, toldShared } from "./probing";
import { type Progress, progressOf } from "./progress";
import { reasoning } from "./reasoning";
import { SETTLED } from "./settled";
import type { ReadingSheet } from "./sheet";
import { type Slip, slipBehindBreak } from "./slips";
import { brokenShare } from "./stakes";
import { bondedLeads, sectionsOf, sectionsWithoutFamily } from "./structure";

/** An answer at this is held against what was seen beside the ohms. */
const WORTH_HOLDING = 0.5;
/** An answer at this is likely enough to look for faults in its windings once nothing more can be read. */
const LIKELY = 0.9;
const MOST_ALTERNATIVES = 5;
/** An answer under this is not listed, and under the other not asked about when tied. */
const LEAST_LISTED = 0.0005;
const LEAST_ASKED = 0.005;

/** How far the weighing may be trusted. */
export interface Weighing {
  /** Readings set aside as slips, likeliest first; none where all stand. */
  readonly slips: readonly Slip[];
  /** Probability that what was set aside, or not, is so. */
  readonly trust: number;
  /** False where the search was cut short: then nothing is settled. */
  readonly complete: boolean;
}

/**
 * The identification where there are answers.
 *
 * @param all the evidence with the slipped reading still in it.
 */
export function answered(
  context: FindingContext,
  all: Evidence,
  earlier: readonly Finding[],
  { slips, trust, complete }: Weighing,
): Identification {
  const { sheet, answers, names } = context;
  const best = answers[0] as Answer;
  const hypothesis = best.members[0];
  if (!hypothesis) throw new RangeError("an answer without members");
  const confidence = Math.min(1, best.confidence * trust);
  const progress = progressOf(context, all, { confidence, trust, complete });
  const found = foundOf(context, earlier, progress, confidence);
  const { findings, doubted } = found;
  const { status, nextProbe } = whatNext(context, all, slips, progress, found);
  const { ask } = sheet;
  const sure = roleConfidences(answers).map((p) => p * trust);
  const bonded = bondedLeads(hypothesis).map((group) => idsOf(context, group));
  const ids = sheet.leads.map((lead) => lead.id);
  const certain = [
    // What may hang on one slipped reading is not certain.
    ...certainties(answers, context.evidence, sheet, names, trust * (1 - (doubted?.probability ?? 0))),
    ...(ask === "sound" && status === "settled" ? [soundIn(sheet, trust * (1 - brokenShare(answers)))] : []),
  ];
  return {
    ok: true,
    format: "odd-lead/identification@1",
    status,
    family: best.family.id,
    confidence,
    roles: roleRecord(best.roles, sheet),
    roleConfidence: Object.fromEntries(
      sheet.leads.flatMap((lead, i) => (best.roles[i] ? [[lead.id, sure[i] ?? 0]] : [])),
    ),
    bonded,
    interchangeable: interchangeable(best, bonded, sheet),
    sections: sectionsOf(hypothesis, context.evidence, ids),
    alternatives: alternativesOf(context),
    nextProbe,
    settleBy: status === "tied" ? settleBy(answers, findings) : [],
    certain: status === "settled" && ask === "all" ? [] : certain,
    unread: progress.unread.map(([a, b]): [string, string] => [ids[a] ?? "", ids[b] ?? ""]),
    brokenIf: status === "settled" ? [] : brokenIf(context),
    findings,
    reasoning: reasoning(best, context.evidence, sheet, names),
  };
}

/** What was found of an answer, told apart where the next probe hangs on it. */
interface Found {
  readonly findings: Finding[];
  /** What says that something is open. */
  readonly opens: readonly Finding[];
  /** Windings that should be alike and are not. */
  readonly twins: readonly Finding[];
  /** A reading to be taken again before the motor is condemned. */
  readonly doubted: ReturnType<typeof behindBreak>;
}

function foundOf(
  context: FindingContext,
  earlier: readonly Finding[],
  { decided, deciding }: Progress,
  confidence: number,
): Found {
  const likely = (context.answers[0]?.confidence ?? 0) >= LIKELY;
  const condemned = openFindings(context);
  const suspected = condemned.length > 0 || decided || deciding ? [] : likelyOpen(context);
  const hangsOnOne = suspected.length > 0 || condemned.some(({ severity }) => severity === "fault");
  const doubted = hangsOnOne ? behindBreak(context) : null;
  const opens = doubted ? [] : condemned;
  const twins = decided || (!deciding && likely) ? twinFindings(context) : [];
  const findings = [
    ...earlier,
    ...opens,
    ...(doubted ? [] : suspected),
    ...(decided ? readsAlike(context) : []),
    ...twins,
    ...(decided ? colourFindings(context) : []),
    ...(confidence >= WORTH_HOLDING ? observedFindings(context) : []),
    ...(!decided && !deciding && opens.length === 0 ? rangeFindings(context) : []),
  ];
  return { findings, opens, twins, doubted };
}

/** How it stands, and what is to be read next. */
function whatNext(
  context: FindingContext,
  all: Evidence,
  slips: readonly Slip[],
  { decided, finished, deciding, checking, untested }: Progress,
  { findings, opens, twins, doubted }: Found,
): Pick<Identification, "status" | "nextProbe"> {
  const { sheet, names } = context;
  const again = findings.find((finding) => finding.code === "readings-disagree");
  const shellDue = shellTestDue(sheet, all, names) ?? shellTestOf(untested, sheet, names);
  const status = statusOf(
    findings,
    finished,
    again !== undefined && (slips.length > 0 || decided),
    doubted?.probe ?? deciding ?? checking ?? (finished && untested !== null ? shellDue : null),
  );
  if (nothingMore(findings) || status === "settled") return { status, nextProbe: null };
  if (slips[0]) return { status, nextProbe: againProbe(slips[0], sheet) };
  if (opens.length > 0) return { status, nextProbe: cooledProbe(context) };
  const pairProbe =
    doubted?.probe ??
    deciding ??
    checking ??
    againFor(again, context, again && twins.includes(again) ? OFF_ITS_TWINS : SUMS_OPEN);
  return { status, nextProbe: shellDue ?? pairProbe };
}

function alternativesOf(context: FindingContext): Identification["alternatives"] {
  const { answers, sheet, evidence } = context;
  const ids = sheet.leads.map((lead) => lead.id);
  return answers
    .slice(1, 1 + MOST_ALTERNATIVES)
    .filter((answer) => answer.confidence >= LEAST_LISTED)
    .map(({ family, confidence, roles, members: [best] }) => ({
      family: family.id,
      confidence,
      roles: roleRecord(roles, sheet),
      sections: best ? sectionsOf(best, evidence, ids) : [],
      bonded: best ? bondedLeads(best).map((group) => idsOf(context, group)) : [],
    }));
}

/** The reading to be taken again before the motor is condemned for what reads open; null where none may be behind it. */
function behindBreak({
  evidence,
  sheet,
  answers,
}: FindingContext): { readonly probe: NextProbe; readonly probability: number } | null {
  const all = logSum(answers.flatMap(({ members }) => members.map(({ logWeight }) => logWeight)));
  const slip = slipBehindBreak(evidence, sheet, all);
  return slip && { probe: condemningPair(slip.pair, sheet), probability: slip.probability };
}

/** The answer to whether it is sound. */
function soundIn({ leads }: ReadingSheet, confidence: number): Certainty {
  return {
    kind: "sound",
    leads: leads.map(({ id }) => id),
    confidence,
    says: "Every winding was read through and is whole, and none of them touches the shell.",
  };
}

function statusOf(
  findings: readonly Finding[],
  decided: boolean,
  conflict: boolean,
  probe: NextProbe | null,
): Identification["status"] {
  if (findings.some((finding) => finding.severity === "fault")) return "fault";
  if (conflict) return "conflict";
  if (probe) return "needs-probe";
  return decided ? "settled" : "tied";
}

/** A grounded winding ends the probing: nothing further is asked of the meter. */
function nothingMore(findings: readonly Finding[]): boolean {
  return findings.some((f) => f.code === "grounded-winding" || f.code === "low-insulation");
}

/** The identification of a sheet on which no pair is read yet. */
export function untouched(context: FindingContext, findings: readonly Finding[]): Identification {
  const { sheet, evidence, names } = context;
  const hub = toldShared(sheet);
  const first = sheet.leads[Math.max(0, hub)];
  const second = sheet.leads.find((lead) => lead !== first);
  const pair: NextProbe | null =
    first && second
      ? {
          kind: "pair",
          between: [first.id, second.id],
          because:
            hub < 0
              ? "Nothing is read yet; any pair is as good a start."
              : "From the lead that all share, each other lead is one reading away.",
        }
      : null;
  const stop = nothingMore(findings);
  return {
    ...nothingKnown(findings),
    status: stop ? "fault" : "needs-probe",
    nextProbe: stop ? null : (shellTestDue(sheet, evidence, names) ?? pair),
  };
}

/**
 * The identification of readings that no motor of the catalogue gives.
 *
 * @param complete whether each reading was left out in turn, and none of them is behind it.
 */
export function unexplained(
  context: FindingContext,
  earlier: readonly Finding[],
  complete: boolean,
): Identification {
  const { sheet, evidence, names } = context;
  const ids = sheet.leads.map((lead) => lead.id);
  const findings: Finding[] = [
    ...earlier,
    {
      code: "unknown-build",
      severity: "doubt",
      leads: ids,
      says: `No kind of motor in the catalog reads like this${complete ? ", even with any one reading left out" : ""}. Read the table again from the start, with the motor disconnected and cool.`,
    },
  ];
  const stop = nothingMore(findings);
  return {
    ...nothingKnown(findings),
    status: stop ? "fault" : "conflict",
    sections: sectionsWithoutFamily(evidence, ids),
    nextProbe: stop ? null : (shellTestDue(sheet, evidence, names) ?? againFirst(evidence, ids)),
  };
}

/** The identification of a motor whose windings sit behind electronics: ohms between its leads say nothing. */
export function behindElectronics(
  sign: ElectronicSign,
  sheet: ReadingSheet,
  earlier: readonly Finding[],
): Identification {
  const tests = familyById("electronic")?.beyondOhms ?? [];
  const stop = earlier.some((finding) => finding.severity === "fault");
  const finding: Finding = {
    code: "beyond-ohms",
    severity: "note",
    leads: sheet.leads.map((lead) => lead.id),
    says: `There are electronics between these leads and the winding: ohms between them say nothing. ${tests[1] ?? ""}`,
  };
  return {
    ...nothingKnown([...earlier, finding]),
    status: stop ? "fault" : sign.confidence >= SETTLED ? "settled" : "tied",
    family: "electronic",
    confidence: sign.confidence,
    settleBy: sign.confidence >= SETTLED ? [] : [...tests],
    reasoning: [sign.says],
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
    certain: [],
    unread: [],
    brokenIf: [],
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

/** What settles a motor of no kind in the catalog. */
const DRAWING =
  "The drawing on the plate, in the cover or in the papers: which windings are between which leads.";

function settleBy(list: readonly Answer[], findings: readonly Finding[]): string[] {
  if (findings.some(({ code }) => code === "unknown-build")) return [DRAWING];
  const likely = list.filter((answer) => answer.confidence > LEAST_ASKED);
  const families = [...new Set(likely.map((answer) => answer.family))];
  const between =
    families.length > 1 ? [`Plate or machine: is it ${families.map((f) => f.title).join(", or ")}?`] : [];
  const range = findings.filter((finding) => finding.code === "range-too-coarse").map(({ says }) => says);
  return [...range, ...between, ...new Set(families.flatMap((family) => family.beyondOhms))];
}

function againProbe(slip: Slip, sheet: ReadingSheet): NextProbe {
  const between: [string, string] = [sheet.leads[slip.pair.a]?.id ?? "", sheet.leads[slip.pair.b]?.id ?? ""];
  return { kind: "pair", between, because: "The other readings speak against this one. Read it again." };
}

const OFF_ITS_TWINS = "It is far off its twins. Read it again.";
const SUMS_OPEN = "The sums do not close along the winding, and this is the longest of it. Read it again.";

/** The pair that a finding speaks against; null where it was read twice alike, so that once more tells nothing. */
function againFor(
  finding: Finding | undefined,
  { evidence, sheet }: FindingContext,
  because: string,
): NextProbe | null {
  const [a, b] = finding?.leads ?? [];
  if (a === undefined || b === undefined) return null;
  const place = (id: string) => sheet.leads.findIndex((lead) => lead.id === id);
  const read = evidence.pairOf(place(a), place(b));
  if (read && isConfirmed(read)) return null;
  return { kind: "pair", between: [a, b], because };
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
