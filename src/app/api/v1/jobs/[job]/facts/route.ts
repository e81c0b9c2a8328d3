import { addFacts, factsOfJob } from "@/contract";
import { database } from "@/server/database";
import { statusLater } from "@/server/heavy/statusLater";
import { jobStore } from "@/server/jobStore";
import { Problem } from "@/server/problem";
import { served, serveRoutes } from "@/server/serveRoutes";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(factsOfJob, ({ params, query, shop }) =>
    jobStore(database(), shop).factsOf(params.job, query.after, query.most),
  ),
  served(addFacts, async ({ params, body, shop }) => {
    const conflicts = new Set(await jobStore(database(), shop).addFacts(params.job, body.facts));
    if (conflicts.size === 0) {
      statusLater(shop, params.job);
      return { kept: body.facts.length };
    }
    const faults = body.facts.flatMap(({ id }, i) =>
      conflicts.has(id)
        ? [
            {
              code: "other-fact",
              path: ["facts", i, "id"],
              says: "This id is that of another fact of the job.",
            },
          ]
        : [],
    );
    return new Problem(409, "A fact has the id of another one; none was kept.", { faults });
  }),
);
