import { listUnits } from "@/contract";
import { database } from "@/server/database";
import { jobList } from "@/server/jobList";
import { served, serveRoutes } from "@/server/serveRoutes";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(listUnits, async ({ query, shop }) => ({
    units: await jobList(database(), shop).units(query.search, query.most),
  })),
);
