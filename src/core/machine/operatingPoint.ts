import type { Branch, Machine } from "./circuit";
import { synchronousRadians } from "./field";
import { type Load, loadTorque, rpmOf } from "./load";
import { type PreparedMachine, prepared, type Solution } from "./solve";

/** A contact that speed or a coil's volts move while the motor runs up. */
export type StartContact =
  /** Centrifugal: opens above a share of synchronous speed, closes again below another. */
  | {
      readonly kind: "centrifugal";
      readonly branch: string;
      readonly opensAt: number;
      readonly closesAt: number;
    }
  /** Potential relay: its coil, a resistor branch, pulls the contact open at some volts and lets go at fewer. */
  | {
      readonly kind: "potential";
      readonly branch: string;
      readonly coil: string;
      readonly pickUpVolts: number;
      readonly dropOutVolts: number;
      /** What its coil stands for good, where that is known. */
      readonly coilVolts?: number | undefined;
    };

/** Where a motor comes to rest in speed, or that it does not start. */
export interface OperatingPoint {
  readonly outcome: "runs" | "runs-backward" | "stalls";
  readonly rpm: number;
  readonly solution: Solution;
  /** Contacts that are open there. */
  readonly open: readonly string[];
}

/** One point of a sweep. */
export interface SweepPoint {
  readonly slip: number;
  readonly rpm: number;
  readonly torqueNm: number;
  readonly solution: Solution;
}

const SWEEP_POINTS = 200;
/** Steps of a run-up in slip: fine enough that no dip of a small motor's torque falls between two. */
const STEPS = 80;
/** Balance is found to this share of synchronous speed, or in so many halvings and interpolations. */
const NEAR_ENOUGH = 1e-12;
const MOST_TRIES = 60;
/** A contact that changes more often than this in one run-up chatters: its last state stands, the others go on. */
const MOST_CHANGES = 6;

/** The machine over a range of slips, contacts as they are given; no points where it has no solution. */
export function sweep(machine: Machine, from = 1, to = 0, points = SWEEP_POINTS): SweepPoint[] {
  const poles = machine.fields[0]?.poles ?? 2;
  const ready = prepared(machine);
  if (!ready) return [];
  const stride = (to - from) / Math.max(1, points - 1);
  return Array.from({ length: points }, (_, i) => {
    const slip = from + stride * i;
    const solution = ready.at(slip);
    return { slip, rpm: rpmOf(slip, poles, machine.hertz), torqueNm: solution.torqueNm, solution };
  });
}

/**
 * The machine as it runs up from standstill to synchronous speed, its start contacts moving on the way as their speed or
 * volts say; it ends where the circuit has no solution.
 *
 * @param way -1 to run it up backward: rpm and torque are then below zero where it drives itself.
 */
export function runUp(
  machine: Machine,
  contacts: readonly StartContact[],
  points = SWEEP_POINTS,
  way: 1 | -1 = 1,
): SweepPoint[] {
  const poles = machine.fields[0]?.poles ?? 2;
  let open = new Set<string>();
  let ready = prepared(machine);
  return Array.from({ length: points }, (_, i) => 1 - (way * i) / Math.max(1, points - 1)).flatMap((slip) => {
    if (!ready) return [];
    const now = ready;
    const next = moved(contacts, open, slip, () => now.at(slip));
    if (!same(next, open)) {
      open = next;
      ready = prepared(withContacts(machine, contacts, open));
    }
    const solution = ready?.at(slip);
    return solution
      ? [{ slip, rpm: rpmOf(slip, poles, machine.hertz), torqueNm: solution.torqueNm, solution }]
      : [];
  });
}

/**
 * Where the shaft settles from standstill: it runs up as long as the motor's torque is above load and friction, and
 * stops at the first speed where it is not. Method: {@link STEPS} steps in slip, then false position (Illinois) with
 * bisection to {@link NEAR_ENOUGH}; start contacts move as their speed or volts say, and the run goes on from there. Null where the circuit has no solution.
 */
export function operatingPoint(
  machine: Machine,
  load: Load,
  contacts: readonly StartContact[] = [],
): OperatingPoint | null {
  return new RunUp(machine, load, contacts).fromRest();
}

/** A shaft on its way from standstill, with its start contacts as they stand by now. */
class RunUp {
  private readonly poles: number;
  private open = new Set<string>();
  /** The machine made ready, once for each set of open contacts. */
  private readonly readied = new Map<string, PreparedMachine | null>();
  /** How often each contact has moved. */
  private readonly changes = new Map<string, number>();
  /** 1 forward, -1 backward, by the torque at rest. */
  private way = 1;

