import { exportStock } from "@/contract";
import { csvHead, csvLines } from "@/core/stock";
import { database } from "@/server/database";
import { served, serveRoutes } from "@/server/serveRoutes";
import { stockStore } from "@/server/stockStore";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(exportStock, ({ shop }) => {
    const batches = stockStore(database(), shop).batches();
    const text = new TextEncoder();
    // A batch when the caller has taken the last: neither the whole stock nor anybody's time is held.
    const body = new ReadableStream<Uint8Array>({
      // With a byte-order mark, by which spreadsheets know the encoding.
      start: (controller) => controller.enqueue(text.encode(`\uFEFF${csvHead()}`)),
      pull: async (controller) => {
        const { done, value } = await batches.next();
        if (done) controller.close();
        else controller.enqueue(text.encode(csvLines(value.map(({ item }) => item))));
      },
      cancel: async () => void (await batches.return(undefined)),
    });
    return new Response(body, {
      headers: {
        "content-type": "text/csv; charset=utf-8",
        "content-disposition": 'attachment; filename="stock.csv"',
      },
    });
  }),
);
