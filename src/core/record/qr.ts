import { encode } from "uqr";

/** A QR code's dark modules, row by row (ISO/IEC 18004), without the quiet zone around it. */
export function qrModules(text: string): readonly (readonly boolean[])[] {
  // A label is scratched and greased: a quarter of it may be lost.
  return encode(text, { ecc: "Q", border: 0 }).data;
}
