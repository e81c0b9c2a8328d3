import { familyById } from "../motor/families";
import { faultsOf, type Refused, refused } from "../quantity/fault";
import { type Belief, type Believed, beliefOf, type Figure, foreseen } from "./belief";
import { type Cause, type CauseAt, causeWords } from "./causes";
import type { Diagnosis, NextCheck, ProvingLine, RankedCause } from "./diagnosis";
import { EXPECTED_RATE, expectedOf } from "./expected";
import { alike, conditioned } from "./gaussian";
import { lineVerdicts, type NameOf } from "./lineVerdicts";
import { notYetSeen } from "./mustSee";
import { type Check, checksOf, powerOf, readingsOf, type WeighedCheck } from "./nextCheck";
import { type ProvingCase, provingCase } from "./provingCase";
import { type ProvingSheet, provingSheet } from "./provingSheet";
import { meterVariance, unweighed, WEIGHING, weighed } from "./reading";
import { startChances, turnAsPlanned, turnUnder } from "./seen";
import { type Sight, sightOf } from "./sight";
import type { Suspect } from "./suspect";
import { AS_PLANNED } from "./suspects";

/** One cause is found at this, and all is good at that. */
export const FOUND = 0.95;
export const GOOD = 0.99;
/** Less than this a check tells nothing, nats. */
const TELLS_LEAST = 0.0012;
/** Causes that are listed have at least this. */
const LISTED = 0.005;

/**
 * What is the matter, if anything, with a motor under power: every cause as a change of the machine that planned the
 * wiring, run and held against what was seen. Posterior over causes by linear Gaussian weighing of figures (in
 * logarithms; what plate and load leave open taken out) and by chances for what eye and nose tell; the next check by
 * expected information for its effort. Never good over a motor that another cause explains as well; `unknown` has a share
 * of its own. Refused where there is no winding to run.
 */
export function diagnose(sheet: unknown): Diagnosis | Refused {
  const parsed = provingSheet.safeParse(sheet);
  return parsed.success ? diagnoseSheet(parsed.data) : refused(...faultsOf(parsed.error.issues));
}

function diagnoseSheet(sheet: ProvingSheet): Diagnosis | Refused {
  const opened = openedCase(sheet);
  if (!opened.ok) return opened;
  const { made, sight } = opened;
  const { observations } = sheet;
  const nameOf = namesOf(sheet);
  const belief = withoutHarmless(made, sight, beliefOf(made, sight, observations));
  const before = { suspect: AS_PLANNED, posterior: conditioned([], sight.directions.length + 1) };
  const lines = lineVerdicts({ made, sight, before, belief, nameOf }, observations);
  const standing = new Set([...belief.standing.figures, ...belief.standing.told].map(({ index }) => index));
  const stopped = lines.some(({ verdict, observation }) => verdict === "stop" && standing.has(observation));
  const groups = grouped(made, sight, belief);
  const causes = groups
    .filter(({ probability }) => probability > LISTED)
    .map((group) => rankedCause(made, sight, belief, group, nameOf));
  if (belief.unknown > LISTED) causes.push(unknownCause(belief));
  causes.sort((a, b) => b.probability - a.probability);
  const without = new Set<string>(sheet.without);
  const canBe = (check: Check) => !without.has(check.what) && (!stopped || powerOf(check) === "off");
  const checks = checksOf(made, sight, belief).filter(({ check }) => canBe(check));
  const sound = groups.find(({ cause }) => cause === "as-planned")?.probability ?? 0;
  const missing = notYetSeen(made, sight, belief).filter(canBe);
  const unseen = made.calls.filter(({ state }) => !callSeen(belief, state.id));
  const telling = checks.some(({ tells }) => tells > TELLS_LEAST);
  const outside = lines.some(({ observation, verdict }) => {
    const seen = observations[observation];
    return verdict !== "good" && standing.has(observation) && seen !== undefined && LIMITED.has(seen.what);
  });
  const status = statusOf({ causes, sound, stopped, telling, missing: missing.length, outside });
  const nextCheck =
    status === "needs-check" || status === "stop"
      ? asked(made, chosenCheck(made, belief, checks, missing), nameOf)
      : null;
  const believedSound = belief.believed.find(({ suspect }) => suspect.cause === "as-planned");
  return {
    ok: true,
    format: "odd-lead/diagnosis@1",
    status: status === "needs-check" && nextCheck === null ? "open-question" : status,
    expected: expectedOf(made, sight, sound > NARROWS && believedSound ? believedSound : before),
    rate: EXPECTED_RATE,
    lines,
    causes,
    nextCheck,
    findings: findingsOf(made, lines, standing, observations.length, unseen, nameOf),
  };
}

