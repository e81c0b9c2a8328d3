import type { Slot } from "./slot";

/** IEC 60034-8 names of the ends of three coils, by their NEMA numbers. */
const IEC_NUMBERS: Readonly<Record<string, number>> = { U1: 1, V1: 2, W1: 3, U2: 4, V2: 5, W2: 6 };

/** The slot that a mark names: "T4", "4", "t 4", "U2" or "P1"; null for any other. */
export function slotOfMark(mark: string | undefined): Slot | null {
  const plain = (mark ?? "").trim().toUpperCase().replace(/\s+/g, "");
  if (/^P[12]$/.test(plain)) return plain;
  const number = /^T?(\d{1,2})$/.exec(plain)?.[1];
  if (number !== undefined) return Number(number) >= 1 && Number(number) <= 12 ? `T${Number(number)}` : null;
  const iec = IEC_NUMBERS[plain];
  return iec === undefined ? null : `T${iec}`;
}
