import { detachMeter } from "@/contract";
import { detach } from "@/server/instrument/attachedMeters";
import { served, serveRoutes } from "@/server/serveRoutes";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(detachMeter, ({ params }) => {
    detach(params.meter);
    return { closed: true as const };
  }),
);
