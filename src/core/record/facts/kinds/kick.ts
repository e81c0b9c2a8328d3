import * as z from "zod/mini";
import { type KickSeen, kick } from "../../nouns/kick";
import { factKind, named } from "../kind";

function placesOf({ battery, meter }: KickSeen): string {
  return [battery, meter].map((pair) => [...pair].sort().join()).join("/");
}

/** A battery-kick test; made again it counts as it was seen last, whichever way round its clips stood. */
export const kickFact = factKind("kick", {
  schema: z.object({ kind: named("kick"), kick }),
  unmakesReady: true,
  change: (draft, body) => {
    draft.kicks.set(placesOf(body.kick), body.kick);
  },
});
