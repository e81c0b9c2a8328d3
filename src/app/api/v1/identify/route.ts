import { NextResponse } from "next/server";
import { identify } from "@/core";
import { answer, problem, readJson } from "@/server/http";

/** Reading sheet in, identification out; see /api/v1/openapi.json. */
export function POST(request: Request): Promise<NextResponse> {
  return answer(request, async () => {
    const body = await readJson(request);
    if (!body.ok) return body.answer;
    const result = identify(body.json);
    if (!result.ok) return problem(422, "The sheet does not hold together.", { faults: result.faults });
    return NextResponse.json(result);
  });
}
