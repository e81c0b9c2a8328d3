import type { Net, Service } from "../motor/feeding";
import type { Slot } from "../motor/slot";
import { unforeseen } from "../quantity/unforeseen";
import type { Compartment } from "./compartment";

/** What a net is to meet: a terminal, or a side of the run capacitor, whose place hangs on the school. */
export type NetEnd =
  | { readonly kind: "terminal"; readonly id: string }
  | { readonly kind: "run-capacitor"; readonly side: "line" | "start" };

/** A net of the motor with what it is to meet. */
export interface TerminalNet {
  readonly slots: readonly Slot[];
  /** The first is where the leads land, the others have to be on the same potential. */
  readonly ends: readonly NetEnd[];
  readonly services: readonly Service[];
}

/**
 * The nets of all calls together: each call's hot on the slot it feeds, everything else as the first call has it. Null
 * where one lead would have to be joined otherwise from call to call, which no wire that stays put can do.
 *
 * @param charts one for each feed of the equipment, in its order.
 * @param joined the start winding is joined to the main inside, so that what starts it hangs on the run end's line.
 */
export function terminalNets(
  charts: readonly (readonly Net[])[],
  made: Compartment,
  joined: boolean,
): TerminalNet[] | null {
  const { feeds, back, startFed = feeds[0]?.hot } = made.offers;
  const starts = charts.some((nets) => nets.some(({ services }) => services.includes("start")));
  // What starts the motor hangs on one line of the equipment for good: the motor's lines go to it the way round that fits.
  const swapped = starts
    ? startFed === (joined ? feeds[0]?.hot : back)
    : capacitorHangsOn(charts) === "line" && made.offers.startFed === back;
  const bySlots = new Map<string, { slots: readonly Slot[]; ends: NetEnd[]; services: Service[] }>();
  charts.forEach((nets, i) => {
    for (const { slots, services } of nets) {
      const key = [...slots].sort().join();
      const net = bySlots.get(key) ?? { slots, ends: [], services: [] };
      bySlots.set(key, net);
      for (const service of services) {
        if (service.startsWith("run-cap") && i > 0) continue;
        const end = endFor(service, made, feeds[i]?.hot ?? "", swapped);
        if (!net.services.includes(service)) net.services.push(service);
        if (end && !net.ends.some((other) => isSameEnd(other, end))) net.ends.push(end);
      }
    }
  });
  const nets = [...bySlots.values()];
  const slots = nets.flatMap((net) => net.slots);
  return new Set(slots).size === slots.length ? nets : null;
}

function endFor(service: Service, { offers }: Compartment, hot: string, swapped: boolean): NetEnd | null {
  const terminal = (id: string | undefined): NetEnd | null => (id ? { kind: "terminal", id } : null);
  switch (service) {
    case "line-1":
      return terminal(swapped ? offers.back : (offers.lines?.[0] ?? hot));
    case "line-2":
      return terminal(swapped ? hot : (offers.lines?.[1] ?? offers.back));
    case "line-3":
      return terminal(offers.lines?.[2]);
    case "start":
      return terminal(offers.start);
    case "run-cap-1":
      return { kind: "run-capacitor", side: "line" };
    case "run-cap-2":
      return { kind: "run-capacitor", side: "start" };
    default:
      return unforeseen(service);
  }
}

function isSameEnd(one: NetEnd, other: NetEnd): boolean {
  if (one.kind === "terminal") return other.kind === "terminal" && one.id === other.id;
  return other.kind === "run-capacitor" && one.side === other.side;
}

/** Which line the run capacitor's other side hangs on in a chart: the switched one, or the return. */
export function capacitorHangsOn(charts: readonly (readonly Net[])[]): "line" | "return" {
  const net = charts[0]?.find(({ services }) => services.includes("run-cap-1"));
  return net?.services.includes("line-1") ? "line" : "return";
}
