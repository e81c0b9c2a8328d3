import { truckNeeds } from "@/contract";
import { workedOut } from "@/server/heavy";
import { served, serveRoutes } from "@/server/serveRoutes";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(truckNeeds, ({ shop, request }) => workedOut(request, "truckNeeds", shop)),
);
