import { truckNeeds } from "@/contract";
import { database } from "@/server/database";
import { pastNeeds } from "@/server/pastNeeds";
import { served, serveRoutes } from "@/server/serveRoutes";
import { stockStore } from "@/server/stockStore";

const MOST_JOBS = 3000;

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(truckNeeds, async ({ shop }) => {
    const [needs, lines] = await Promise.all([
      pastNeeds(database(), shop, MOST_JOBS),
      stockStore(database(), shop).all(),
    ]);
    return { needs, items: lines.map(({ item, onHand }) => ({ ...item, count: onHand })) };
  }),
);
