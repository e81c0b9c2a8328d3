import type { Net, Service, Slot } from "../motor/feeding";
import type { Compartment } from "./compartment";

/** A net of the motor with the terminals it is to meet. */
export interface TerminalNet {
  readonly slots: readonly Slot[];
  /** The first is where the leads land, the others have to be on the same potential. */
  readonly terminals: readonly string[];
  readonly services: readonly Service[];
}

/** Stands for a side of the run capacitor until the school is known. */
export type CapacitorSide = "run-cap-1?" | "run-cap-2?";

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
  const bySlots = new Map<string, { slots: readonly Slot[]; terminals: string[]; services: Service[] }>();
  charts.forEach((nets, i) => {
    for (const { slots, services } of nets) {
      const key = [...slots].sort().join();
      const net = bySlots.get(key) ?? { slots, terminals: [], services: [] };
      bySlots.set(key, net);
      for (const service of services) {
        if (service.startsWith("run-cap") && i > 0) continue;
        const terminal = terminalFor(service, made, feeds[i]?.hot ?? "", swapped);
        if (!net.services.includes(service)) net.services.push(service);
        if (terminal && !net.terminals.includes(terminal)) net.terminals.push(terminal);
      }
    }
  });
  const nets = [...bySlots.values()];
  const slots = nets.flatMap((net) => net.slots);
  return new Set(slots).size === slots.length ? nets : null;
}

function terminalFor(
  service: Service,
  { offers }: Compartment,
  hot: string,
  swapped: boolean,
): string | null {
  switch (service) {
    case "line-1":
      return swapped ? offers.back : (offers.lines?.[0] ?? hot);
    case "line-2":
      return swapped ? hot : (offers.lines?.[1] ?? offers.back);
    case "line-3":
      return offers.lines?.[2] ?? null;
    case "start":
      return offers.start ?? null;
    case "run-cap-1":
    case "run-cap-2":
      return `${service}?` satisfies CapacitorSide;
  }
}

/** Which line the run capacitor's other side hangs on in a chart: the switched one, or the return. */
export function capacitorHangsOn(charts: readonly (readonly Net[])[]): "line" | "return" {
  const net = charts[0]?.find(({ services }) => services.includes("run-cap-1"));
  return net?.services.includes("line-1") ? "line" : "return";
}
