import { visitsOfUnit } from "@/contract";
import { database } from "@/server/database";
import { jobList } from "@/server/jobList";
import { Problem } from "@/server/problem";
import { served, serveRoutes } from "@/server/serveRoutes";

const MOST_VISITS = 200;

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(visitsOfUnit, async ({ params, shop }) => {
    const list = jobList(database(), shop);
    const [unit, visits] = await Promise.all([list.unit(params.unit), list.visits(params.unit, MOST_VISITS)]);
    return unit ? { unit, visits } : new Problem(404, "There is no such unit.");
  }),
);
