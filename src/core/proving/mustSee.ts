import { feedingOf } from "../machine/feedingOf";
import { startChains } from "../machine/motorBranches";
import type { Belief } from "./belief";
import { ampsIn, carriesLine, LIVE_SHARE, lineLeads } from "./callRun";
import { lineAmps, startAmps } from "./liveAmps";
import { type Check, standsStill } from "./nextCheck";
import type { ProvingCall, ProvingCase } from "./provingCase";
import { type Reading, readingKey } from "./reading";
import { turnAsPlanned } from "./seen";
import type { Sight } from "./sight";
import { AS_PLANNED } from "./suspects";

/**
 * What no proof goes without and nobody has seen yet: the supply under load, of every call its amps and its turn, of a
 * three-phase motor all three, of halves and start rows side by side each, the lead that start gear has cut out, and each of its
 * capacitors.
 *
 * @param odd whether some figure is unlike the plan's: what then passes for a motor built otherwise may be two taps
 *   changed over, so every call's speed is read as well.
 */
export function notYetSeen(made: ProvingCase, sight: Sight, { standing }: Belief, odd: boolean): Check[] {
  const read = new Set(standing.figures.map(({ reading }) => readingKey(reading)));
  const { terminals } = made.plan.compartment.supply;
  const pairs = terminals.flatMap((one, i) => terminals.slice(i + 1).map((other) => [one, other] as const));
  const voltsRead = (between: readonly [string, string]) =>
    made.calls.some(({ state }) => read.has(readingKey({ what: "supply-volts", call: state.id, between })));
  const [first] = made.calls;
  return [
    ...made.calls.flatMap((call) => callChecks(made, sight, call, standing, read)),
    ...pumpChecks(made, standing),
    ...halfChecks(made, sight, read),
    ...startRowChecks(made, sight, read),
    ...startGearChecks(made, sight, standing, read),
    ...capacitorChecks(made, standing, read),
    ...(odd ? oddChecks(made, sight, standing).filter((reading) => !read.has(readingKey(reading))) : []),
    ...(first
      ? pairs
          .filter((between) => !voltsRead(between))
          .map((between): Check => ({ what: "supply-volts", call: first.state.id, between }))
      : []),
  ];
}

function oddChecks(made: ProvingCase, sight: Sight, standing: Belief["standing"]): Reading[] {
  const clamped = new Set(
    standing.figures.flatMap(({ reading }) => (reading.what === "line-amps" ? [reading.call] : [])),
  );
  return [
    ...made.calls
      .filter(({ state }) => !standsStill(standing, state.id))
      .map(({ state }): Reading => ({ what: "rpm", call: state.id })),
    // All leads alive together have to add up.
    ...[...clamped].slice(0, 1).flatMap((call) => lineAmps(made, sight, call)),
  ];
}

/** Every capacitor that the motor hangs on is measured, with the power off, or by its amps and volts at work. */
function capacitorChecks(
  { capacitors }: ProvingCase,
  { figures }: Belief["standing"],
  read: ReadonlySet<string>,
): Check[] {
  const atWork = (place: string, what: Reading["what"]) =>
    figures.some(({ reading }) => reading.what === what && "at" in reading && reading.at === place);
  return capacitors
    .filter(({ serves }) => serves)
    .filter(({ at }) => !(atWork(at, "capacitor-amps") && atWork(at, "capacitor-volts")))
    .map(({ at }): Reading => ({ what: "capacitor-microfarads", at }))
    .filter((reading) => !read.has(readingKey(reading)));
}

/** Start gear that has cut out: its lead is clamped once while it runs, since amps there mean a contact that never opens. */
function startGearChecks(
  made: ProvingCase,
  sight: Sight,
  standing: Belief["standing"],
  read: ReadonlySet<string>,
): Check[] {
  const [first] = made.calls;
  if (!first || standsStill(standing, first.state.id)) return [];
  if ((sight.run(AS_PLANNED, first.state.id)?.made.contacts.length ?? 0) === 0) return [];
  const cutOut = startAmps(made, sight, first.state.id);
  return cutOut.some((reading) => read.has(readingKey(reading))) ? [] : cutOut.slice(0, 1);
}

/** Of the greatest amps of any wire, what a lead of one of two halves side by side carries at the most. */
const HALF_CARRIES = 0.8;

/** Halves side by side: each has its own lead clamped once, since a motor runs on one of them nearly as on both. */
function halfChecks(made: ProvingCase, sight: Sight, read: ReadonlySet<string>): Check[] {
  const [first] = made.calls;
  const run = first && sight.run(AS_PLANNED, first.state.id);
  if (!first || !run || feedingOf(made.motor).phases === 3) return [];
  const amps = (lead: string) => ampsIn(run, run.point.solution, lead) ?? 0;
  return made.motor.coils
    .filter(({ winding }) => winding === "half")
    .flatMap(({ from, to }) =>
      firstUnread(
        made,
        [from, to],
        carriesPart(made, amps),
        (lead) => ({ what: "line-amps", call: first.state.id, lead }),
        read,
      ),
    );
}

