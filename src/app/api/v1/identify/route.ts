import { identifyLeads } from "@/contract";
import { identify } from "@/core";
import { Problem } from "@/server/problem";
import { served, serveRoutes } from "@/server/serveRoutes";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(identifyLeads, ({ body }) => {
    const result = identify(body);
    return result.ok
      ? result
      : new Problem(422, "The sheet does not hold together.", { faults: result.faults });
  }),
);
