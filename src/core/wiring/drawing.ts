import type { Point } from "../quantity/point";
import { placeName } from "./compartment";
import { DEVICE_GAP, type DeviceColumn, type DrawnDevice, deviceColumn } from "./drawnDevices";
import { CAPPED, isJoint } from "./place";
import { FRAME, type Jumper, type WiringPlan } from "./plan";

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

const MARGIN = 16;
/** What is left over the first lead's row, and once more under the last. */
const ROWS_MARGIN = 12;
/** Room left of the devices for each wire that joins two terminals. */
const SIDE_TRACK = 11;
const SIDE_GAP = 8;
const TRACK = 13;
const LEAD_ROW = 27;
/** Rows of leads are spread as far as the devices reach, but no farther apart than this. */
const MOST_SPREAD = 20;
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
  const sideWires = sideWiresOf(plan);
  const left = MARGIN + sideWires.length * SIDE_TRACK + SIDE_GAP;
  const column = deviceColumn(plan, usedTerminals(plan, sideWires), { x: left, y: MARGIN });
  const joints = jointsOf(plan);
  const { rows, rowY, bottom } = leadRows(plan, leads, column, joints);
  const runs = runsToTerminals(plan, rows, rowY, joints);
  const tracks = tracksOf(
    runs.map(({ fromY, terminal }) => ({ right: fromY, left: column.at.get(terminal)?.y ?? 0 })),
  );
  const channel = column.right + 20;
  const jointX = channel + Math.max(1, ...tracks.map((t) => t + 1)) * TRACK + 14;
  const leadX = jointX + (joints.length > 0 ? JOINT_ROOM : 30);
  const grid: Grid = { left, channel, jointX, leadX, rowY, at: column.at };
  const drawnLeads = rows.map((lead): DrawnLead => {
    const at = { x: leadX, y: rowY.get(lead) ?? 0 };
    const capped = plan.landings[lead] === CAPPED;
    return { id: lead, at, capped, cap: capped ? { x: leadX - CAP_LENGTH, y: at.y } : null };
  });
  const wires = [
    ...landedWires(runs, tracks, grid),
    ...joints.flatMap((joint) => jointWires(joint, grid)),
    ...equipmentWires(sideWires, grid),
    ...drawnLeads.flatMap(({ id, at, cap }): DrawnWire[] =>
      cap ? [{ id: `wire-${id}-cap`, lead: id, kind: "lead", points: [at, cap] }] : [],
    ),
  ];
  return {
    width: leadX + leadTextWidth + MARGIN,
    height: Math.max(column.bottom, bottom),
    devices: column.devices,
    wires,
    leads: drawnLeads,
    joints: joints.map(({ id, leads: joined }) => {
      const ys = joined.map((lead) => rowY.get(lead) ?? 0);
      return {
        id,
        name: placeName(plan.compartment, id),
        x: jointX,
        y1: Math.min(...ys),
        y2: Math.max(...ys),
      };
    }),
    crossings: countCrossings(wires),
  };
}

/** Where the drawing's columns and rows stand. */
interface Grid {
  /** The devices' left edge. */
  readonly left: number;
  /** Where the tracks between devices and leads begin. */
  readonly channel: number;
  readonly jointX: number;
  readonly leadX: number;
  /** The row of each lead. */
  readonly rowY: ReadonlyMap<string, number>;
  /** The place of each terminal. */
  readonly at: ReadonlyMap<string, Point>;
}

/** A wire that joins two terminals, run left of the devices. */
interface SideWire extends Jumper {
  readonly kind: "equipment" | "jumper";
}

function sideWiresOf({ compartment: { wires }, jumpers }: WiringPlan): SideWire[] {
  return [
    ...wires.map((wire) => ({ ...wire, kind: "equipment" as const })),
    ...jumpers.filter(({ from }) => !isJoint(from)).map((wire) => ({ ...wire, kind: "jumper" as const })),
  ];
}

function usedTerminals({ landings, jumpers }: WiringPlan, sideWires: readonly SideWire[]): Set<string> {
  return new Set([
    ...Object.values(landings),
    ...sideWires.flatMap(({ from, to }) => [from, to]),
    ...jumpers.map(({ to }) => to),
  ]);
}

/** The leads' rows, top to bottom, and where they end. */
function leadRows(
  plan: WiringPlan,
  leads: readonly string[],
  column: DeviceColumn,
  joints: readonly JointOf[],
): { readonly rows: readonly string[]; readonly rowY: ReadonlyMap<string, number>; readonly bottom: number } {
  const rows = orderedRows(plan, [FRAME, ...leads], column.at, joints);
  const spare = Math.max(1, column.bottom - MARGIN - DEVICE_GAP - rows.length * LEAD_ROW);
  const step = LEAD_ROW + Math.min(MOST_SPREAD, Math.max(0, spare / Math.max(1, rows.length)));
  const top = MARGIN + ROWS_MARGIN;
  return {
    rows,
    rowY: new Map(rows.map((lead, i) => [lead, top + i * step + LEAD_ROW / 2])),
    bottom: top + rows.length * step + ROWS_MARGIN + MARGIN,
  };
}

/** Wires from leads and joints to terminals, each on its track; several on one terminal fan out about its middle. */
function landedWires(runs: readonly Run[], tracks: readonly number[], grid: Grid): DrawnWire[] {
  const seen = new Map<string, number>();
  return runs.map(({ id, lead, fromY, terminal, fromJoint }, i) => {
    const place = grid.at.get(terminal) ?? { x: grid.left, y: 0 };
    const nth = seen.get(terminal) ?? 0;
    seen.set(terminal, nth + 1);
    const endY = place.y + PLACE_STEP * (nth === 0 ? 0 : nth % 2 === 1 ? (nth + 1) / 2 : -nth / 2);
    const x = grid.channel + (tracks[i] ?? 0) * TRACK;
    return {
      id,
      lead,
      kind: lead ? "lead" : "jumper",
      points: square([
        { x: fromJoint ? grid.jointX : grid.leadX, y: fromY },
        { x, y: fromY },
        { x, y: endY },
        { x: place.x, y: endY },
      ]),
    };
  });
}

function jointWires({ id, leads }: JointOf, { leadX, jointX, rowY }: Grid): DrawnWire[] {
  return leads.map((lead) => ({
    id: `wire-${lead}-${id}`,
    lead,
    kind: "lead",
    points: [
      { x: leadX, y: rowY.get(lead) ?? 0 },
      { x: jointX, y: rowY.get(lead) ?? 0 },
    ],
  }));
}

function equipmentWires(wires: readonly SideWire[], { left, at }: Grid): DrawnWire[] {
  return wires.flatMap(({ id, from, to, kind }, i): DrawnWire[] => {
    const [a, b] = [at.get(from), at.get(to)];
    if (!a || !b) return [];
    const x = left - SIDE_GAP - i * SIDE_TRACK;
    const points = square([
      { x: left, y: a.y },
      { x, y: a.y },
      { x, y: b.y },
      { x: left, y: b.y },
    ]);
    return [{ id, lead: null, kind, points }];
  });
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
