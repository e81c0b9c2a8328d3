import { faultsOf, type Refused, refused } from "../quantity/fault";
import { asked, chosenCheck, TELLS_LEAST, TELLS_LEAST_NEAR_GOOD } from "./askedCheck";
import { type Belief, beliefOf } from "./belief";
import type { Diagnosis, ProvingLine } from "./diagnosis";
import { evidenceOf } from "./evidence";
import { EXPECTED_RATE, expectedOf } from "./expected";
import { conditioned } from "./gaussian";
import { insulationWanted } from "./insulationWanted";
import type { NameOf } from "./judging";
import { isUnlikePlanned, liesOutside, lineVerdicts } from "./lineVerdicts";
import { notYetSeen } from "./mustSee";
import { type Check, checksOf, powerOf } from "./nextCheck";
import { grouped, LISTED, withoutHarmless } from "./oneCause";
import { fitsPoorly } from "./poorFit";
import { type ProvingCase, provingCase } from "./provingCase";
import { type ProvingSheet, provingSheet } from "./provingSheet";
import { rankedCause, unknownCause } from "./rankedCause";
import { type Sight, sightOf } from "./sight";
import { statusOf } from "./status";
import { GOOD, NEARLY_GOOD } from "./statusLimits";
import { AS_PLANNED } from "./suspects";

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
  const judging = { made, sight, before, belief, nameOf };
  const lines = lineVerdicts(judging, observations);
  const { figures, told, pressures } = belief.standing;
  const standing = new Set([...[...figures, ...told].map(({ index }) => index), ...pressures.values()]);
  const stopped = lines.some(({ verdict, observation }) => verdict === "stop" && standing.has(observation));
  const groups = grouped(made, sight, belief);
  const causes = groups
    .filter(({ probability }) => probability > LISTED)
    .map((group) => rankedCause(made, sight, belief, group, nameOf));
  if (belief.unknown > LISTED) causes.push(unknownCause(belief));
  causes.sort((a, b) => b.probability - a.probability);
  const without = new Set<string>(sheet.without);
  const canBe = (check: Check) => !without.has(check.what) && (!stopped || powerOf(check) === "off");
  const sound = groups.find(({ cause }) => cause === "as-planned")?.probability ?? 0;
  const again = lines.some(({ verdict, observation }) => verdict !== "good" && standing.has(observation));
  // Good is near, or a line says to look again: what little a check tells may be what is wanting.
  const closely = sound > NEARLY_GOOD && (sound < GOOD || again);
  const checks = checksOf(made, sight, belief, closely).filter(({ check }) => canBe(check));
  const odd = belief.standing.figures.some((figure) => isUnlikePlanned(judging, figure));
  const off = belief.standing.figures.some((figure) => liesOutside(judging, figure));
  const missing = notYetSeen(made, sight, belief, odd).filter(canBe);
  const evidence = evidenceOf({ made, sight, belief, odd: odd || off, canBe }, groups[0]);
  const unseen = made.calls.filter(({ state }) => !callSeen(belief, state.id));
  const least = closely ? TELLS_LEAST_NEAR_GOOD : TELLS_LEAST;
  const telling = checks.some(({ tells }) => tells > least);
  const limited = lines.some(({ observation, verdict }) => {
    const seen = observations[observation];
    return verdict !== "good" && standing.has(observation) && seen !== undefined && LIMITED.has(seen.what);
  });
  const believedSound = belief.believed.find(({ suspect }) => suspect.cause === "as-planned");
  const outside = limited || off || (believedSound !== undefined && fitsPoorly(judging, believedSound));
  const status = statusOf({
    causes,
    sound,
    stopped,
    telling: telling || evidence.unread.length > 0,
    missing: missing.length,
    outside,
    evidence: evidence.stands,
  });
  const [tripped] = insulationWanted(made, belief).filter(canBe);
  const nextCheck =
    status === "needs-check" || status === "stop"
      ? asked(
          made,
          tripped ?? evidence.unread[0] ?? chosenCheck(made, belief, checks, missing, least),
          nameOf,
        )
      : null;
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
const LIMITED: ReadonlySet<string> = new Set(["turn", "sign", "insulation", "pressure"]);

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

/** A call counts as seen once something was read or seen while it stood. */
function callSeen({ standing }: Belief, call: string): boolean {
  return (
    standing.figures.some(
      ({ reading }) => "call" in reading && reading.call === call && reading.what !== "supply-volts",
    ) || standing.told.some((one) => one.kind !== "sign" && one.call === call)
  );
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
