import { z } from "zod";

/** An error as RFC 9457 problem details; `faults` name each fault of the input by its path. */
export const problemDetails = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number().int(),
  detail: z.string().optional(),
  /** The request's id in the log, where the fault is ours. */
  requestId: z.string().optional(),
  faults: z
    .array(z.object({ code: z.string(), path: z.array(z.union([z.string(), z.number()])), says: z.string() }))
    .optional(),
});
export type ProblemDetails = z.output<typeof problemDetails>;