/** Rows of a start winding side by side: each has its own lead clamped at power once, since a motor starts on one of them as well. */
function startRowChecks(made: ProvingCase, sight: Sight, read: ReadonlySet<string>): Check[] {
  const rows = startChains(made.motor.coils);
  const [first] = made.calls;
  const run = first && sight.run(AS_PLANNED, first.state.id);
  if (rows.length < 2 || !first || !run) return [];
  const isCutOut = run.made.contacts.length > 0;
  const amps = (lead: string) => ampsIn(run, isCutOut ? run.rest : run.point.solution, lead) ?? 0;
  const what = isCutOut ? "start-amps" : "line-amps";
  return rows.flatMap((row) =>
    firstUnread(
      made,
      row.flatMap(({ from, to }) => [from, to]),
      carriesPart(made, amps),
      (lead) => ({ what, call: first.state.id, lead }),
      read,
    ),
  );
}

/** Whether a lead carries a part of the whole, beside the greatest amps of any lead or line: where halves have four leads, none has the whole. */
function carriesPart(
  { motor, plan }: ProvingCase,
  amps: (wire: string) => number,
): (lead: string) => boolean {
  const wires = [...motor.leads.map(({ id }) => id), ...plan.compartment.supply.terminals];
  const most = Math.max(...wires.map(amps));
  return (lead) => amps(lead) > LIVE_SHARE * most && amps(lead) < HALF_CARRIES * most;
}

/** Of the leads at some ends, the first that may be clamped; none where one of them was. */
function firstUnread(
  { motor }: ProvingCase,
  ends: readonly string[],
  canBe: (lead: string) => boolean,
  readingOn: (lead: string) => Reading,
  read: ReadonlySet<string>,
): Reading[] {
  const own = motor.leads
    .filter(({ junction }) => ends.includes(junction))
    .map(({ id }) => id)
    .filter(canBe)
    .map(readingOn);
  return own.some((reading) => read.has(readingKey(reading))) ? [] : own.slice(0, 1);
}

/** A pump whose switch is known is read as it starts and as it stops: its pressure, amps and prime hang together. */
function pumpChecks({ load, calls }: ProvingCase, standing: Belief["standing"]): Check[] {
  const [first] = calls;
  if (load.kind !== "pump" || !load.pressureSwitch || !first || standsStill(standing, first.state.id))
    return [];
  return (["cut-out", "cut-in"] as const)
    .filter((at) => !standing.pressures.has(`${first.state.id}/${at}/as-wired`))
    .map((at): Check => ({ what: "pressure", call: first.state.id, at }));
}

function callChecks(
  made: ProvingCase,
  sight: Sight,
  call: ProvingCall,
  standing: Belief["standing"],
  read: ReadonlySet<string>,
): Check[] {
  const id = call.state.id;
  const run = sight.run(AS_PLANNED, id);
  const leads = made.motor.leads.map(({ id: lead }) => lead);
  const amps = (lead: string) => (run && ampsIn(run, run.point.solution, lead)) ?? 0;
  const lined = leads.filter((lead) => run !== null && carriesLine(made.plan, run, lead));
  const greatest = [...leads].sort((a, b) => amps(b) - amps(a)).slice(0, 1);
  const three = feedingOf(made.motor).phases === 3 && run !== null ? lineLeads(made, run) : [];
  const clamped = three.length === 3 ? three : lined.length > 0 ? lined : greatest;
  const rpm: Check = { what: "rpm", call: id };
  const unread = clamped.filter((lead) => !read.has(readingKey({ what: "line-amps", call: id, lead })));
  // Three lines are unlike or not only once all three are read.
  const isRead = three.length === 3 ? unread.length === 0 : unread.length < clamped.length;
  const [lead] = unread;
  const sameWay = made.calls
    .filter(({ reversed }) => reversed === call.reversed)
    .map(({ state }) => state.id);
  const turned = standing.told.some((one) => one.kind === "turn" && sameWay.includes(one.call));
  const firstOfWay = sameWay[0] === id;
  return [
    ...(firstOfWay && !turned && !standsStill(standing, id) && turnAsPlanned(made, call, run) !== null
      ? [{ what: "turn", call: id } as const]
      : []),
    // One speed tells load, rotor and supply from one another; amps alone often do not.
    ...(made.calls[0] === call && !standsStill(standing, id) && !read.has(readingKey(rpm)) ? [rpm] : []),
    ...(isRead || lead === undefined ? [] : [{ what: "line-amps", call: id, lead } as const]),
  ];
}
