import * as z from "zod/mini";
import { boardNow } from "../../nouns/boardNow";
import { factKind, named } from "../kind";

/** Where the motor’s own leads are joined now, by wire, and by what its volts are set. */
export const boardNowFact = factKind("board-now", {
  schema: z.object({ kind: named("board-now"), board: boardNow }),
  change: (draft, body) => {
    draft.board = body.board;
  },
});
