import type { Point } from "../quantity/point";
import type { Compartment, Contact, Device } from "./compartment";
import type { WiringPlan } from "./plan";

export interface DrawnDevice {
  readonly id: string;
  readonly name: string;
  /** Its capacitors' values; "" where it has none. */
  readonly note: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly terminals: readonly {
    readonly id: string;
    readonly name: string;
    /** What a contact feeds it from, and when: "L1 on cooling"; "" where nothing does. */
    readonly feed: string;
    readonly at: Point;
    readonly used: boolean;
  }[];
  /** The trade's public symbols for what is inside, where they are drawn. */
  readonly symbols: readonly DrawnSymbol[];
}

/** A capacitor between two rows, a contact in a row, a motor or the earth at a place. */
export type DrawnSymbol =
  | { readonly kind: "capacitor"; readonly from: Point; readonly to: Point; readonly x: number }
  /** Rests open or closed while nothing moves it. */
  | { readonly kind: "contact"; readonly at: Point; readonly rests: "open" | "closed" }
  | { readonly kind: "motor" | "ground"; readonly at: Point };

const DEVICE_WIDTH = 216;
/** Height of a device's name, of a terminal's row, and what is left under the last one. */
const HEAD = 24;
const ROW = 26;
const FOOT = 6;
/** Between two devices. */
export const DEVICE_GAP = 14;

/** The devices of a plan's equipment under each other as they sit in the compartment. */
export interface DeviceColumn {
  readonly devices: readonly DrawnDevice[];
  /** Where each terminal's wires meet it, by id. */
  readonly at: ReadonlyMap<string, Point>;
  /** The right edge, and the height at which a further device would stand. */
  readonly right: number;
  readonly bottom: number;
}

/**
 * @param used terminals that a wire of the equipment or of the plan goes to.
 * @param corner the upper left one.
 */
export function deviceColumn(plan: WiringPlan, used: ReadonlySet<string>, corner: Point): DeviceColumn {
  const { compartment: made } = plan;
  const right = corner.x + DEVICE_WIDTH;
  const bare: DrawnDevice[] = [];
  let { y } = corner;
  for (const device of made.devices) {
    const top = y;
    const height = HEAD + device.terminals.length * ROW + FOOT;
    bare.push({
      id: device.id,
      name: device.name,
      note: capacitorsOf(device, plan),
      x: corner.x,
      y,
      width: DEVICE_WIDTH,
      height,
      symbols: [],
      terminals: device.terminals.map((terminal, i) => ({
        id: terminal.id,
        name: terminal.name,
        feed: feedOf(made, device, terminal.id),
        at: { x: right, y: top + HEAD + i * ROW + ROW / 2 },
        used: used.has(terminal.id),
      })),
    });
    y += height + DEVICE_GAP;
  }
  return {
    devices: bare.map((device) => ({ ...device, symbols: symbolsOf(device, made) })),
    at: new Map(bare.flatMap(({ terminals }) => terminals.map((t) => [t.id, t.at] as const))),
    right,
    bottom: y,
  };
}

/** How a contact rests; null for what is joined always and opens for no call, which is no contact. */
function restsOf({ closedOn, opensOn }: Contact): "open" | "closed" | null {
  if (closedOn !== "always") return "open";
  return (opensOn?.length ?? 0) > 0 ? "closed" : null;
}

/** A terminal's name ends this far left of its point, each of its letters is so wide. */
const NAME_GAP = 18;
const NAME_LETTER = 8.6;
/** Longer names leave no room for a contact before them. */
const SHORT_NAME = 4;
const SYMBOL_STEP = 20;

function symbolsOf({ id, terminals, x, y, height }: DrawnDevice, made: Compartment): DrawnSymbol[] {
  const parts = made.devices.find((device) => device.id === id)?.parts ?? [];
  const row = (terminal: string) => terminals.find((one) => one.id === terminal);
  const before = ({ at, name }: DrawnDevice["terminals"][number]): Point => ({
    x: at.x - NAME_GAP - NAME_LETTER * name.length,
    y: at.y,
  });
  const widest = Math.max(0, ...terminals.map(({ name }) => name.length));
  const middle = { x: x + 30, y: y + height / 2 + 6 };
  const symbols: DrawnSymbol[] = [];
  for (const part of parts) {
    const [from, to] = [row(part.from), row(part.to)];
    if (part.kind === "compressor") symbols.push({ kind: "motor", at: middle });
    if (part.kind === "capacitor" && from && to) {
      const nth = symbols.filter(({ kind }) => kind === "capacitor").length;
      const at = x + DEVICE_WIDTH - NAME_GAP - NAME_LETTER * widest - 14 - SYMBOL_STEP * nth;
      symbols.push({ kind: "capacitor", from: before(from), to: before(to), x: at });
    }
    const rests = part.kind === "contact" ? restsOf(part) : null;
    if (rests && to && to.name.length <= SHORT_NAME && to.feed !== "")
      symbols.push({ kind: "contact", at: { x: before(to).x - 14, y: to.at.y }, rests });
  }
  if (terminals.some((terminal) => terminal.id === made.supply.ground))
    symbols.push({ kind: "ground", at: { x: middle.x, y: (terminals[0]?.at.y ?? middle.y) - 4 } });
  return symbols;
}

/** Values of a device's capacitors that somebody stated or the plan fits; what nobody stated is not drawn as stated. */
function capacitorsOf({ id, parts }: Device, { capacitors, parts: works }: WiringPlan): string {
  const planned = capacitors.find(({ device, known }) => device === id && known);
  const fitted = works.some(({ device }) => device === id);
  const known = parts.flatMap((part) => {
    if (part.kind !== "capacitor") return [];
    const own = planned && Math.abs(part.microfarads / planned.microfarads - 1) < 1e-6;
    return part.stated || own || (part.start && fitted) ? [part] : [];
  });
  // A dual is written with the compressor's half first; its parts stand fan first.
  known.reverse();
  const [first] = known;
  if (!first) return parts.some(({ kind }) => kind === "capacitor") ? "label not read" : "";
  const values = known.map(({ microfarads }) => Number(microfarads.toPrecision(3))).join(" + ");
  // Short: it stands in one line with the device's name.
  return `${values} µF, ${planned?.change === "fit" ? "≥ " : ""}${first.volts} V`;
}

/** The contact that feeds a terminal, in a few words. */
function feedOf({ devices, calls }: WiringPlan["compartment"], device: Device, terminal: string): string {
  const contact = device.parts.find((part) => part.kind === "contact" && part.to === terminal);
  if (contact?.kind !== "contact") return "";
  const from =
    devices.flatMap(({ terminals }) => terminals).find(({ id }) => id === contact.from)?.name ?? "";
  const names = (ids: readonly string[]) =>
    ids.map((call) => calls.find(({ id }) => id === call)?.name.toLowerCase() ?? call).join(", ");
  if (contact.opensOn?.length) return `${from} but for ${names(contact.opensOn)}`;
  return contact.closedOn === "always" ? from : `${from} on ${names(contact.closedOn)}`;
}
