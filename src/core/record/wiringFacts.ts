import type { Compartment } from "../wiring/compartment";
import { compartmentById } from "../wiring/compartments";
import { type HandChanges, type Jumper, NO_CHANGES } from "../wiring/plan";
import type {
  BoardNow,
  Fact,
  KickSeen,
  LandingChoice,
  OldLead,
  Photo,
  Pin,
  SetInside,
  WiringWish,
} from "./facts";

/** What a job knows of its equipment, the old wiring and the plan. */
export interface WiringFacts {
  /** The equipment as it was found, a copy of the library's or edited; null while none was chosen. */
  readonly compartment: Compartment | null;
  readonly oldLeads: readonly OldLead[];
  readonly photos: readonly Photo[];
  readonly pins: readonly Pin[];
  readonly wish: WiringWish;
  /** How the motor's own leads are joined now; null while nobody said. */
  readonly board: BoardNow | null;
  /** Battery kicks, each pair of places once, as it was seen last. */
  readonly kicks: readonly KickSeen[];
  /** How the motor, or a module, is set inside; null while nobody said. */
  readonly setInside: SetInside | null;
  /** What was changed by hand on the plan since the equipment was chosen. */
  readonly changes: HandChanges;
  /** The plan was marked ready and nothing of the wiring changed since; with the reason where the check said stop. */
  readonly ready: { readonly override: string | null; readonly by: string; readonly at: string } | null;
}

/** Facts that the wiring hangs on, readings too: after one of them a plan marked ready is no longer. */
const WIRING_KINDS: ReadonlySet<Fact["body"]["kind"]> = new Set([
  "compartment",
  "landing",
  "wiring-wish",
  "kick",
  "kicks-anew",
  "set-inside",
  "moved",
  "wire-added",
  "wire-off",
  "as-planned",
  "lead",
  "lead-gone",
  "pair-reading",
  "shell-reading",
  "told",
  "capacitor",
  "plate",
  "place",
  "chosen",
]);

const NO_WISH: WiringWish = { speeds: {}, reversed: false };

/** What the facts say of the equipment, the old wiring and the plan. */
export function wiringFacts(live: readonly Fact[]): WiringFacts {
  const last = <K extends Fact["body"]["kind"]>(kind: K) =>
    live.map((f) => f.body).findLast((b): b is Extract<Fact["body"], { kind: K }> => b.kind === kind);
  const landing = last("landing")?.choice;
  const chosen = last("compartment");
  const photos = standing<Photo>(live, "photo");
  return {
    compartment: chosen ? chosen.compartment : landing ? compartmentOfLanding(landing) : null,
    oldLeads: oldLeads(live),
    photos,
    pins: standing<Pin>(live, "pin").filter((pin) => photos.some(({ id }) => id === pin.photo)),
    wish: last("wiring-wish")?.wish ?? (landing ? wishOfLanding(landing) : NO_WISH),
    board: last("board-now")?.board ?? null,
    kicks: kicksOf(live),
    setInside: last("set-inside")?.set ?? null,
    changes: handChanges(live),
    ready: readyOf(live),
  };
}

/** A test made again counts as it was seen last, whichever way round its clips stood. */
function kicksOf(live: readonly Fact[]): KickSeen[] {
  const begin = live.findLastIndex(({ body }) => body.kind === "kicks-anew");
  const kicks = new Map<string, KickSeen>();
  for (const { body } of live.slice(begin + 1)) {
    if (body.kind !== "kick") continue;
    const key = [body.kick.battery, body.kick.meter].map((pair) => [...pair].sort().join()).join("/");
    kicks.set(key, body.kick);
  }
  return [...kicks.values()];
}

/** Jobs of before the equipment was data said supply and capacitor alone. */
function compartmentOfLanding({ supply, capacitor }: LandingChoice): Compartment | null {
  const id =
    capacitor === "dual-fan"
      ? "condenser-dual"
      : supply === "115-neutral"
        ? "bench-cord"
        : "air-handler-relay";
  return compartmentById(id) ?? null;
}

function wishOfLanding(landing: LandingChoice): WiringWish {
  const call = compartmentOfLanding(landing)?.offers.feeds[0]?.call;
  return { speeds: call ? { [call]: landing.speed } : {}, reversed: false };
}

function oldLeads(live: readonly Fact[]): OldLead[] {
  const leads = new Map<string, OldLead>();
  for (const { body } of live) {
    if (body.kind === "old-lead") leads.set(body.old.lead.id, body.old);
    if (body.kind === "old-lead-gone") leads.delete(body.lead);
  }
  return [...leads.values()];
}

/** Photos or pins that were added and not taken away again. */
function standing<T extends Photo | Pin>(live: readonly Fact[], kind: "photo" | "pin"): T[] {
  const all = new Map<string, Photo | Pin>();
  for (const { body } of live) {
    if (body.kind === "photo" && kind === "photo") all.set(body.photo.id, body.photo);
    if (body.kind === "photo-gone" && kind === "photo") all.delete(body.photo);
    if (body.kind === "pin" && kind === "pin") all.set(body.pin.id, body.pin);
    if (body.kind === "pin-gone" && kind === "pin") all.delete(body.pin);
  }
  return [...all.values()] as T[];
}

/** Changes by hand belong to the equipment they were made on: another compartment begins anew, the same edited does not. */
function handChanges(live: readonly Fact[]): HandChanges {
  let equipment: string | undefined;
  let begin = -1;
  live.forEach(({ body }, i) => {
    if (body.kind === "as-planned") begin = i;
    if (body.kind !== "compartment" || body.compartment?.id === equipment) return;
    equipment = body.compartment?.id;
    begin = i;
  });
  const landings = new Map<string, string>();
  const added = new Map<string, Jumper>();
  const gone = new Set<string>();
  for (const { body } of live.slice(begin + 1)) {
    if (body.kind === "moved") {
      if (body.to === null) landings.delete(body.lead);
      else landings.set(body.lead, body.to);
    }
    if (body.kind === "wire-added") added.set(body.wire.id, body.wire);
    if (body.kind === "wire-off") {
      if (body.off) gone.add(body.wire);
      else gone.delete(body.wire);
    }
  }
  return landings.size + added.size + gone.size === 0
    ? NO_CHANGES
    : { landings: Object.fromEntries(landings), added: [...added.values()], gone: [...gone] };
}

function readyOf(live: readonly Fact[]): WiringFacts["ready"] {
  const at = live.findLastIndex(({ body }) => body.kind === "ready");
  const fact = live[at];
  if (fact?.body.kind !== "ready" || !fact.body.ready) return null;
  if (live.slice(at + 1).some(({ body }) => WIRING_KINDS.has(body.kind))) return null;
  return { override: fact.body.override ?? null, by: fact.by, at: fact.at };
}
