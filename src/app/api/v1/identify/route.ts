import { identifyLeads } from "@/contract";
import { workedOut } from "@/server/heavy";
import { Problem } from "@/server/problem";
import { served, serveRoutes } from "@/server/serveRoutes";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(identifyLeads, async ({ body, request }) => {
    const result = await workedOut(request, "identify", body);
    if (result instanceof Problem || result.ok) return result;
    return new Problem(422, "The sheet does not hold together.", { faults: result.faults });
  }),
);
