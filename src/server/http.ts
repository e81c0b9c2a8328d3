import { randomUUID } from "node:crypto";
import { NextResponse } from "next/server";
import type { Fault } from "@/core";
import { log } from "./log";
import { allowed } from "./rateLimit";

/** The largest body taken, in bytes: a sheet with every pair read ten times is under a quarter of it. */
export const MOST_BODY_BYTES = 512 * 1024;

/** An error as RFC 9457 problem details; `faults` name each fault of the input by its path. */
export function problem(
  status: number,
  title: string,
  more: { detail?: string; faults?: readonly Fault[] } = {},
) {
  const body = JSON.stringify({ type: "about:blank", title, status, ...more });
  return new NextResponse(body, { status, headers: { "content-type": "application/problem+json" } });
}

/** The body of a request as JSON, or the answer that refuses it. */
export async function readJson(
  request: Request,
): Promise<{ ok: true; json: unknown } | { ok: false; answer: NextResponse }> {
  if (!request.headers.get("content-type")?.toLowerCase().startsWith("application/json")) {
    return { ok: false, answer: problem(415, "Send the body as application/json.") };
  }
  const text = await readText(request);
  if (text === null) {
    return { ok: false, answer: problem(413, `The body is over ${MOST_BODY_BYTES / 1024} kB.`) };
  }
  try {
    return { ok: true, json: JSON.parse(text) };
  } catch {
    return { ok: false, answer: problem(400, "The body is not valid JSON.") };
  }
}

async function readText(request: Request): Promise<string | null> {
  return (await readBytes(request, MOST_BODY_BYTES))?.toString("utf8") ?? null;
}

/** The body as it came; null where it is longer than it may be. */
export async function readBytes(request: Request, most: number): Promise<Buffer | null> {
  const reader = request.body?.getReader();
  if (!reader) return Buffer.alloc(0);
  const parts: Uint8Array[] = [];
  let size = 0;
  for (let chunk = await reader.read(); !chunk.done; chunk = await reader.read()) {
    size += chunk.value.byteLength;
    if (size > most) {
      await reader.cancel();
      return null;
    }
    parts.push(chunk.value);
  }
  return Buffer.concat(parts);
}

/** Runs a route under the rate limit, with a request id in the log and no internals in the answer. */
export async function answer(request: Request, route: () => Promise<NextResponse>): Promise<NextResponse> {
  const requestId = randomUUID();
  if (!allowed(request.headers.get("x-odd-lead-remote") ?? "local", Date.now())) {
    return problem(429, "Too many requests; wait a few seconds.");
  }
  try {
    const response = await route();
    response.headers.set("x-request-id", requestId);
    response.headers.set("cache-control", "no-store");
    return response;
  } catch (error) {
    log.error({ requestId, url: new URL(request.url).pathname, err: error }, "request failed");
    const away = problem(503, "The server cannot reach its database just now. Nothing you entered is lost.");
    away.headers.set("x-request-id", requestId);
    return away;
  }
}
