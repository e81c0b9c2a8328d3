import { faultsOf } from "@/core";
import { Problem } from "./problem";

/** The largest JSON body taken, in bytes: a sheet with every pair read ten times is under a quarter of it. */
export const MOST_BODY_BYTES = 512 * 1024;

/** The body of a request as JSON, or what is wrong with it. */
export async function readJson(request: Request): Promise<{ readonly json: unknown } | Problem> {
  if (!request.headers.get("content-type")?.toLowerCase().startsWith("application/json"))
    return new Problem(415, "Send the body as application/json.");
  const bytes = await readBytes(request, MOST_BODY_BYTES);
  if (bytes === null) return new Problem(413, `The body is over ${MOST_BODY_BYTES / 1024} kB.`);
  if (isTooDeep(bytes))
    return new Problem(422, "The body does not hold together.", {
      faults: faultsOf([{ code: "custom", path: [], message: `is nested deeper than ${MOST_DEPTH} levels` }]),
    });
  try {
    const json: unknown = JSON.parse(bytes.toString("utf8"));
    const unwritable = unwritableText(json);
    if (!unwritable) return { json };
    const faults = faultsOf([{ code: "custom", path: unwritable, message: NO_TEXT }]);
    return new Problem(422, "A text in the body cannot be written down.", { faults });
  } catch {
    return new Problem(400, "The body is not valid JSON.");
  }
}

/** Nothing that is sent here has a tenth of that. */
const MOST_DEPTH = 100;

/** Whether lists and objects stand in each other deeper than that: seen without making them, which takes a while. */
function isTooDeep(json: Uint8Array): boolean {
  let depth = 0;
  let inText = false;
  for (let i = 0; i < json.length; i++) {
    const byte = json[i];
    if (inText) {
      if (byte === BACKSLASH) i += 1;
      else if (byte === QUOTE) inText = false;
    } else if (byte === QUOTE) inText = true;
    else if (byte === OPEN_LIST || byte === OPEN_OBJECT) {
      depth += 1;
      if (depth > MOST_DEPTH) return true;
    } else if (byte === CLOSE_LIST || byte === CLOSE_OBJECT) depth -= 1;
  }
  return false;
}

const [QUOTE, BACKSLASH, OPEN_LIST, CLOSE_LIST, OPEN_OBJECT, CLOSE_OBJECT] = Buffer.from('"\\[]{}');

/** The body as it came; null where it is longer than it may be. */
export async function readBytes(request: Request, most: number): Promise<Buffer | null> {
  // A body does not outgrow the length that is told of it: HTTP reads no further.
  const told = request.headers.get("content-length");
  if (told !== null) return Number(told) > most ? null : Buffer.from(await request.arrayBuffer());
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

const NO_TEXT = "holds a NUL or half a character, which is no text";

/** Whether a text can be kept: PostgreSQL takes no NUL, and half of a surrogate pair is no character. */
export function isText(text: string): boolean {
  return !text.includes("\u0000") && text.isWellFormed();
}

/** A value inside of a body, with where it stands. */
interface Inside {
  readonly value: unknown;
  readonly key: PropertyKey;
  readonly within: Inside | null;
}

/**
 * The path of the first text that cannot be kept, keys included; null where all can. A path is put together for a fault
 * alone: one at each level would be work of the square of the depth.
 */
function unwritableText(json: unknown): PropertyKey[] | null {
  const waiting: Inside[] = [{ value: json, key: "", within: null }];
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    const { value } = next;
    if (typeof value === "string" && !isText(value)) return pathOf(next);
    if (typeof value !== "object" || value === null) continue;
    for (const [key, inside] of Object.entries(value)) {
      if (!isText(key)) return pathOf(next);
      waiting.push({ value: inside, key: Array.isArray(value) ? Number(key) : key, within: next });
    }
  }
  return null;
}

function pathOf(one: Inside): PropertyKey[] {
  const path: PropertyKey[] = [];
  for (let at = one; at.within; at = at.within) path.push(at.key);
  return path.reverse();
}
