import { listEquipment } from "@/contract";
import { database } from "@/server/database";
import { equipmentStore } from "@/server/equipmentStore";
import { served, serveRoutes } from "@/server/serveRoutes";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(listEquipment, async ({ shop }) => ({ equipment: await equipmentStore(database(), shop).list() })),
);
