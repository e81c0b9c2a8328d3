import * as z from "zod/mini";
import { probeAbout } from "../../nouns/probeAbout";
import { factKind, named, versioned } from "../kind";

/** What the plate or the machine tells, typed at the probe. */
export const toldFact = factKind("told", {
  schema: z.object({ kind: named("told"), v: versioned(2), about: probeAbout }),
  // Version 1 called it `told`, as what was seen beside the ohms is called on a sheet.
  upgrades: [({ told, ...body }) => ({ ...body, v: 2, about: told })],
  unmakesReady: true,
  change: (draft, body) => {
    draft.about = body.about;
  },
});
