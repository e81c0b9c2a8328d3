import { z } from "zod";

const kept = z.object({ widthPx: z.number(), heightPx: z.number() });
const refusal = z.object({ title: z.string() });

/** Why a photo did not arrive; `later` where sending the same again may well help. */
export interface NotSent {
  readonly ok: false;
  readonly says: string;
  readonly later: boolean;
}

/** Sends a photo under its id; sending it again is harmless. */
export async function sendPhoto(
  job: string,
  photo: string,
  file: File,
  signal: AbortSignal,
): Promise<{ ok: true; widthPx: number; heightPx: number } | NotSent> {
  try {
    const response = await fetch(`/api/v1/jobs/${job}/photos/${photo}`, {
      method: "PUT",
      body: file,
      headers: { "content-type": file.type || "image/unknown" },
      signal,
    });
    const json: unknown = await response.json();
    const read = kept.safeParse(json);
    if (response.ok && read.success) return { ok: true, ...read.data };
    const told = refusal.safeParse(json);
    return {
      ok: false,
      says: told.success ? told.data.title : "The server did not take it.",
      later: response.status >= 500 || response.status === 429,
    };
  } catch {
    return {
      ok: false,
      says: "The server cannot be reached.",
      later: true,
    };
  }
}
