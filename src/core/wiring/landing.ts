import { feedingOf } from "../machine/feedingOf";
import type { Service } from "../motor/feeding";
import { isTap, type Slot, tapRank } from "../motor/slot";
import { formatHp } from "../quantity/power";
import type { CapacitorPlace } from "./capacitorPlace";
import { type Compartment, terminalOf } from "./compartment";
import { CAPPED, jointPlace, readPlace } from "./place";
import { FRAME, type Jumper, type MotorPlan, type MotorToLand, NO_TURN, type Wanted } from "./plan";
import type { NetEnd, TerminalNet } from "./terminalNets";
import type { WiringAsk } from "./wiringAsk";

const SERVICE_ORDER: Readonly<Record<Service, number>> = {
  "run-cap-2": 0,
  start: 1,
  "line-2": 2,
  "line-3": 3,
  "run-cap-1": 4,
  "line-1": 5,
};

/** What of a plan is settled before any lead is put down. */
export interface Laid {
  readonly wanted: readonly Wanted[];
  readonly setting: "low" | "high";
  readonly startOut: MotorToLand["startOut"];
}

/** The plan that puts each net's leads on its terminals, joins what has no room there, and caps or parks what is left. */
export function landed(
  ask: WiringAsk,
  place: CapacitorPlace,
  nets: readonly TerminalNet[],
  { wanted, setting, startOut }: Laid,
): MotorPlan {
  const { compartment: made } = place;
  const down = new LeadsDown(made);
  down.put(FRAME, made.offers.ground, "Frame ground first, lines last.");
  for (const net of [...nets].sort((a, b) => orderOf(a) - orderOf(b))) landNet(net, down, ask, made);
  landRest(down, ask, made);
  return {
    id: place.id,
    title: titleOf(ask, setting),
    school: place.school,
    compartment: made,
    landings: down.landings,
    jumpers: down.jumpers,
    removed: place.removed,
    capacitors: place.work,
    parts: [],
    wanted,
    lands: {
      kind: "motor",
      setting,
      startOut,
      turn: ask.turn ?? NO_TURN,
      plugTurned: ask.motor.plugTurned === true,
    },
    reasons: down.reasons,
    cautions: [
      "Unused leads are live when the motor runs: each capped on its own, never two together.",
      ...place.cautions,
      ...made.cautions,
    ],
  };
}

/** Leads as they are put down one after the other, with the places that are left on each terminal. */
class LeadsDown {
  readonly landings: Record<string, string> = {};
  readonly reasons: Record<string, string> = {};
  readonly jumpers: Jumper[] = [];
  private readonly taken = new Map<string, number>();
  private joints = 0;

  constructor(private readonly made: Compartment) {
    for (const { from, to } of made.wires) for (const end of [from, to]) this.take(end);
  }

  put(lead: string, to: string, why: string): void {
    this.landings[lead] = to;
    this.reasons[lead] = why;
    if (readPlace(to).kind === "terminal") this.take(to);
  }

  jump(from: string, to: string): void {
    this.jumpers.push({ id: `jumper-${from}-${to}`, from, to });
    if (readPlace(from).kind === "terminal") this.take(from);
    this.take(to);
  }

  /** A joint that nothing is in yet. */
  newJoint(): string {
    this.joints += 1;
    return jointPlace(this.joints);
  }

  /** Places that are left on a terminal. */
  left(terminal: string): number {
    return (terminalOf(this.made, terminal)?.terminal.places ?? 0) - (this.taken.get(terminal) ?? 0);
  }

  private take(terminal: string): void {
    this.taken.set(terminal, (this.taken.get(terminal) ?? 0) + 1);
  }
}

/**
 * Puts the leads of one net on its first terminal, or in a joint where they have no room there. A spare copy of a lead
 * goes to a further terminal of the net; to those that have none left goes a jumper.
 */
