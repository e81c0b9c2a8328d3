import * as z from "zod/mini";

/** An error as RFC 9457 problem details; `faults` name each fault of the input by its path. */
export const problemDetails = z.object({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  detail: z.optional(z.string()),
  /** The request's id in the log, where the fault is ours. */
  requestId: z.optional(z.string()),
  faults: z.optional(
    z.array(
      z.object({ code: z.string(), path: z.array(z.union([z.string(), z.number()])), says: z.string() }),
    ),
  ),
});
export type ProblemDetails = z.output<typeof problemDetails>;