/** Lines that are held against a limit of their own; no model outweighs it. */
const LIMITED: ReadonlySet<string> = new Set(["supply-volts", "turn", "sign"]);

/** What was read narrows what is expected while the plan is likelier than this. */
const NARROWS = 0.3;

interface Opened {
  readonly ok: true;
  readonly made: ProvingCase;
  readonly sight: Sight;
}

/** Cases opened last, by what they are made of: one proof asks many times, a reading more each time. */
const MOST_KEPT = 4;
const kept = new Map<string, Opened>();

function openedCase({ motor, wiring, load }: ProvingSheet): Opened | Refused {
  const key = JSON.stringify([motor, wiring, load]);
  const before = kept.get(key);
  if (before) {
    kept.delete(key);
    kept.set(key, before);
    return before;
  }
  const made = provingCase({ motor, wiring, load });
  if (!made.ok) return made;
  const opened: Opened = { ok: true, made: made.case, sight: sightOf(made.case) };
  kept.set(key, opened);
  for (const old of [...kept.keys()].slice(0, -MOST_KEPT)) kept.delete(old);
  return opened;
}

function namesOf({ motor }: ProvingSheet): NameOf {
  const leads = new Map((motor.leads ?? []).map((lead) => [lead.id, lead]));
  return (place) => {
    const lead = leads.get(place);
    const colour = lead?.colour ? `${lead.colour}${lead.stripe ? `/${lead.stripe}` : ""}` : "";
    return colour || lead?.mark || place;
  };
}

/** Causes that are one: degrees of the same, and others that nothing there can tell from it. */
interface Group {
  readonly cause: Cause;
  readonly at: readonly string[];
  readonly members: readonly Believed[];
  readonly same: readonly { readonly cause: Cause; readonly at: readonly string[] }[];
  readonly probability: number;
}

function grouped(made: ProvingCase, sight: Sight, { believed }: Belief): Group[] {
  const byName = new Map<string, Believed[]>();
  for (const one of believed) {
    const key = `${one.suspect.cause}\n${one.suspect.at.join("\n")}`;
    byName.set(key, [...(byName.get(key) ?? []), one]);
  }
  const alone = [...byName.values()]
    .map((members): Group => {
      const [first] = members as [Believed];
      const { cause, at } = first.suspect;
      return { cause, at, members, same: [], probability: sumOf(members) };
    })
    .sort((a, b) => b.probability - a.probability);
  const groups: Group[] = [];
  for (const group of alone) {
    const twin =
      group.cause === "as-planned" || group.probability < LISTED
        ? undefined
        : groups.find(
            (one) =>
              one.cause !== "as-planned" && one.probability >= LISTED && areOne(made, sight, one, group),
          );
    if (!twin) {
      groups.push(group);
      continue;
    }
    groups[groups.indexOf(twin)] = {
      ...twin,
      same: [...twin.same, { cause: group.cause, at: group.at }],
      probability: twin.probability + group.probability,
    };
  }
  return groups.sort((a, b) => b.probability - a.probability);
}

function sumOf(members: readonly Believed[]): number {
  return members.reduce((sum, { probability }) => sum + probability, 0);
}

/** How alike two machines must be before every instrument to count as one. */
const ONE = 0.97;

function areOne(made: ProvingCase, sight: Sight, a: Group, b: Group): boolean {
  const [one, other] = [a.members[0] as Believed, b.members[0] as Believed];
  const { rating } = made.fitted;
  const sameSeen = made.calls.every((call) => {
    const [r, s] = [sight.run(one.suspect, call.state.id), sight.run(other.suspect, call.state.id)];
    if (!r || !s) return r === s;
    const [p, q] = [startChances(made, r), startChances(made, s)];
    const likeness = (Object.keys(p) as (keyof typeof p)[]).reduce(
      (sum, how) => sum + Math.sqrt(p[how] * q[how]),
      0,
    );
    return (
      likeness > ONE &&
      turnUnder(made, call, sight, one.suspect, 1) === turnUnder(made, call, sight, other.suspect, 1)
    );
  });
  return (
    sameSeen &&
    readingsOf(made, sight).every((reading) => {
      const [x, y] = [foreseen(sight, one, reading), foreseen(sight, other, reading)];
      if (!x || !y) return x === y;
      const meter = meterVariance(reading.what, unweighed(reading.what, x.mean, rating), rating, undefined);
      return alike({ ...x, variance: x.variance + meter }, { ...y, variance: y.variance + meter }) > ONE;
    })
  );
}

