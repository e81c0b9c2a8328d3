import { colourLetters, INSULATION_PAINT } from "@/core";

/** Bare leads, and colours that we do not know. */
const UNKNOWN = "#a39a8e";

/** Paint for a colour word. Data colours: they stay off buttons and badges. */
export function paintOf(colour: string | undefined): string {
  const letters = colour ? colourLetters(colour) : null;
  if (!letters) return UNKNOWN;
  return `#${INSULATION_PAINT[letters].map((value) => value.toString(16).padStart(2, "0")).join("")}`;
}
