import type { Compartment } from "../wiring/compartment";
import { compartmentById } from "../wiring/equipment";
import { type HandChanges, NO_CHANGES } from "../wiring/plan";
import type { BoardNow, KickSeen, OldLead, Photo, Pin, SetInside, WiringWish } from "./facts";
import type { JobDraft } from "./jobDraft";
import type { LandingChoice } from "./nouns/landingChoice";

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

const NO_WISH: WiringWish = { speeds: {}, reversed: false };

/** What the facts say of the equipment, the old wiring and the plan. */
export function wiringFacts(draft: JobDraft): WiringFacts {
  const { landing, photos } = draft;
  return {
    compartment:
      draft.compartment === undefined ? landing && compartmentOfLanding(landing) : draft.compartment,
    oldLeads: [...draft.oldLeads.values()],
    photos: [...photos.values()],
    pins: [...draft.pins.values()].filter(({ photo }) => photos.has(photo)),
    wish: draft.wish ?? (landing ? wishOfLanding(landing) : NO_WISH),
    board: draft.board,
    kicks: [...draft.kicks.values()],
    setInside: draft.setInside,
    changes: handChanges(draft),
    ready: draft.ready,
  };
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

function handChanges({ moved, wiresAdded, wiresOff }: JobDraft): HandChanges {
  return moved.size + wiresAdded.size + wiresOff.size === 0
    ? NO_CHANGES
    : { landings: Object.fromEntries(moved), added: [...wiresAdded.values()], gone: [...wiresOff] };
}