  constructor(
    private readonly machine: Machine,
    private readonly load: Load,
    private readonly contacts: readonly StartContact[],
  ) {
    this.poles = machine.fields[0]?.poles ?? 2;
  }

  fromRest(): OperatingPoint | null {
    const atRest = this.ready();
    if (!atRest) return null;
    const startNm = atRest.torqueNm(1);
    if (Math.abs(startNm) <= startingTorque(this.load) || startNm === 0) return this.stalled(atRest.at(1));
    this.way = Math.sign(startNm);
    const step = this.stride;
    let slip = 1;
    for (let guard = 0; guard < 20 * STEPS; guard++) {
      const now = this.ready();
      if (!now) return null;
      if (this.moveContacts(slip, () => now.at(slip))) continue;
      const here = this.surplus(slip);
      if (Number.isNaN(here)) return null;
      if (here <= 0) {
        // A contact took torque away: the shaft falls back to where it finds its balance.
        const back = slip - step;
        if (Math.abs(1 - back) < Math.abs(step) / 2) return this.stalled(now.at(slip));
        if (this.surplus(back) > 0) return this.settled(back, slip);
        slip = back;
        continue;
      }
      const ahead = slip + step;
      if (this.surplus(ahead) <= 0) return this.settled(slip, ahead);
      slip = ahead;
      if (Math.abs(1 - slip) > 1.5) return null;
    }
    return null;
  }

  /** A step in slip that takes the shaft on. */
  private get stride(): number {
    return -this.way / STEPS;
  }

  private ready(): PreparedMachine | null {
    const set = [...this.open].sort().join();
    const before = this.readied.get(set);
    if (before !== undefined) return before;
    const made = prepared(withContacts(this.machine, this.contacts, this.open));
    this.readied.set(set, made);
    return made;
  }

  /** Torque beyond what load and friction take, the way it turns; not a number where the circuit has no solution. */
  private readonly surplus = (slip: number): number => {
    const torqueNm = this.ready()?.torqueNm(slip) ?? Number.NaN;
    const asked = loadTorque(this.load, rpmOf(slip, this.poles, this.machine.hertz));
    return this.way * (torqueNm - asked - friction(this.machine, slip));
  };

  /** Moves the contacts as a speed asks for; one that chatters stays as it is. Whether any moved. */
  private moveContacts(slip: number, solved: () => Solution): boolean {
    const next = moved(this.contacts, this.open, slip, solved);
    for (const { branch } of this.contacts) {
      if (next.has(branch) === this.open.has(branch)) continue;
      const before = this.changes.get(branch) ?? 0;
      if (before >= MOST_CHANGES) {
        if (this.open.has(branch)) next.add(branch);
        else next.delete(branch);
      } else this.changes.set(branch, before + 1);
    }
    if (same(next, this.open)) return false;
    this.open = next;
    return true;
  }

  private stalled(solution: Solution): OperatingPoint {
    return { outcome: "stalls", rpm: 0, solution, open: [...this.open] };
  }

  /** At the balance between two speeds, if no contact moves there. */
  private settled(good: number, bad: number): OperatingPoint | null {
    const slip = balance(this.surplus, good, bad);
    const solution = this.ready()?.at(slip);
    if (!solution) return null;
    if (this.moveContacts(slip, () => solution)) return this.resumed(slip);
    const rpm = rpmOf(slip, this.poles, this.machine.hertz);
    return { outcome: this.way > 0 ? "runs" : "runs-backward", rpm, solution, open: [...this.open] };
  }

  /** Contacts moved at a standing speed: on from there, up or down. */
  private resumed(from: number): OperatingPoint | null {
    const up = this.surplus(from) > 0;
    const stride = up ? this.stride : -this.stride;
    let here = from;
    for (let i = 0; i < 2 * STEPS; i++) {
      const next = here + stride;
      const torque = this.surplus(next);
      if (Number.isNaN(torque)) return null;
      if (torque > 0 !== up) return up ? this.settled(here, next) : this.settled(next, here);
      if (!up && Math.abs(1 - next) < Math.abs(stride)) {
        const solution = this.ready()?.at(1) ?? null;
        return solution && this.stalled(solution);
      }
      here = next;
    }
    return null;
  }
}

/** A speed is looked for this far to either side of where it was, in slip, in strides of {@link STEPS}. */
const NEARBY_STRIDES = 10;

