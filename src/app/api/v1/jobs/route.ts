import { listJobs } from "@/contract";
import { database } from "@/server/database";
import { jobList } from "@/server/jobList";
import { served, serveRoutes } from "@/server/serveRoutes";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(listJobs, ({ query, shop }) => jobList(database(), shop).page(query)),
);
