import { describeApi, openApi } from "@/contract";
import { served, serveRoutes } from "@/server/serveRoutes";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(describeApi, () => openApi()),
);
