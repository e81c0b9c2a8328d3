import type { OhmsShown } from "@/core";

/** Where the stand-in's probes are. */
export type HeldProbes =
  | { readonly between: [string, string] }
  | { readonly shell: string }
  | { readonly lifted: true }
  | { readonly tips: string };

/** What a hand does with the stand-in's probes, and what its eyes see. */
export interface Bench {
  /** Puts the probes somewhere; fulfilled once they are there. */
  readonly put: (probes: HeldProbes) => Promise<void>;
  /** What the display showed where the probes are now; null before the first value from there. */
  readonly shows: () => OhmsShown | null;
}

const LIFTED: HeldProbes = { lifted: true };

/** How long a hand stays, in ms: in the air, on the leads, and with the tips together for the sign. */
const AIR_MS = 900;
const LEADS_MS = 3600;
const APART_MS = 800;
const TIPS_MS = 500;
/** A value or a sign is taken within this; else the hand begins again. */
const TAKEN_MS = 4000;
const LOOK_MS = 100;

/**
 * Puts the stand-in's probes on a place: at once, or as a hand does that is read hands free: lifted, then on the leads.
 * Where the display shows open there and nothing else, the tips together for a moment say so. It begins again until it
 * is ended: what it touches was taken then, or is wanted no more.
 *
 * @param place what the probes touch, as the route takes it.
 * @returns ends the movement.
 */
export function moveProbes(place: string, likeAHand: boolean, bench: Bench): () => void {
  const touched: HeldProbes = JSON.parse(place);
  if (!likeAHand || "lifted" in touched || "tips" in touched) {
    void bench.put(touched);
    return () => undefined;
  }
  let ended = false;
  const tips: HeldProbes = { tips: "between" in touched ? touched.between[0] : touched.shell };
  const move = async (probes: HeldProbes, staysMs: number) => {
    if (ended) return;
    await bench.put(probes);
    await pause(staysMs);
  };
  void (async () => {
    while (!ended) {
      await move(LIFTED, AIR_MS);
      await move(touched, 0);
      if (await readsOpen(bench, () => ended)) {
        await move(LIFTED, APART_MS);
        await move(tips, TIPS_MS);
        await move(LIFTED, 0);
      }
      await pause(TAKEN_MS);
    }
  })();
  return () => {
    ended = true;
  };
}

/** Stays on the leads and looks: whether the display shows open, and never showed anything else. */
async function readsOpen({ shows }: Bench, ended: () => boolean): Promise<boolean> {
  let open = false;
  for (let ms = 0; ms < LEADS_MS && !ended(); ms += LOOK_MS) {
    await pause(LOOK_MS);
    const shown = shows();
    if (shown && !("open" in shown)) return false;
    open = shown !== null;
  }
  return open;
}

function pause(ms: number): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, ms));
}
