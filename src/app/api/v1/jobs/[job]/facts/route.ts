import { addFacts, factsOfJob } from "@/contract";
import { database } from "@/server/database";
import { jobStore } from "@/server/jobStore";
import { served, serveRoutes } from "@/server/serveRoutes";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(factsOfJob, ({ params, query, shop }) =>
    jobStore(database(), shop).factsOf(params.job, query.after),
  ),
  served(addFacts, async ({ params, body, shop }) => {
    await jobStore(database(), shop).addFacts(params.job, body.facts);
    return { kept: body.facts.length };
  }),
);
