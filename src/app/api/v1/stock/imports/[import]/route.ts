import { dropImport, importStock } from "@/contract";
import { itemFaults } from "@/core/stock";
import { database } from "@/server/database";
import { Problem } from "@/server/problem";
import { served, serveRoutes } from "@/server/serveRoutes";
import { stockImport } from "@/server/stockImport";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(importStock, async ({ params, body, shop }) => {
    const store = stockImport(database(), shop);
    if ("finish" in body)
      return (
        (await store.finish(params.import, body.finish.rows)) ??
        new Problem(409, "Rows of this import are missing; nothing was imported. Import the file again.")
      );
    const { firstRow, items } = body;
    const faults = items.flatMap((item, i) =>
      itemFaults(item).map((f) => ({ ...f, path: [firstRow + i, ...f.path] })),
    );
    if (faults.length > 0) return new Problem(422, "A row cannot be understood; none was kept.", { faults });
    await store.stage(params.import, firstRow, items);
    return { staged: items.length };
  }),
  served(dropImport, async ({ params, shop }) => {
    await stockImport(database(), shop).drop(params.import);
    return { dropped: true as const };
  }),
);
