import { NextResponse } from "next/server";
import { z } from "zod";
import { faultsOf, stockItem } from "@/core";
import { itemFaults } from "@/core/stock";
import { database } from "@/server/database";
import { answer, problem, readJson } from "@/server/http";
import { stockStore } from "@/server/stockStore";

interface Context {
  params: Promise<{ import: string }>;
}

const MOST_ROWS_A_WRITE = 400;
const MOST_ROWS = 100_000;
const importId = z.uuid();
const write = z.union([
  z.object({
    firstRow: z.number().int().min(0).max(MOST_ROWS),
    items: z.array(stockItem).min(1).max(MOST_ROWS_A_WRITE),
  }),
  z.object({ finish: z.object({ rows: z.number().int().min(1).max(MOST_ROWS) }) }),
]);

/** Lays rows of an import aside, or finishes it: all its rows become stock at once, or none. */
export function POST(request: Request, { params }: Context): Promise<NextResponse> {
  return answer(request, async () => {
    const id = importId.safeParse((await params).import);
    if (!id.success) return problem(404, "There is no such import.");
    const body = await readJson(request);
    if (!body.ok) return body.answer;
    const given = write.safeParse(body.json);
    if (!given.success)
      return problem(422, "The rows do not hold together; none was kept.", {
        faults: faultsOf(given.error.issues),
      });
    const store = stockStore(database());
    if ("finish" in given.data) {
      const done = await store.finish(id.data, given.data.finish.rows);
      return done
        ? NextResponse.json(done)
        : problem(409, "Rows of this import are missing; nothing was imported. Import the file again.");
    }
    const { firstRow, items } = given.data;
    const faults = items.flatMap((item, i) =>
      itemFaults(item).map((f) => ({ ...f, path: [firstRow + i, ...f.path] })),
    );
    if (faults.length > 0) return problem(422, "A row cannot be understood; none was kept.", { faults });
    await store.stage(id.data, firstRow, items);
    return NextResponse.json({ staged: items.length });
  });
}

/** Gives an import up: what was laid aside is forgotten. */
export function DELETE(request: Request, { params }: Context): Promise<NextResponse> {
  return answer(request, async () => {
    const id = importId.safeParse((await params).import);
    if (!id.success) return problem(404, "There is no such import.");
    await stockStore(database()).drop(id.data);
    return NextResponse.json({ dropped: true });
  });
}