/** What is in truth as planned is counted so: two leads of one potential changed over harm nothing. */
function withoutHarmless(made: ProvingCase, sight: Sight, belief: Belief): Belief {
  const sound = belief.believed.find(({ suspect }) => suspect === AS_PLANNED);
  if (!sound) return belief;
  const harmless = belief.believed.filter(
    (one) =>
      one.suspect.cause !== "as-planned" &&
      one.probability > HARMLESS_LOOKED_AT &&
      isAsPlanned(made, sight, one.suspect),
  );
  if (harmless.length === 0) return belief;
  return {
    ...belief,
    believed: belief.believed
      .filter((one) => !harmless.includes(one))
      .map((one) => (one === sound ? { ...one, probability: one.probability + sumOf(harmless) } : one))
      .sort((a, b) => b.probability - a.probability),
  };
}

const HARMLESS_LOOKED_AT = 1e-4;
/** Two machines whose figures agree to a hundredth are one to any meter. */
const NO_MATTER = 0.01;

function isAsPlanned(made: ProvingCase, sight: Sight, suspect: Suspect): boolean {
  if (suspect.change.turned || suspect.change.clamp || suspect.change.stuck) return false;
  const { rating } = made.fitted;
  const near = (reading: Parameters<Sight["value"]>[1]) => {
    const [is, right] = [sight.value(suspect, reading), sight.value(AS_PLANNED, reading)];
    if (is === null || right === null) return is === right;
    return Math.abs(weighed(reading.what, is, rating) - weighed(reading.what, right, rating)) < NO_MATTER;
  };
  const runsAlike = made.calls.every((call) => {
    const [is, right] = [sight.run(suspect, call.state.id), sight.run(AS_PLANNED, call.state.id)];
    if (!is || !right || (is.point.outcome === "stalls") !== (right.point.outcome === "stalls")) return false;
    // Where nothing says which way it has to turn, either way is as planned.
    return is.point.outcome === right.point.outcome || turnAsPlanned(made, call, right) === null;
  });
  return runsAlike && readingsOf(made, sight).every(near);
}

/** A call counts as seen once something was read or seen while it stood. */
function callSeen({ standing }: Belief, call: string): boolean {
  return (
    standing.figures.some(
      ({ reading }) => "call" in reading && reading.call === call && reading.what !== "supply-volts",
    ) || standing.told.some((one) => one.kind !== "sign" && one.call === call)
  );
}

function statusOf({
  causes,
  sound,
  stopped,
  telling,
  missing,
  outside,
}: {
  readonly causes: readonly RankedCause[];
  readonly sound: number;
  readonly stopped: boolean;
  /** Some check would still change the ranking. */
  readonly telling: boolean;
  /** How many checks are left that no proof goes without. */
  readonly missing: number;
  /** The supply, the turn or the plate's amps lie outside of their limit, whatever the model makes of it. */
  readonly outside: boolean;
}): Diagnosis["status"] {
  const [first] = causes;
  if (first && first.cause !== "as-planned" && first.cause !== "unknown" && first.probability >= FOUND)
    return "found";
  if (stopped) return "stop";
  if (missing > 0) return "needs-check";
  if (sound >= GOOD && !telling) return outside ? "open-question" : "good";
  return telling ? "needs-check" : "open-question";
}

/** The check to make next: the bump first, then what tells most for its effort, then what no proof goes without. */
function chosenCheck(
  made: ProvingCase,
  belief: Belief,
  checks: readonly WeighedCheck[],
  missing: readonly Check[],
): Check | null {
  const nothingYet = belief.standing.figures.length === 0 && belief.standing.told.length === 0;
  const [first] = made.calls;
  if (nothingYet && first) return { what: "starts", call: first.state.id };
  return checks.find(({ tells }) => tells > TELLS_LEAST)?.check ?? missing[0] ?? null;
}

function asked(made: ProvingCase, check: Check | null, nameOf: NameOf): NextCheck | null {
  if (!check) return null;
  const call = (id: string) => made.calls.find(({ state }) => state.id === id)?.state.name ?? id;
  return { ...check, because: becauseOf(check, call, nameOf), power: powerOf(check) } as NextCheck;
}

