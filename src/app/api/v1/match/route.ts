import { matchStock } from "@/contract";
import { workedOut } from "@/server/heavy";
import { served, serveRoutes } from "@/server/serveRoutes";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(matchStock, ({ body, shop, request }) => workedOut(request, "rankStock", shop, body)),
);
