import { type Compartment, type Contact, type Device, placeName } from "./compartment";
import { CAPPED, isJoint } from "./place";
import { FRAME, type WiringPlan } from "./plan";

/** Geometry of a wiring drawing, in units of one pixel at natural size; x to the right, y down. */
export interface WiringDrawing {
  readonly width: number;
  readonly height: number;
  readonly devices: readonly DrawnDevice[];
  readonly wires: readonly DrawnWire[];
  readonly leads: readonly DrawnLead[];
  readonly joints: readonly {
    readonly id: string;
    readonly name: string;
    readonly x: number;
    readonly y1: number;
    readonly y2: number;
  }[];
  /** Wires that cross, counted. */
  readonly crossings: number;
}

export interface Point {
  readonly x: number;
  readonly y: number;
}

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

/** A wire as an orthogonal run of points: a lead of the motor, or a wire of the equipment. */
export interface DrawnWire {
  readonly id: string;
  /** Null for a jumper or a wire of the equipment. */
  readonly lead: string | null;
  readonly kind: "lead" | "jumper" | "equipment";
  readonly points: readonly Point[];
}

/** A lead's row at the motor's side: where its name stands, and whether its end is capped. */
export interface DrawnLead {
  readonly id: string;
  readonly at: Point;
  readonly capped: boolean;
  readonly cap: Point | null;
}

const DEVICE_WIDTH = 216;
const HEAD = 24;
const ROW = 26;
const GAP = 14;
const MARGIN = 16;
/** Room left of the devices for each wire that joins two terminals. */
const SIDE_TRACK = 11;
const TRACK = 13;
const LEAD_ROW = 27;
const CAP_LENGTH = 46;
const JOINT_ROOM = 64;
const USUAL_LEAD_TEXT = 230;
const PLACE_STEP = 5;

/**
 * Lays out a plan: devices under each other on the left as they sit in the compartment, the motor's leads as rows on the
 * right in the order of the terminals they go to, so that no two of them cross; joints and capped ends between. Wires run
 * square, each on a track of its own. Deterministic; no crossing among leads of one potential class by construction, those
 * that are left are counted.
 *
 * @param leads the motor's leads, in the order of the sheet; the frame is added.
 * @param leadTextWidth room for a lead's name and its place, for names longer than a colour's letters.
 */
