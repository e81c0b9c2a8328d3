import { sql } from "drizzle-orm";
import { NextResponse } from "next/server";
import { health } from "@/contract";
import { database } from "@/server/database";
import { lastBackup } from "@/server/lastBackup";
import { served, serveRoutes } from "@/server/serveRoutes";
import packageJson from "../../../../package.json";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(health, async () => {
    const state = await database()
      .execute(sql`select 1`)
      .then(() => "ok" as const)
      .catch(() => "away" as const);
    const said = {
      status: state === "ok" ? "ok" : "degraded",
      version: packageJson.version,
      database: state,
      lastBackup: await lastBackup(),
    };
    return NextResponse.json(said, { status: state === "ok" ? 200 : 503 });
  }),
);