function landNet(net: TerminalNet, down: LeadsDown, ask: WiringAsk, made: Compartment): void {
  const [main, ...others] = terminalsOf(net, made);
  const leadsOf = (slot: Slot) => ask.motor.leads.filter((lead) => lead.slot === slot).map(({ id }) => id);
  const needed = net.slots.flatMap((slot) => leadsOf(slot).slice(0, 1));
  const spare = net.slots.flatMap((slot) => leadsOf(slot).slice(1));
  if (needed.length === 0) return;
  const { capacitor } = made.offers;
  const tied = (terminal: string) =>
    capacitor?.tied === true && terminal === capacitor.lineSide && main !== capacitor.startSide;
  const further = others.filter((terminal) => !tied(terminal));
  const jumped = further.slice(spare.length);
  const why = reasonOf(net, ask, made);
  if (main && needed.length + jumped.length <= down.left(main)) {
    for (const lead of needed) down.put(lead, main, why);
    for (const terminal of jumped) down.jump(main, terminal);
  } else if (!main && needed.length < 2) {
    for (const lead of needed) down.put(lead, CAPPED, "Joined to nothing in this connection.");
    return;
  } else {
    const joint = down.newJoint();
    for (const lead of needed) down.put(lead, joint, why);
    for (const terminal of main ? [main, ...jumped] : []) down.jump(joint, terminal);
  }
  const again = "The same lead again: it brings the run end to the capacitor’s other side.";
  for (const [i, terminal] of further.slice(0, spare.length).entries())
    down.put(spare[i] as string, terminal, again);
  for (const lead of spare.slice(further.length))
    down.put(lead, CAPPED, "The same lead again, not needed here: capped on its own.");
}

/** The terminals that a net is to reach, the one it meets first in front. */
function terminalsOf({ ends }: TerminalNet, { offers: { capacitor } }: Compartment): string[] {
  const terminalAt = (end: NetEnd) => {
    if (end.kind === "terminal") return end.id;
    return end.side === "line" ? capacitor?.lineSide : capacitor?.startSide;
  };
  return [...new Set(ends.flatMap((end) => terminalAt(end) ?? []))];
}

/** Parks the taps that no net uses as far as there is room, and caps the other leads. */
function landRest(down: LeadsDown, ask: WiringAsk, made: Compartment): void {
  const parks = [...made.offers.park];
  const { powers } = ask.fitted.rating;
  for (const { id, slot } of ask.motor.leads) {
    if (down.landings[id]) continue;
    if (!isTap(slot)) down.put(id, CAPPED, "Unused in this connection: live while the motor runs.");
    else
      down.put(
        id,
        parks.shift() ?? CAPPED,
        powers
          ? `${tapName(ask, slot)}, not used here: live while the motor runs.`
          : "Unused speed: live while the motor runs; the check says at how many volts.",
      );
  }
}

function orderOf({ services }: TerminalNet): number {
  return services.length === 0 ? -1 : Math.min(...services.map((service) => SERVICE_ORDER[service]));
}

function titleOf({ motor, compartment: made }: WiringAsk, setting: "low" | "high"): string {
  const volts = feedingOf(motor).twoVoltages ? `, joined for the ${setting} volts` : "";
  return `${made.title}${volts}`;
}

/** Why a net's leads go where they go, as far as this plan makes it true. */
function reasonOf({ services, slots, ends }: TerminalNet, ask: WiringAsk, made: Compartment): string {
  const { motor } = ask;
  const lines = services.filter((service) => service.startsWith("line"));
  if (services.length === 0) return `Joined with each other: ${slots.join(", ")}.`;
  if (services.includes("run-cap-2"))
    return lines.length > 0
      ? "Winding end: to the capacitor, and on the line while its own call stands."
      : "Start end: to the capacitor. Straight on a line it burns the winding.";
  if (services.includes("start")) return "Start winding: through what starts it, never straight on the line.";
  if (feedingOf(motor).phases === 3) return "A line of three; any two LINES changed over reverse it.";
  const taps = motor.leads.filter(({ slot }) => isTap(slot)).length;
  if (services.includes("line-2"))
    return taps > 1 ? "Common of every speed (the shared lead)." : "The other side of the line.";
  const calls = ends.flatMap((end) => {
    const call = made.offers.feeds.find(({ hot }) => end.kind === "terminal" && hot === end.id)?.call;
    const name = made.calls.find(({ id }) => id === call)?.name;
    return name ? [name] : [];
  });
  const tap = slots.find(isTap);
  if (tap && taps > 1)
    return calls.length > 1
      ? `${tapName(ask, tap)} for ${calls.join(" and ")}: the equipment’s own contacts feed one tap, no two taps are tied.`
      : `${tapName(ask, tap)} for ${calls[0] ?? "this call"}: one call, one tap.`;
  return `The switched line${calls.length > 0 ? ` of ${calls.join(" and ")}` : ""}.`;
}

/** "Speed 2", or for a motor with a lead for each power "The 1/4 hp lead". */
export function tapName({ fitted }: Pick<WiringAsk, "fitted">, slot: Slot): string {
  const rank = tapRank(slot) ?? 1;
  const watts = fitted.rating.powers?.[rank - 1];
  return watts === undefined ? `Speed ${rank}` : `The ${formatHp(watts)} hp lead`;
}
