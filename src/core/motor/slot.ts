/**
 * A place on the motor that a wire of the equipment can meet: a standard number of its terminal board (T1 … T12, P1, P2), or
 * for windings joined inside the part it plays ("run-end", "speed-2"). A text, so that it serves as a key; what is asked of
 * it is asked of what {@link readSlot} makes of it.
 */
export type Slot = string;

/**
 * A slot, read: a number of the terminal board, a lead of the protector, the tap of a speed, a part by its name, or a
 * junction not brought out, known by the slots about it.
 */
export type SlotRead =
  | { readonly kind: "number"; readonly number: number }
  | { readonly kind: "protector"; readonly number: number }
  | { readonly kind: "tap"; readonly rank: number }
  | { readonly kind: "part"; readonly name: string }
  | { readonly kind: "hidden"; readonly neighbours: readonly Slot[] };

const NUMBERED = /^([TP])(\d+)$/;
const TAP = /^speed-(\d+)$/;
const HIDDEN = "*";

/** What a slot is. */
export function readSlot(slot: Slot): SlotRead {
  if (slot.startsWith(HIDDEN)) return { kind: "hidden", neighbours: slot.slice(HIDDEN.length).split("+") };
  const [, letter, number] = NUMBERED.exec(slot) ?? [];
  if (letter) return { kind: letter === "T" ? "number" : "protector", number: Number(number) };
  const [, rank] = TAP.exec(slot) ?? [];
  return rank ? { kind: "tap", rank: Number(rank) } : { kind: "part", name: slot };
}

/** The tap of a speed, 1 the fastest; of a motor with one speed that is it. */
export function tapSlot(rank = 1): Slot {
  return `speed-${rank}`;
}

/** The junction between these slots that no lead brings out; their order is of no account. */
export function hiddenSlot(neighbours: readonly Slot[]): Slot {
  return `${HIDDEN}${[...neighbours].sort().join("+")}`;
}

/** The speed of a tap, 1 the fastest; null for any other slot. */
export function tapRank(slot: Slot): number | null {
  const read = readSlot(slot);
  return read.kind === "tap" ? read.rank : null;
}

/** Whether a slot is the tap of a speed. */
export function isTap(slot: Slot): boolean {
  return tapRank(slot) !== null;
}

/** 4 of "T4"; null for any other slot. */
export function boardNumber(slot: Slot): number | null {
  const read = readSlot(slot);
  return read.kind === "number" ? read.number : null;
}
