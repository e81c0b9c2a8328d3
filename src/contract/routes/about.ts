import * as z from "zod/mini";
import { route } from "../route";
import { serverHistory } from "../serverHistory";

export const health = route({
  id: "health",
  method: "GET",
  path: "/api/health",
  summary: "The version that runs and whether its database answers",
  answer: z.object({
    status: z.enum(["ok", "degraded"]),
    version: z.string(),
    database: z.enum(["ok", "away"]),
    /** When the last backup was made; null where there is none, or none is told of. */
    lastBackup: z.nullable(z.iso.datetime()),
    /** Null while the database is away. */
    history: z._default(z.nullable(serverHistory), null),
  }),
  refusals: { 503: "The database does not answer" },
});

export const describeApi = route({
  id: "describeApi",
  method: "GET",
  path: "/api/v1/openapi.json",
  summary: "This description",
  answer: z.looseObject({ openapi: z.string() }),
});
