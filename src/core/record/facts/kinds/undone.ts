import * as z from "zod/mini";
import { factKind, named } from "../kind";

/** Takes a fact back; one that takes back an undo is a redo. It works on the list of facts, not on the job. */
export const undoneFact = factKind("undone", {
  schema: z.object({ kind: named("undone"), fact: z.uuid() }),
  change: () => undefined,
});
