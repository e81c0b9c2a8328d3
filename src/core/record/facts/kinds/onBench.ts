import * as z from "zod/mini";
import { factKind, named } from "../kind";

/** A loose motor on the bench, or a new one in its carton: nothing there to make safe. */
export const onBenchFact = factKind("on-bench", {
  schema: z.object({ kind: named("on-bench"), onBench: z.boolean() }),
  change: (draft, { onBench }) => {
    draft.safe.onBench = onBench;
  },
});
