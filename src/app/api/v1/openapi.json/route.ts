import { NextResponse } from "next/server";
import { answer } from "@/server/http";
import { openApi } from "@/server/openApi";

/** The description of this interface, generated from the schemas that guard it. */
export function GET(request: Request): Promise<NextResponse> {
  return answer(request, async () => NextResponse.json(openApi()));
}
