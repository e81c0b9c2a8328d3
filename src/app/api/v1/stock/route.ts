import { listStock } from "@/contract";
import { database } from "@/server/database";
import { served, serveRoutes } from "@/server/serveRoutes";
import { stockStore } from "@/server/stockStore";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(listStock, ({ query, shop }) => stockStore(database(), shop).list(query)),
);
