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
  const { capacitor } = made.offers;
  const landings: Record<string, string> = { [FRAME]: made.offers.ground };
  const reasons: Record<string, string> = { [FRAME]: "Frame ground first, lines last." };
  const jumpers: Jumper[] = [];
  const taken = new Map<string, number>();
  for (const { from, to } of made.wires)
    for (const end of [from, to]) taken.set(end, (taken.get(end) ?? 0) + 1);
  const free = (terminal: string) =>
    (terminalOf(made, terminal)?.terminal.places ?? 0) - (taken.get(terminal) ?? 0);
  const take = (terminal: string) => taken.set(terminal, (taken.get(terminal) ?? 0) + 1);
  const put = (lead: string, to: string, why: string) => {
    landings[lead] = to;
    reasons[lead] = why;
    if (readPlace(to).kind === "terminal") take(to);
  };
  const jump = (from: string, to: string) => {
    jumpers.push({ id: `jumper-${from}-${to}`, from, to });
    if (readPlace(from).kind === "terminal") take(from);
    take(to);
  };
  let joints = 0;
  const terminalAt = (end: NetEnd) => {
    if (end.kind === "terminal") return end.id;
    return end.side === "line" ? capacitor?.lineSide : capacitor?.startSide;
  };
  const ordered = [...nets].sort((a, b) => orderOf(a) - orderOf(b));
  for (const net of ordered) {
    const [main, ...others] = [...new Set(net.ends.map(terminalAt))].filter(
      (t): t is string => t !== undefined,
    );
    const leadsOf = (slot: Slot) => ask.motor.leads.filter((lead) => lead.slot === slot).map(({ id }) => id);
    const needed = net.slots.flatMap((slot) => leadsOf(slot).slice(0, 1));
    const spare = net.slots.flatMap((slot) => leadsOf(slot).slice(1));
    if (needed.length === 0) continue;
    const tied = (terminal: string) =>
      capacitor?.tied === true && terminal === capacitor.lineSide && main !== capacitor.startSide;
    const further = others.filter((terminal) => !tied(terminal));
    const jumped = further.slice(spare.length);
    const why = reasonOf(net, ask, made);
    if (!main || needed.length + jumped.length > free(main)) {
      if (!main && needed.length < 2) {
        for (const lead of needed) put(lead, CAPPED, "Joined to nothing in this connection.");
        continue;
      }
      joints += 1;
      const joint = jointPlace(joints);
      for (const lead of needed) put(lead, joint, why);
      for (const terminal of main ? [main, ...jumped] : []) jump(joint, terminal);
    } else {
      for (const lead of needed) put(lead, main, why);
      for (const terminal of jumped) jump(main, terminal);
    }
    further.slice(0, spare.length).forEach((terminal, i) => {
      put(
        spare[i] as string,
        terminal,
        "The same lead again: it brings the run end to the capacitor’s other side.",
      );
    });
    for (const lead of spare.slice(further.length))
      put(lead, CAPPED, "The same lead again, not needed here: capped on its own.");
  }
  const parks = [...made.offers.park];
  const { powers } = ask.fitted.rating;
  for (const { id, slot } of ask.motor.leads) {
    if (landings[id]) continue;
    const speed = isTap(slot);
    const park = speed ? parks.shift() : undefined;
    put(
      id,
      park ?? CAPPED,
      speed
        ? powers
          ? `${tapName(ask, slot)}, not used here: live while the motor runs.`
          : "Unused speed: live while the motor runs; the check says at how many volts."
        : "Unused in this connection: live while the motor runs.",
    );
  }
  return {
    id: place.id,
    title: titleOf(ask, setting),
    school: place.school,
    compartment: made,
    landings,
    jumpers,
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
    reasons,
    cautions: [
      "Unused leads are live when the motor runs: each capped on its own, never two together.",
      ...place.cautions,
      ...made.cautions,
    ],
  };
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
