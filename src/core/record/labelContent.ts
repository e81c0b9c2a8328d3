import type { Identification } from "../identify/identification";
import { feedingOf } from "../machine/feedingOf";
import { familyById } from "../motor/families";
import { labelWord, speedWord } from "../motor/labelWord";
import { type DayOf, utcDay } from "../quantity/day";
import { shortRotation } from "../quantity/rotation";
import type { Assumption } from "../wiring/check/assumption";
import { type Compartment, placeName } from "../wiring/compartment";
import { harnessName } from "../wiring/harness";
import { FRAME, turnOfPlan, type WiringPlan } from "../wiring/plan";
import { capacitorStepId, planSteps, stepTick } from "../wiring/steps";
import type { Job } from "./job";
import type { JobWiring } from "./jobWiring";
import type { LabelContent } from "./label";

/** What a label is made of: the job, what is known of its motor, its plan, and the verdict on that. */
export interface LabelAsk {
  readonly job: Pick<Job, "label" | "title" | "lastAt" | "leads" | "ticked" | "ready" | "proof">;
  readonly answer: Pick<Identification, "status" | "family" | "roles" | "findings"> | null;
  readonly wiring: JobWiring;
  readonly check: {
    readonly weight: "good" | "again" | "stop";
    readonly assumes?: readonly Assumption[];
    /** The plan as it stands is still being run: until then nothing is landed on its word. */
    readonly working?: boolean;
  } | null;
  /** A lead as the label names it. */
  readonly short: (lead: string) => string;
  /** Where the record is found again; "" where it has no address. */
  readonly address?: string;
  /** Whose day its date is. */
  readonly dayOf?: DayOf;
}

/**
 * The label: what is landed, once every line of the work is ticked; before that PLANNED – NOT PROVED. A plan that the
 * check stops, and nobody overrode, names no terminal. It states the motor's own setting, never the supply's volts.
 */
export function labelContent({
  job,
  answer,
  wiring,
  check,
  short,
  address = "",
  dayOf = utcDay,
}: LabelAsk): LabelContent {
  const head = {
    unit: job.label.unit || job.title,
    date: job.lastAt ? dayOf(job.lastAt) : "",
    who: job.label.who,
    assumed: "",
    proved: "",
    address,
  };
  if (answer?.status === "fault") return { ...head, ...doNotRun(answer, short) };
  const capacitor = fittedCapacitor(job.label);
  const role = roleWords(answer);
  const settled = answer?.status === "settled";
  const planned = wiring.kind === "plan" || wiring.kind === "retrofit" ? wiring : null;
  const running = check?.working === true;
  const stopped = running || (check?.weight === "stop" && !job.ready?.override);
  if (!planned || stopped)
    return {
      ...head,
      supply:
        wiring.kind === "unproved"
          ? "NOT LANDED: its coils are not proved"
          : running
            ? "NOT LANDED: the plan is being run"
            : stopped
              ? "NOT LANDED: the check stops this plan"
              : settled
                ? "Not landed"
                : "Not settled — not landed",
      capacitor: stopped ? "" : capacitor,
      rows: job.leads.map(({ id }) => ({
        wire: short(id),
        role: settled ? (role(id) ?? "") : "not settled",
        to: "—",
      })),
    };
  const { plan, leads } = planned;
  const done = landedWhole(plan, leads, job.ticked);
  const turn = planned.kind === "plan" ? turnOfPlan(planned.plan) : null;
  return {
    ...head,
    supply: `${standWords(done, job.proof.signed !== null)}${settingWords(planned)}`,
    capacitor: [capacitor || workedCapacitor(plan, job.ticked), turn ? `turns ${shortRotation(turn)}` : ""]
      .filter(Boolean)
      .join(" · "),
    proved: job.proof.signed ? provedAmps(plan, job.proof.seen, short) : "",
    assumed: (check?.assumes ?? [])
      .map((one) => one.short)
      .filter((s, i, all) => all.indexOf(s) === i)
      .join(", "),
    rows: [
      ...Object.entries(plan.landings)
        .filter(([lead]) => lead !== FRAME)
        .map(([lead, place]) => ({
          wire: planned.kind === "retrofit" ? harnessName(lead) : short(lead),
          role: planned.kind === "retrofit" ? "" : (role(lead) ?? ""),
          to: placeName(plan.compartment, place),
        })),
      ...plan.jumpers.map(({ from, to }) => ({
        wire: "jumper",
        role: placeName(plan.compartment, from),
        to: placeName(plan.compartment, to),
      })),
      ...callRows(plan, speedsOf(answer)),
    ],
  };
}

/** How far it got: nothing before what it says, once it is landed and proved. */
function standWords(landed: boolean, proved: boolean): string {
  if (landed && proved) return "";
  return landed ? "LANDED – NOT PROVED · " : "PLANNED – NOT PROVED · ";
}

