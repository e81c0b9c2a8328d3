import { sha256 } from "@noble/hashes/sha2.js";
import { bytesToHex, utf8ToBytes } from "@noble/hashes/utils.js";

/** The SHA-256 (FIPS 180-4) of a text, in hexadecimal digits. */
export function digestOf(text: string): string {
  return bytesToHex(sha256(utf8ToBytes(text)));
}

/** The same of bytes, such as a photo's. */
export function digestOfBytes(bytes: Uint8Array): string {
  return bytesToHex(sha256(bytes));
}

/** JSON of a value with the names of every object in order and nothing between: equal values give equal texts. */
export function canonicalJson(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map((one) => canonicalJson(one ?? null)).join(",")}]`;
  if (typeof value !== "object" || value === null) return JSON.stringify(value) ?? "null";
  const named = Object.entries(value)
    .filter(([, one]) => one !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0));
  return `{${named.map(([name, one]) => `${JSON.stringify(name)}:${canonicalJson(one)}`).join(",")}}`;
}
