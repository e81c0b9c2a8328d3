import { type Refused, refused } from "../quantity/fault";

/** Bytes of a file as text, and how they were read. */
export interface Decoded {
  readonly ok: true;
  readonly text: string;
  readonly encoding: "utf-8" | "utf-16le" | "utf-16be" | "windows-1252";
  /** Set where the encoding had to be guessed: what to look at. */
  readonly doubt: string | null;
}

/** Files over this many bytes are not read: a stock list of a hundred thousand lines is far smaller. */
export const MOST_FILE_BYTES = 20_000_000;

/**
 * Reads a file's bytes as text: by its byte-order mark where it has one, as UTF-8 where it is valid, else as
 * Windows-1252, the old habit of spreadsheets, with a doubt that is said. Bytes that are no text are refused.
 */
export function decodeText(bytes: Uint8Array): Decoded | Refused {
  if (bytes.length === 0) return refused({ code: "empty", path: [], says: "The file is empty." });
  if (bytes.length > MOST_FILE_BYTES)
    return refused({
      code: "too-large",
      path: [],
      says: `The file has ${Math.round(bytes.length / 1e6)} MB; up to ${MOST_FILE_BYTES / 1e6} MB are read. Nothing was imported. Split it, or export the stock alone.`,
    });
  const [a, b, c] = bytes;
  const as = (encoding: Decoded["encoding"], doubt: string | null = null): Decoded => ({
    ok: true,
    text: new TextDecoder(encoding).decode(bytes),
    encoding,
    doubt,
  });
  if (a === 0xef && b === 0xbb && c === 0xbf) return as("utf-8");
  if (a === 0xff && b === 0xfe) return as("utf-16le");
  if (a === 0xfe && b === 0xff) return as("utf-16be");
  if (bytes.subarray(0, 4096).includes(0))
    return refused({
      code: "not-text",
      path: [],
      says: "This is no text file: it may be the spreadsheet itself. Save it as CSV and choose that file.",
    });
  try {
    return {
      ok: true,
      text: new TextDecoder("utf-8", { fatal: true }).decode(bytes),
      encoding: "utf-8",
      doubt: null,
    };
  } catch {
    return as(
      "windows-1252",
      "The file is not UTF-8 and was read as Windows-1252: look at letters with accents and at µ before importing.",
    );
  }
}
