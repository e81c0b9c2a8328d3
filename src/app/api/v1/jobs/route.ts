import { listJobs } from "@/contract";
import { database } from "@/server/database";
import { jobStore } from "@/server/jobStore";
import { served, serveRoutes } from "@/server/serveRoutes";

const MOST_LISTED = 200;

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(listJobs, async ({ shop }) => ({ jobs: await jobStore(database(), shop).titles(MOST_LISTED) })),
);
