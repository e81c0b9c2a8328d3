import { deleteStock, putStock, stockUses } from "@/contract";
import { itemFaults } from "@/core/stock";
import { database } from "@/server/database";
import { Problem } from "@/server/problem";
import { served, serveRoutes } from "@/server/serveRoutes";
import { stockStore } from "@/server/stockStore";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(stockUses, async ({ params, shop }) => ({
    uses: await stockStore(database(), shop).usesOf(params.item),
  })),
  served(putStock, async ({ params, body, shop }) => {
    if (body.id !== params.item) return new Problem(422, "The line’s id is not the address’s.");
    const faults = itemFaults(body);
    if (faults.length > 0)
      return new Problem(422, "A field cannot be understood; nothing was kept.", { faults });
    await stockStore(database(), shop).put(body);
    return { kept: true as const };
  }),
  served(deleteStock, async ({ params, shop }) =>
    (await stockStore(database(), shop).remove(params.item))
      ? { removed: true as const }
      : new Problem(404, "There is no such line."),
  ),
);
