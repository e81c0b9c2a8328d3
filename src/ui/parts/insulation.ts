import { type ColourLetters, colourLetters } from "@/core";

/** How insulation is painted on a screen. Data colours: they stay off buttons and badges. */
const PAINT: Readonly<Record<ColourLetters, string>> = {
  BK: "#23201f",
  BN: "#7a4a26",
  RD: "#c2262e",
  OG: "#e6761d",
  YE: "#e7c400",
  GN: "#2f8a3e",
  BU: "#2b62b8",
  VT: "#7b4aa3",
  GY: "#8b8f94",
  WH: "#fbfaf6",
  PK: "#e79ab4",
  TQ: "#2fa9a8",
};

/** Paint for a colour word; a neutral for one we do not know and for bare leads. */
export function paintOf(colour: string | undefined): string {
  const letters = colour ? colourLetters(colour) : null;
  return letters ? PAINT[letters] : "#a39a8e";
}
