import { faultResults, handInFault } from "@/contract";
import { faultTask, gradeFault } from "@/core/practice";
import { database } from "@/server/database";
import { practiceStore } from "@/server/practiceStore";
import { served, serveRoutes } from "@/server/serveRoutes";

const MOST_LINES = 100;

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(faultResults, async ({ query, shop }) => ({
    results: await practiceStore(database(), shop).faultsOf(query.person, MOST_LINES),
  })),
  served(handInFault, async ({ body, shop }) => {
    const grade = gradeFault(body);
    const { wiring, complaint } = faultTask(body.seed, body.wish);
    const about = { equipment: wiring.compartment.title, complaint };
    await practiceStore(database(), shop).keepFault(body, about, grade);
    return { grade };
  }),
);
