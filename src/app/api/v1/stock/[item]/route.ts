import { NextResponse } from "next/server";
import { z } from "zod";
import { faultsOf, stockItem } from "@/core";
import { itemFaults } from "@/core/stock";
import { database } from "@/server/database";
import { answer, problem, readJson } from "@/server/http";
import { stockStore } from "@/server/stockStore";

interface Context {
  params: Promise<{ item: string }>;
}

/** Where a line of the stock is in use. */
export function GET(request: Request, { params }: Context): Promise<NextResponse> {
  return answer(request, async () => {
    const id = z.uuid().safeParse((await params).item);
    if (!id.success) return problem(404, "There is no such line.");
    return NextResponse.json({ uses: await stockStore(database()).usesOf(id.data) });
  });
}

/** Puts a line of the stock in, or in place of its old form. */
export function PUT(request: Request, { params }: Context): Promise<NextResponse> {
  return answer(request, async () => {
    const { item: id } = await params;
    const body = await readJson(request);
    if (!body.ok) return body.answer;
    const given = stockItem.safeParse(body.json);
    if (!given.success)
      return problem(422, "The line does not hold together; nothing was kept.", {
        faults: faultsOf(given.error.issues),
      });
    if (given.data.id !== id) return problem(422, "The line’s id is not the address’s.");
    const faults = itemFaults(given.data);
    if (faults.length > 0) return problem(422, "A field cannot be understood; nothing was kept.", { faults });
    await stockStore(database()).put(given.data);
    return NextResponse.json({ kept: true });
  });
}

/** Takes a line out of the stock. */
export function DELETE(request: Request, { params }: Context): Promise<NextResponse> {
  return answer(request, async () => {
    const id = z.uuid().safeParse((await params).item);
    if (!id.success || !(await stockStore(database()).remove(id.data)))
      return problem(404, "There is no such line.");
    return NextResponse.json({ removed: true });
  });
}
