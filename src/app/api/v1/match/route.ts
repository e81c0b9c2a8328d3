import { NextResponse } from "next/server";
import { faultsOf } from "@/core";
import { matchRequest } from "@/core/stock";
import { database } from "@/server/database";
import { answer, problem, readJson } from "@/server/http";
import { matchStock } from "@/server/matchStock";

/** Ranks the stock and the catalogue for an old motor and its place. */
export function POST(request: Request): Promise<NextResponse> {
  return answer(request, async () => {
    const body = await readJson(request);
    if (!body.ok) return body.answer;
    const asked = matchRequest.safeParse(body.json);
    if (!asked.success)
      return problem(422, "What is asked for does not hold together.", {
        faults: faultsOf(asked.error.issues),
      });
    return NextResponse.json(await matchStock(database(), asked.data));
  });
}
