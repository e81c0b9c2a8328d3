import { NextResponse } from "next/server";
import { stockToCsv } from "@/core/stock";
import { database } from "@/server/database";
import { answer } from "@/server/http";
import { stockStore } from "@/server/stockStore";

/** The whole stock as CSV, with a byte-order mark for spreadsheets; it imports back equal. */
export function GET(request: Request): Promise<NextResponse> {
  return answer(request, async () => {
    const lines = await stockStore(database()).all();
    return new NextResponse(`\uFEFF${stockToCsv(lines.map(({ item }) => item))}`, {
      headers: {
        "content-type": "text/csv; charset=utf-8",
        "content-disposition": 'attachment; filename="stock.csv"',
      },
    });
  });
}
