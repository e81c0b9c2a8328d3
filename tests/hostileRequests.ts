import { request } from "node:http";
import type { Random } from "../src/core/bench";

/**
 * A request as it is written, with no library to put it right.
 *
 * @param from the address of this machine that it comes from: each is a client of its own.
 */
export function raw(
  baseURL: string | undefined,
  method: string,
  path: string,
  body?: string | Buffer,
  more: Readonly<Record<string, string>> = {},
  from?: string,
): Promise<{ status: number; type: string; text: string }> {
  const { hostname, port } = new URL(baseURL ?? "");
  return new Promise((resolve, reject) => {
    const headers = { ...(body === undefined ? {} : { "content-type": "application/json" }), ...more };
    const sent = request(
      { hostname, port, method, path, headers, ...(from ? { localAddress: from } : {}) },
      (response) => {
        let text = "";
        response.setEncoding("utf8");
        response.on("data", (chunk: string) => {
          text += chunk;
        });
        response.on("end", () =>
          resolve({ status: response.statusCode ?? 0, type: response.headers["content-type"] ?? "", text }),
        );
      },
    );
    sent.on("error", reject);
    sent.end(body);
  });
}

/** Pieces that hostile requests are put together from. */
const PIECES = [
  "%",
  "%00",
  "%E0",
  "%zz",
  "..",
  "//",
  "\\",
  "'",
  '"',
  "<",
  "{",
  "%2e%2e",
  "019c",
  "null",
  "NaN",
  "-1",
  "é",
];
const VALUES = [
  '"\\u0000"',
  '"\\ud800"',
  "null",
  "-1",
  "1e999",
  "[]",
  "{}",
  '""',
  '"x"',
  "true",
  '{"kind":"lead"}',
];
const KEYS = [
  "facts",
  "id",
  "at",
  "by",
  "body",
  "kind",
  "leads",
  "readings",
  "frame",
  "old",
  "place",
  "seed",
  "wish",
];
const PATHS = [
  "identify",
  "jobs",
  "match",
  "stock",
  "equipment",
  "practice",
  "practice/wiring",
  "meter",
  "truck-plan/needs",
];

/** What a picture is not, and what says that it is one. */
const PICTURES = [
  Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="99999" height="99999"><text>x</text></svg>'),
  Buffer.from("<!doctype html><script>1</script>"),
  Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16, 0x4a, 0x46, 0x49, 0x46, 0, 1, 2, 3]),
  Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0xff, 0xff, 0xff, 0xff]),
  Buffer.from("GIF89a\u0000\u0000"),
  Buffer.alloc(0),
];
const TYPES = ["image/jpeg", "image/svg+xml", "image/png", "text/html", "image/*", ""];
const JOBS = ["019c6ade-eb00-7241-85af-9da521a8da87", "00000000-0000-0000-0000-000000000000", "x"];

/** One hostile request. */
export interface HostileRequest {
  readonly method: string;
  readonly path: string;
  readonly body?: string | Buffer;
  readonly headers?: Readonly<Record<string, string>>;
}

/** Any request that nobody means well with. */
export function hostileRequest(random: Random): HostileRequest {
  const share = random();
  if (share < 0.08) return hostilePicture(random);
  if (share < 0.12) return deepRequest(random);
  return brokenRequest(random);
}

function one<T>(random: Random, list: readonly T[]): T {
  return list[Math.floor(random() * list.length)] as T;
}

function brokenRequest(random: Random): HostileRequest {
  const some = (most: number, make: () => string) =>
    Array.from({ length: Math.floor(random() * most) }, make).join(",");
  const object = (depth: number): string =>
    `{${some(4, () => `"${one(random, KEYS)}":${random() < 0.4 && depth < 4 ? object(depth + 1) : one(random, VALUES)}`)}}`;
  const method = one(random, ["GET", "POST", "PUT", "DELETE", "PATCH", "TRACE", "OPTIONS"]);
  const pieces = () => `/${one(random, PIECES)}${one(random, PIECES)}`;
  const tail = Array.from({ length: Math.floor(random() * 3) }, pieces).join("");
  const query =
    random() < 0.4 ? `?${one(random, KEYS)}=${one(random, PIECES)}&after=${one(random, PIECES)}` : "";
  const path = encodeURI(`/api/v1/${one(random, PATHS)}${tail}${query}`).replaceAll("%25", "%");
  if (random() >= 0.7) return { method, path };
  return { method, path, body: random() < 0.3 ? `[${object(0)}]` : object(0) };
}

function hostilePicture(random: Random): HostileRequest {
  const path = `/api/v1/jobs/${one(random, JOBS)}/photos/${one(random, JOBS)}`;
  return {
    method: "PUT",
    path,
    body: one(random, PICTURES),
    headers: { "content-type": one(random, TYPES) },
  };
}

/** Very deep, or very long. */
function deepRequest(random: Random): HostileRequest {
  const deep = "[".repeat(20_000);
  const long = `{"facts":[${'{"id":1},'.repeat(3000)}{}]}`;
  const path = random() < 0.5 ? `/api/v1/jobs/${one(random, JOBS)}/facts` : `/api/v1/${one(random, PATHS)}`;
  return { method: "POST", path, body: one(random, [deep, long, `"${"x".repeat(100_000)}"`]) };
}

/** Whether an answer tells of the inside of the server: a file, a line of code, a statement, an address. */
export function saysTooMuch(text: string): boolean {
  return /node_modules|\bat [\w.<>]+ \(|\.(?:ts|js):\d+|postgres(?:ql)?:\/\/|\b(?:insert into|select .* from)\b/i.test(
    text,
  );
}
