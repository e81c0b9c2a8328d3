import * as z from "zod/mini";
import { capacitorTest } from "../../nouns/capacitorTest";
import { factKind, named } from "../kind";

/** One test of a capacitor. */
export const capacitorTestFact = factKind("capacitor-test", {
  schema: z.object({ kind: named("capacitor-test"), test: capacitorTest }),
  change: (draft, body, meta) => {
    draft.capacitorTests.push({ ...body.test, fact: meta.id, at: meta.at });
  },
});