/**
 * Where the shaft settles when a machine or its load is a little other than it was: the balance next to the old one, its
 * start contacts as they stood. Null where there is none nearby; then the whole run-up tells.
 */
export function nearbyPoint(
  machine: Machine,
  load: Load,
  was: OperatingPoint,
  contacts: readonly StartContact[],
): OperatingPoint | null {
  const ready = prepared(withContacts(machine, contacts, new Set(was.open)));
  if (!ready) return null;
  if (was.outcome === "stalls") return { ...was, solution: ready.at(1) };
  const poles = machine.fields[0]?.poles ?? 2;
  const way = was.outcome === "runs" ? 1 : -1;
  const surplus = (slip: number) =>
    way *
    (ready.torqueNm(slip) - loadTorque(load, rpmOf(slip, poles, machine.hertz)) - friction(machine, slip));
  const stride = -way / STEPS;
  let here = was.solution.slip;
  const up = surplus(here) > 0;
  for (let i = 0; i < NEARBY_STRIDES; i++) {
    const next = here + (up ? stride : -stride);
    if (surplus(next) > 0 !== up) {
      const slip = up ? balance(surplus, here, next) : balance(surplus, next, here);
      return { ...was, rpm: rpmOf(slip, poles, machine.hertz), solution: ready.at(slip) };
    }
    here = next;
  }
  return null;
}

/** Where a surplus goes from above zero to below: false position with the Illinois step, halving where that lags. */
function balance(surplus: (slip: number) => number, good: number, bad: number): number {
  let [low, high] = [good, bad];
  let [above, below] = [surplus(low), surplus(high)];
  for (let i = 0; i < MOST_TRIES && Math.abs(high - low) > NEAR_ENOUGH; i++) {
    const spread = above - below;
    const share = i % 3 === 2 || !(spread > 0) ? 0.5 : above / spread;
    const middle = low + Math.min(0.999, Math.max(0.001, share)) * (high - low);
    const here = surplus(middle);
    if (here === 0) return middle;
    if (here > 0) {
      [low, above] = [middle, here];
      below /= 2;
    } else {
      [high, below] = [middle, here];
      above /= 2;
    }
  }
  return low;
}

function withContacts(
  machine: Machine,
  contacts: readonly StartContact[],
  open: ReadonlySet<string>,
): Machine {
  if (contacts.length === 0) return machine;
  const moved = new Set(contacts.map(({ branch }) => branch));
  return {
    ...machine,
    branches: machine.branches.map(
      (branch): Branch =>
        branch.kind === "switch" && moved.has(branch.id)
          ? { ...branch, closed: !open.has(branch.id) }
          : branch,
    ),
  };
}

/** The contacts that are open at a speed, from those that were. */
function moved(
  contacts: readonly StartContact[],
  open: ReadonlySet<string>,
  slip: number,
  solved: () => Solution,
): Set<string> {
  const next = new Set<string>();
  for (const contact of contacts) {
    const was = open.has(contact.branch);
    const value = contact.kind === "centrifugal" ? Math.abs(1 - slip) : voltsOf(solved(), contact.coil);
    const [up, down] =
      contact.kind === "centrifugal"
        ? [contact.opensAt, contact.closesAt]
        : [contact.pickUpVolts, contact.dropOutVolts];
    if (was ? value > down : value >= up) next.add(contact.branch);
  }
  return next;
}

function voltsOf(solution: Solution, branch: string): number {
  const volts = solution.branches.get(branch)?.volts;
  return volts ? Math.hypot(volts.re, volts.im) : 0;
}

function same(one: ReadonlySet<string>, other: ReadonlySet<string>): boolean {
  return one.size === other.size && [...one].every((id) => other.has(id));
}

/** Of a fan's rated torque, what its bearings and belt hold at rest: less than that is no start. */
const STICTION_SHARE = 0.03;

/** What holds a shaft at rest, newton metres: a fan its bearings, a conveyor its torque. */
export function startingTorque(load: Load): number {
  switch (load.kind) {
    case "constant":
      return load.newtonMetres;
    case "fan":
      return Math.max(1e-6, STICTION_SHARE * load.newtonMetres + (load.dragNm ?? 0));
    case "none":
      return 1e-6;
  }
}

function friction({ frictionNm = 0, fields, hertz }: Machine, slip: number): number {
  const poles = fields[0]?.poles ?? 2;
  return synchronousRadians(poles, hertz) > 0 ? frictionNm * (1 - slip) : 0;
}