function becauseOf(check: Check, call: (id: string) => string, nameOf: NameOf): string {
  switch (check.what) {
    case "starts":
      return `Bump it for one second on ${call(check.call)}, cover on, clamp on: does it start by itself?`;
    case "turn":
      return `Which way does it turn on ${call(check.call)}, seen from a named end?`;
    case "line-amps":
      return `Amps on ${nameOf(check.lead)}, ${call(check.call)}: they tell most of what is still open.`;
    case "start-amps":
      return `Peak amps on ${nameOf(check.lead)} and seconds until they fall, ${call(check.call)}.`;
    case "supply-volts":
      return `Volts ${check.between.join(" to ")} under load, ${call(check.call)}.`;
    case "capacitor-amps":
      return `Amps into the capacitor (${nameOf(check.at)}), the clamp on its own lead, never on C.`;
    case "capacitor-volts":
      return `Volts across the capacitor (${nameOf(check.at)}), probes clipped on with the power off.`;
    case "rpm":
      return `Speed on ${call(check.call)}, by tachometer.`;
    case "ohms":
      return `Power off, proved dead: ohms ${nameOf(check.between[0])} to ${nameOf(check.between[1])}.`;
    case "capacitor-microfarads":
      return `Power off, discharged: microfarads of the capacitor (${nameOf(check.at)}), one lead off.`;
  }
}

/** A figure this many standard deviations off is not explained, and within this many it is. */
const AGAINST = 2.6;
const EXPLAINED = 2;

function rankedCause(
  made: ProvingCase,
  sight: Sight,
  belief: Belief,
  { cause, at, members, same, probability }: Group,
  nameOf: NameOf,
): RankedCause {
  const [top] = members as [Believed];
  const off = (suspect: Suspect, figure: Figure) => sigmasOff(made, sight, suspect, figure);
  const explains = belief.standing.figures.filter(
    (figure) => off(AS_PLANNED, figure) > EXPLAINED && off(top.suspect, figure) <= EXPLAINED,
  );
  const against = belief.standing.figures.filter((figure) => off(top.suspect, figure) > AGAINST);
  const estimate = estimateOf(members);
  const words = wordsFor(made, cause, at, estimate, nameOf);
  const others = same.map((other) => wordsFor(made, other.cause, other.at, null, nameOf));
  return {
    cause,
    at: [...at],
    probability: Math.min(1, probability),
    same: same.map((other) => ({ cause: other.cause, at: [...other.at] })),
    ...(estimate
      ? { estimate: { [estimate.quantity]: estimate.value, low: estimate.low, high: estimate.high } }
      : {}),
    explains: explains.map(({ index }) => index),
    against: against.map(({ index }) => index),
    wouldShow: shownBy(made, sight, belief, top, nameOf),
    says: capitalised([words.says, ...others.map(({ says }) => `Or: ${says}`)].join(" ")),
    mend: [words.mend, ...others.map(({ mend }) => mend)]
      .filter((one, i, all) => all.indexOf(one) === i)
      .join(" "),
  };
}

function capitalised(sentence: string): string {
  return `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}`;
}

/** How far a figure lies off what a suspect gives, before it was read. */
function sigmasOff(
  made: ProvingCase,
  sight: Sight,
  suspect: Suspect,
  { reading, value, meter, air }: Figure,
): number {
  const predicted = sight.prediction(suspect, reading, air);
  if (!predicted) return 0;
  const { rating } = made.fitted;
  const variance =
    predicted.slopes.reduce((sum, slope) => sum + slope * slope, 0) +
    WEIGHING[reading.what].model ** 2 +
    meterVariance(reading.what, Math.min(value, 1e6), rating, meter);
  return Math.abs(weighed(reading.what, value, rating) - predicted.log) / Math.sqrt(variance);
}

