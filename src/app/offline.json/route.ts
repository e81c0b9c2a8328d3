import { offlineFiles } from "@/server/offlineFiles";

export const dynamic = "force-dynamic";

/** What the worker that keeps the application takes along. */
export function GET(): Response {
  return Response.json(offlineFiles(), { headers: { "cache-control": "no-store" } });
}
