import { sql } from "drizzle-orm";
import { NextResponse } from "next/server";
import { database } from "@/server/database";
import { answer } from "@/server/http";
import packageJson from "../../../../package.json";

/** The version that runs and whether its database answers. */
export function GET(request: Request): Promise<NextResponse> {
  return answer(request, async () => {
    const state = await database()
      .execute(sql`select 1`)
      .then(() => "ok" as const)
      .catch(() => "away" as const);
    return NextResponse.json(
      { status: state === "ok" ? "ok" : "degraded", version: packageJson.version, database: state },
      { status: state === "ok" ? 200 : 503 },
    );
  });
}
