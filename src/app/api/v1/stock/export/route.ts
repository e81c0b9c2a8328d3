import { exportStock } from "@/contract";
import { stockToCsv } from "@/core/stock";
import { database } from "@/server/database";
import { served, serveRoutes } from "@/server/serveRoutes";
import { stockStore } from "@/server/stockStore";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(exportStock, async ({ shop }) => {
    const lines = await stockStore(database(), shop).all();
    // With a byte-order mark, by which spreadsheets know the encoding.
    return new Response(`\uFEFF${stockToCsv(lines.map(({ item }) => item))}`, {
      headers: {
        "content-type": "text/csv; charset=utf-8",
        "content-disposition": 'attachment; filename="stock.csv"',
      },
    });
  }),
);
