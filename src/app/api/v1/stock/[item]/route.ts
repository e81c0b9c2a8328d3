import { deleteStock, putStock, stockUses } from "@/contract";
import { itemFaults } from "@/core/stock";
import { database } from "@/server/database";
import { Problem } from "@/server/problem";
import { served, serveRoutes } from "@/server/serveRoutes";
import { stockStore } from "@/server/stockStore";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(stockUses, async ({ params, shop }) => {
    const store = stockStore(database(), shop);
    const [line, uses] = await Promise.all([store.line(params.item), store.usesOf(params.item)]);
    return { line, uses };
  }),
  served(putStock, async ({ params, query, body, shop }) => {
    if (body.id !== params.item) return new Problem(422, "The line’s id is not the address’s.");
    const faults = itemFaults(body);
    if (faults.length > 0)
      return new Problem(422, "A field cannot be understood; nothing was kept.", { faults });
    const put = await stockStore(database(), shop).put(body, query.from);
    return put.kept
      ? put
      : new Problem(409, "Somebody else changed this line meanwhile; nothing was kept. Look at it anew.");
  }),
  served(deleteStock, async ({ params, query, shop }) => {
    switch (await stockStore(database(), shop).remove(params.item, query.from)) {
      case "removed":
        return { removed: true as const };
      case "meanwhile":
        return new Problem(
          409,
          "Somebody else changed this line meanwhile; it is still there. Look at it anew.",
        );
      case "none":
        return new Problem(404, "There is no such line.");
    }
  }),
);