interface Estimate {
  readonly quantity: string;
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** How much of a cause there is: its degrees taken together, two standard deviations to either side. */
function estimateOf(members: readonly Believed[]): Estimate | null {
  const total = sumOf(members);
  const logs = members.flatMap(({ suspect: { severity }, posterior, probability }) => {
    if (!severity) return [];
    const last = posterior.mean.length - 1;
    return [
      {
        mean: Math.log(severity.value) + severity.spread * (posterior.mean[last] ?? 0),
        variance: severity.spread ** 2 * posterior.covariance.get(last, last),
        share: probability / total,
        quantity: severity.quantity,
      },
    ];
  });
  const [first] = logs;
  if (!first) return null;
  const mean = logs.reduce((sum, one) => sum + one.share * one.mean, 0);
  const variance = logs.reduce((sum, one) => sum + one.share * (one.variance + (one.mean - mean) ** 2), 0);
  const at = (sigmas: number) => Math.exp(mean + sigmas * Math.sqrt(variance));
  return { quantity: first.quantity, value: at(0), low: at(-2), high: at(2) };
}

function wordsFor(
  made: ProvingCase,
  cause: Cause,
  at: readonly string[],
  estimate: Estimate | null,
  nameOf: NameOf,
): ReturnType<typeof causeWords> {
  const place: CauseAt = {
    at: at.map(nameOf),
    degree: estimate ? degreeWords(estimate) : "",
    swap: familyById(made.motor.family)?.reverseBy ?? "its one change",
  };
  return causeWords(cause, place);
}

function degreeWords({ quantity, value, low, high }: Estimate): string {
  switch (quantity) {
    case "microfarads":
      return `${value.toPrecision(2)} µF (${low.toPrecision(2)} to ${high.toPrecision(2)})`;
    case "load-times":
      return `${value.toPrecision(2)} times the load`;
    case "volts-times":
      return `${Math.round(100 * value)} % of its volts`;
    case "drag-share":
      return `${Math.round(100 * value)} % of the rated torque`;
    case "shorted-share":
      return `${Math.max(1, Math.round(100 * value))} % of its turns`;
    default:
      return "";
  }
}

/** In figures: what the cause gives where the plan gives something else, and what was read. */
function shownBy(made: ProvingCase, sight: Sight, belief: Belief, one: Believed, nameOf: NameOf): string[] {
  if (one.suspect === AS_PLANNED) return [];
  const { rating } = made.fitted;
  const read = new Map(belief.standing.figures.map((figure) => [figure.reading, figure]));
  return [...read.values()].flatMap((figure): string[] => {
    const curve = foreseen(sight, one, figure.reading);
    const right = sight.value(AS_PLANNED, figure.reading, figure.air);
    if (!curve || right === null) return [];
    const value = unweighed(figure.reading.what, curve.mean, rating);
    if (Math.abs(Math.log((value + 1e-3) / (right + 1e-3))) < 0.05) return [];
    const unit = UNITS[figure.reading.what];
    const where = placeOf(figure, nameOf);
    return [`${show(value)} ${unit}${where} in place of ${show(right)}; read: ${show(figure.value)}.`];
  });
}

const UNITS = {
  "line-amps": "A",
  "start-amps": "A at power",
  "supply-volts": "V",
  "capacitor-volts": "V across the capacitor",
  "capacitor-amps": "A into the capacitor",
  rpm: "rpm",
  ohms: "Ω",
  "capacitor-microfarads": "µF",
} as const;

function placeOf({ reading }: Figure, nameOf: NameOf): string {
  if ("lead" in reading) return ` on ${nameOf(reading.lead)}`;
  return "between" in reading ? `, ${reading.between.map(nameOf).join(" to ")}` : "";
}

function show(value: number): string {
  if (!Number.isFinite(value) || value >= 1e6) return "open";
  return value >= 100 ? String(Math.round(value)) : String(Number(value.toPrecision(2)));
}

function unknownCause({ unknown }: Belief): RankedCause {
  const words = causeWords("unknown", { at: [], degree: "", swap: "" });
  return {
    cause: "unknown",
    at: [],
    probability: unknown,
    same: [],
    explains: [],
    against: [],
    wouldShow: [],
    ...words,
  };
}

function findingsOf(
  made: ProvingCase,
  lines: readonly ProvingLine[],
  standing: ReadonlySet<number>,
  count: number,
  unseen: ProvingCase["calls"],
  nameOf: NameOf,
): Diagnosis["findings"] {
  const stops = lines.filter(({ verdict, observation }) => verdict === "stop" && standing.has(observation));
  return [
    ...stops.map(({ says }) => ({
      code: "stop-limit" as const,
      severity: "fault" as const,
      leads: [],
      says,
    })),
    ...(count === 0 ? [] : unseen).map(({ state }) => ({
      code: "call-not-seen" as const,
      severity: "note" as const,
      leads: [],
      says: `${state.name} was not seen yet.`,
    })),
    ...made.fitted.rating.assumed.map((figure) => ({
      code: "figure-assumed" as const,
      severity: "note" as const,
      leads: [],
      says: `The plate does not say its ${figure}: what is expected stands on what is usual.`,
    })),
    ...(made.motor.unproved.length > 0
      ? [
          {
            code: "clamp-place" as const,
            severity: "note" as const,
            leads: made.motor.leads.map(({ id }) => id),
            says: `Which end is which is not proved on this motor (${made.motor.leads.map(({ id }) => nameOf(id)).join(", ")}): the bump tells.`,
          },
        ]
      : []),
  ];
}
