import { matchStock } from "@/contract";
import { database } from "@/server/database";
import { rankStock } from "@/server/rankStock";
import { served, serveRoutes } from "@/server/serveRoutes";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(matchStock, ({ body, shop }) => rankStock(database(), shop, body)),
);
