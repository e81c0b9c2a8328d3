import { NextResponse } from "next/server";
import { z } from "zod";
import { faultsOf } from "@/core";
import { database } from "@/server/database";
import { answer, problem } from "@/server/http";
import { STOCK_SORTS, stockStore } from "@/server/stockStore";

const query = z.object({
  kind: z.enum(["motor", "capacitor"]).optional(),
  search: z.string().max(120).default(""),
  only: z.enum(["on-hand", "short"]).optional(),
  sort: z.enum(STOCK_SORTS).default("name"),
  descending: z.stringbool().default(false),
  offset: z.coerce.number().int().min(0).max(1_000_000).default(0),
  most: z.coerce.number().int().min(1).max(200).default(60),
});

/** A page of the stock by search, filter and sort. */
export function GET(request: Request): Promise<NextResponse> {
  return answer(request, async () => {
    const asked = query.safeParse(Object.fromEntries(new URL(request.url).searchParams));
    if (!asked.success)
      return problem(422, "The list cannot be asked for like that.", {
        faults: faultsOf(asked.error.issues),
      });
    return NextResponse.json(await stockStore(database()).list(asked.data));
  });
}
