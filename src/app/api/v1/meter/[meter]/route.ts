import { detachMeter } from "@/contract";
import { database } from "@/server/database";
import { attachedMeters } from "@/server/instrument/attachedMeters";
import { served, serveRoutes } from "@/server/serveRoutes";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(detachMeter, async ({ params }) => {
    await attachedMeters(database()).detach(params.meter);
    return { closed: true as const };
  }),
);
