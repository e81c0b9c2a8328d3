import { health } from "@/contract";
import { databaseApart } from "@/server/database";
import { historyOf } from "@/server/history";
import { lastBackup } from "@/server/lastBackup";
import { served, serveRoutes } from "@/server/serveRoutes";
import packageJson from "../../../../package.json";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(health, async () => {
    const history = await historyOf(databaseApart()).catch(() => null);
    const state = history ? ("ok" as const) : ("away" as const);
    const said = {
      status: state === "ok" ? "ok" : "degraded",
      version: packageJson.version,
      database: state,
      lastBackup: await lastBackup(),
      history,
    };
    return Response.json(said, { status: state === "ok" ? 200 : 503 });
  }),
);
