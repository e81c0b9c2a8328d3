import { putPhoto } from "@/contract/routes/jobs";
import { call } from "../parts/api";

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
  const called = await call(putPhoto, { params: { job, photo }, file, signal }).catch(() => null);
  if (called?.ok) return { ok: true, ...called.value };
  return {
    ok: false,
    says: called && called.status !== null ? called.says : "The server cannot be reached.",
    later: called?.later ?? true,
  };
}
