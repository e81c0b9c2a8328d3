import { askMetBefore } from "@/contract";
import { workedOut } from "@/server/heavy";
import { Problem } from "@/server/problem";
import { served, serveRoutes } from "@/server/serveRoutes";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(askMetBefore, async ({ body: { job, ...read }, shop, request }) => {
    const met = await workedOut(request, "metBefore", shop, read, job);
    if (met instanceof Problem) return met;
    return { met: met.map(({ map, ...one }) => ({ ...one, map: [...map] })) };
  }),
);
