import * as z from "zod/mini";

/**
 * Which history of facts the server has. A restored backup keeps its origin and gets another latest: whoever knows the
 * origin under another latest may have seen facts that are not there any more.
 */
export const serverHistory = z.object({ origin: z.uuid(), latest: z.uuid() });
export type ServerHistory = z.output<typeof serverHistory>;
