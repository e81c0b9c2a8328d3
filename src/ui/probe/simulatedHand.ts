/** Where the stand-in's probes are. */
export type HeldProbes =
  | { readonly between: [string, string] }
  | { readonly shell: string }
  | { readonly lifted: true }
  | { readonly tips: string };

/** Times of a hand that goes from one pair to the next, in ms after it was asked: in the air, on the leads, the sign. */
const TOUCHES_MS = 900;
const GIVES_UP_MS = 4500;
const TIPS_MS = 5300;
const PARTS_MS = 5800;

/**
 * Puts the stand-in's probes on a place: at once, or as a hand does that is read hands free: lifted, then on the leads;
 * where nothing is taken from there, the tips together for a moment, which says that the pair is open.
 *
 * @param place what the probes touch, as the route takes it.
 * @param put sends the probes somewhere.
 * @returns ends the movement.
 */
export function moveProbes(place: string, likeAHand: boolean, put: (probes: HeldProbes) => void): () => void {
  const touched: HeldProbes = JSON.parse(place);
  if (!likeAHand || "lifted" in touched || "tips" in touched) {
    put(touched);
    return () => undefined;
  }
  const lifted: HeldProbes = { lifted: true };
  const tips: HeldProbes = { tips: "between" in touched ? touched.between[0] : touched.shell };
  put(lifted);
  const timers = (
    [
      [TOUCHES_MS, touched],
      [GIVES_UP_MS, lifted],
      [TIPS_MS, tips],
      [PARTS_MS, lifted],
    ] as const
  ).map(([ms, probes]) => setTimeout(() => put(probes), ms));
  return () => {
    for (const timer of timers) clearTimeout(timer);
  };
}