/** Amps that were read at the proof, the last of each lead and call: "Cooling 1.05 A on BK". */
function provedAmps(
  { compartment: { calls } }: WiringPlan,
  seen: LabelAsk["job"]["proof"]["seen"],
  short: (lead: string) => string,
): string {
  const last = new Map<string, string>();
  for (const { seen: one } of seen)
    if (one.what === "line-amps") {
      const call = calls.find(({ id }) => id === one.call)?.name ?? one.call;
      last.set(`${one.call}/${one.lead}`, `${call} ${one.amps} A on ${short(one.lead)}`);
    }
  return [...last.values()].join(", ");
}

function doNotRun(
  { findings }: NonNullable<LabelAsk["answer"]>,
  short: (lead: string) => string,
): Pick<LabelContent, "supply" | "capacitor" | "rows"> {
  return {
    supply: "DO NOT RUN",
    capacitor: "",
    rows: findings
      .filter(({ severity }) => severity === "fault")
      .flatMap(({ leads, code }) =>
        leads.map((lead) => ({ wire: short(lead), role: code.replaceAll("-", " "), to: "do not run" })),
      ),
  };
}

/** The capacitor as a person wrote that it was fitted; nothing where nobody did. */
function fittedCapacitor({ capacitorMicrofarads, capacitorVolts }: Job["label"]): string {
  return capacitorMicrofarads
    ? `capacitor ${capacitorMicrofarads} µF${capacitorVolts ? ` / ${capacitorVolts} V` : ""}`
    : "";
}

/** The capacitor of the plan once its work is ticked: nobody types again what was done by the list. */
function workedCapacitor(plan: WiringPlan, ticked: readonly string[]): string {
  const fitted = plan.capacitors.find(
    ({ device, change, known }) =>
      known &&
      change !== "removed" &&
      change !== "left-empty" &&
      ticked.includes(stepTick(plan, capacitorStepId(device))),
  );
  return fitted ? `capacitor ${fitted.microfarads} µF / ${fitted.volts} V` : "";
}

/** How many speeds the motor has by its leads. */
function speedsOf(answer: LabelAsk["answer"]): number {
  const roles = Object.values(answer?.roles ?? {});
  return Math.max(0, ...roles.map((role) => (role.role === "speed" ? (role.rank ?? 0) : 0)));
}

/** A lead's role in the few letters that a label has room for. */
function roleWords(answer: LabelAsk["answer"]): (lead: string) => string | null {
  const family = familyById(answer?.family ?? null);
  const roles = answer?.roles ?? {};
  const speeds = speedsOf(answer);
  return (lead) => {
    const role = roles[lead];
    return role && family ? labelWord(role, speeds, family.roleWords(role, speeds)) : null;
  };
}

/** Every wire of the plan is ticked as done. */
function landedWhole(plan: WiringPlan, leads: readonly string[], ticked: readonly string[]): boolean {
  return planSteps(plan, leads)
    .filter(({ kind }) => kind !== "look")
    .every(({ id }) => ticked.includes(stepTick(plan, id)));
}

/** What the motor is set or made for: a label outlives the supply that it was wired on. */
function settingWords(planned: Extract<JobWiring, { kind: "plan" | "retrofit" }>): string {
  if (planned.kind === "retrofit") {
    const { setFor } = planned.plan.lands;
    return setFor === null ? "Module’s volts not looked at" : `Module set for ${setFor} V`;
  }
  const { rating } = planned.fitted;
  if (rating.sources.volts?.kind === "assumed") return "Motor’s volts not known";
  const { setting } = planned.plan.lands;
  const [low, high] = [rating.leastVolts[setting], rating.volts[setting]].map(Math.round);
  const volts = low === high ? `${high} V` : `${low}–${high} V`;
  if (rating.insideSetting)
    return rating.insideSetting.now ? `Motor set for ${volts}` : "Setting not looked at";
  return feedingOf(planned.motor).twoVoltages ? `Motor joined for ${volts}` : `Motor for ${volts}`;
}

/** Which speed is on which call, where there is more than one of each. */
function callRows(
  { wanted, compartment, compartment: { calls } }: WiringPlan,
  speeds: number,
): LabelContent["rows"] {
  if (new Set(wanted.map(({ speed }) => speed)).size < 2) return [];
  return wanted.map(({ call, speed }) => ({
    wire: speed === null ? "—" : speedWord(speed, speeds),
    role: calls.find(({ id }) => id === call)?.name ?? call,
    to: hotName(compartment, call),
  }));
}

function hotName(made: Compartment, call: string): string {
  const hot = made.offers.feeds.find((feed) => feed.call === call)?.hot;
  return hot === undefined ? "—" : placeName(made, hot);
}
