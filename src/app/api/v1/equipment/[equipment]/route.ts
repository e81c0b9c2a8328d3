import { deleteEquipment, putEquipment } from "@/contract";
import { database } from "@/server/database";
import { equipmentStore, MOST_EQUIPMENT } from "@/server/equipmentStore";
import { Problem } from "@/server/problem";
import { served, serveRoutes } from "@/server/serveRoutes";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(putEquipment, async ({ params, body, shop }) =>
    (await equipmentStore(database(), shop).put(params.equipment, body))
      ? { kept: true as const }
      : new Problem(409, `The shop keeps ${MOST_EQUIPMENT} of its own at the most: take one away first.`),
  ),
  served(deleteEquipment, async ({ params, shop }) =>
    (await equipmentStore(database(), shop).remove(params.equipment))
      ? { removed: true as const }
      : new Problem(404, "There is no such equipment."),
  ),
);