export function wiringDrawing(
  plan: WiringPlan,
  leads: readonly string[],
  leadTextWidth: number = USUAL_LEAD_TEXT,
): WiringDrawing {
  const { compartment: made } = plan;
  const sideWires = [
    ...made.wires.map((wire) => ({ ...wire, kind: "equipment" as const })),
    ...plan.jumpers
      .filter(({ from }) => !isJoint(from))
      .map((wire) => ({ ...wire, kind: "jumper" as const })),
  ];
  const left = MARGIN + sideWires.length * SIDE_TRACK + 8;
  const used = new Set([
    ...Object.values(plan.landings),
    ...sideWires.flatMap(({ from, to }) => [from, to]),
    ...plan.jumpers.map(({ to }) => to),
  ]);
  const devices: DrawnDevice[] = [];
  let y = MARGIN;
  for (const device of made.devices) {
    const height = HEAD + device.terminals.length * ROW + 6;
    devices.push({
      id: device.id,
      name: device.name,
      note: capacitorsOf(device, plan),
      x: left,
      y,
      width: DEVICE_WIDTH,
      height,
      symbols: [],
      terminals: device.terminals.map((terminal, i) => ({
        id: terminal.id,
        name: terminal.name,
        feed: feedOf(made, device, terminal.id),
        at: { x: left + DEVICE_WIDTH, y: y + HEAD + i * ROW + ROW / 2 },
        used: used.has(terminal.id),
      })),
    });
    y += height + GAP;
  }
  const drawn = devices.map((device) => ({ ...device, symbols: symbolsOf(device, made) }));
  const at = new Map(devices.flatMap(({ terminals }) => terminals.map((t) => [t.id, t.at] as const)));
  const joints = jointsOf(plan);
  const rows = orderedRows(plan, [FRAME, ...leads], at, joints);
  const spread = Math.max(1, y - MARGIN - GAP - rows.length * LEAD_ROW);
  const step = LEAD_ROW + Math.min(20, Math.max(0, spread / Math.max(1, rows.length)));
  const rowY = new Map(rows.map((lead, i) => [lead, MARGIN + HEAD / 2 + i * step + LEAD_ROW / 2]));
  const height = Math.max(y, MARGIN + HEAD + rows.length * step + MARGIN);
  const runs = runsToTerminals(plan, rows, rowY, joints);
  const tracks = tracksOf(
    runs.map(({ fromY, terminal }) => ({ right: fromY, left: at.get(terminal)?.y ?? 0 })),
  );
  const trackCount = Math.max(1, ...tracks.map((t) => t + 1));
  const channel = left + DEVICE_WIDTH + 20;
  const jointX = channel + trackCount * TRACK + 14;
  const leadX = jointX + (joints.length > 0 ? JOINT_ROOM : 30);
  const seen = new Map<string, number>();
  const wires: DrawnWire[] = runs.map(({ id, lead, fromY, terminal, fromJoint }, i) => {
    const place = at.get(terminal) ?? { x: left, y: 0 };
    const nth = seen.get(terminal) ?? 0;
    seen.set(terminal, nth + 1);
    const endY = place.y + PLACE_STEP * (nth === 0 ? 0 : nth % 2 === 1 ? (nth + 1) / 2 : -nth / 2);
    const x = channel + (tracks[i] ?? 0) * TRACK;
    return {
      id,
      lead,
      kind: lead ? "lead" : "jumper",
      points: square([
        { x: fromJoint ? jointX : leadX, y: fromY },
        { x, y: fromY },
        { x, y: endY },
        { x: place.x, y: endY },
      ]),
    };
  });
  for (const { id, leads: joined } of joints)
    for (const lead of joined)
      wires.push({
        id: `wire-${lead}-${id}`,
        lead,
        kind: "lead",
        points: [
          { x: leadX, y: rowY.get(lead) ?? 0 },
          { x: jointX, y: rowY.get(lead) ?? 0 },
        ],
      });
  sideWires.forEach(({ id, from, to, kind }, i) => {
    const [a, b] = [at.get(from), at.get(to)];
    if (!a || !b) return;
    const x = left - 8 - i * SIDE_TRACK;
    wires.push({
      id,
      lead: null,
      kind,
      points: square([
        { x: left, y: a.y },
        { x, y: a.y },
        { x, y: b.y },
        { x: left, y: b.y },
      ]),
    });
  });
  const drawnLeads = rows.map((lead): DrawnLead => {
    const rowAt = { x: leadX, y: rowY.get(lead) ?? 0 };
    const capped = plan.landings[lead] === CAPPED;
    return { id: lead, at: rowAt, capped, cap: capped ? { x: leadX - CAP_LENGTH, y: rowAt.y } : null };
  });
  for (const { id, at: rowAt, cap } of drawnLeads)
    if (cap) wires.push({ id: `wire-${id}-cap`, lead: id, kind: "lead", points: [rowAt, cap] });
  return {
    width: leadX + leadTextWidth + MARGIN,
    height,
    devices: drawn,
    wires,
    leads: drawnLeads,
    joints: joints.map(({ id, leads: joined }) => {
      const ys = joined.map((lead) => rowY.get(lead) ?? 0);
      return { id, name: placeName(made, id), x: jointX, y1: Math.min(...ys), y2: Math.max(...ys) };
    }),
    crossings: countCrossings(wires),
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

interface JointOf {
  readonly id: string;
  readonly leads: readonly string[];
  readonly to: readonly { readonly id: string; readonly terminal: string }[];
}

function jointsOf({ landings, jumpers }: WiringPlan): JointOf[] {
  const ids = [...new Set(Object.values(landings).filter(isJoint))].sort();
  return ids.map((id) => ({
    id,
    leads: Object.entries(landings)
      .filter(([, place]) => place === id)
      .map(([lead]) => lead),
    to: jumpers.filter(({ from }) => from === id).map((jumper) => ({ id: jumper.id, terminal: jumper.to })),
  }));
}

/** Rows by the height of what they go to; a joint's leads together, at the height of its terminal; capped ends last. */
function orderedRows(
  { landings }: WiringPlan,
  leads: readonly string[],
  at: ReadonlyMap<string, Point>,
  joints: readonly JointOf[],
): string[] {
  const height = (lead: string): number => {
    const place = landings[lead] ?? CAPPED;
    if (place === CAPPED) return 1e6;
    const joint = joints.findIndex(({ id }) => id === place);
    if (joint >= 0) {
      const terminal = joints[joint]?.to[0]?.terminal;
      return (terminal ? (at.get(terminal)?.y ?? 0) : 1e5) + joint * 1e-3;
    }
    return at.get(place)?.y ?? 1e5;
  };
  return leads
    .filter((lead) => lead in landings)
    .map((lead, i) => ({ lead, i, y: height(lead) }))
    .sort((a, b) => a.y - b.y || a.i - b.i)
    .map(({ lead }) => lead);
}

interface Run {
  readonly id: string;
  readonly lead: string | null;
  readonly fromY: number;
  readonly terminal: string;
  readonly fromJoint: boolean;
}

function runsToTerminals(
  { landings, compartment: made }: WiringPlan,
  rows: readonly string[],
  rowY: ReadonlyMap<string, number>,
  joints: readonly JointOf[],
): Run[] {
  const known = new Set(made.devices.flatMap(({ terminals }) => terminals.map(({ id }) => id)));
  const runs: Run[] = [];
  const done = new Set<string>();
  for (const lead of rows) {
    const place = landings[lead] ?? CAPPED;
    if (known.has(place))
      runs.push({ id: `wire-${lead}`, lead, fromY: rowY.get(lead) ?? 0, terminal: place, fromJoint: false });
    const joint = joints.find(({ id }) => id === place);
    if (!joint || done.has(joint.id)) continue;
    done.add(joint.id);
    joint.to.forEach(({ id, terminal }, i) => {
      runs.push({ id, lead: null, fromY: (rowY.get(lead) ?? 0) + 4 + i * 6, terminal, fromJoint: true });
    });
  }
  return runs;
}

/**
 * Tracks for wires whose two ends stand in the same order on both sides: of those that go down to the right the lower one
 * turns farther left, of those that go up the lower one farther right; so none crosses another.
 */
function tracksOf(runs: readonly { readonly left: number; readonly right: number }[]): number[] {
  const down = runs.map((run, i) => ({ ...run, i })).filter(({ left, right }) => right > left);
  const up = runs.map((run, i) => ({ ...run, i })).filter(({ left, right }) => right <= left);
  const tracks: number[] = Array(runs.length).fill(0);
  down.forEach(({ i }, n) => {
    tracks[i] = down.length - 1 - n;
  });
  up.forEach(({ i }, n) => {
    tracks[i] = n;
  });
  return tracks;
}

/** Points without those that repeat the one before. */
function square(points: readonly Point[]): Point[] {
  return points.filter((p, i) => i === 0 || p.x !== points[i - 1]?.x || p.y !== points[i - 1]?.y);
}

/** Places where a level run of one wire meets an upright run of another, ends not counted. */
export function countCrossings(wires: readonly DrawnWire[]): number {
  const runs = wires.flatMap(({ id, points }) =>
    points.slice(1).map((to, i) => ({ id, from: points[i] as Point, to })),
  );
  const level = runs.filter(({ from, to }) => from.y === to.y);
  const upright = runs.filter(({ from, to }) => from.x === to.x && from.y !== to.y);
  let count = 0;
  for (const h of level)
    for (const v of upright) {
      if (h.id === v.id) continue;
      const [x1, x2] = [Math.min(h.from.x, h.to.x), Math.max(h.from.x, h.to.x)];
      const [y1, y2] = [Math.min(v.from.y, v.to.y), Math.max(v.from.y, v.to.y)];
      if (v.from.x > x1 && v.from.x < x2 && h.from.y > y1 && h.from.y < y2) count += 1;
    }
  return count;
}
