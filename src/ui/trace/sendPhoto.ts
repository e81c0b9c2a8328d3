import { z } from "zod";

const kept = z.object({ widthPx: z.number(), heightPx: z.number() });
const refusal = z.object({ title: z.string() });

/** Sends a photo under its id; sending it again is harmless. */
export async function sendPhoto(
  job: string,
  photo: string,
  file: File,
  signal: AbortSignal,
): Promise<{ ok: true; widthPx: number; heightPx: number } | { ok: false; says: string }> {
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
    return { ok: false, says: told.success ? told.data.title : "The server did not take it." };
  } catch {
    return {
      ok: false,
      says: "The server cannot be reached. The photo is kept in this browser until it can.",
    };
  }
}
