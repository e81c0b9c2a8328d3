import { COLOUR_LETTERS, type ColourLetters } from "./colour";

/** Red, green and blue as a screen takes them (IEC 61966-2-1, sRGB), 0 to 255. */
export type Rgb = readonly [number, number, number];

/** Insulation as it looks in even daylight: how it is drawn on a screen, and what a photo is held against. */
export const INSULATION_PAINT: Readonly<Record<ColourLetters, Rgb>> = {
  BK: [35, 32, 31],
  BN: [122, 74, 38],
  RD: [194, 38, 46],
  OG: [230, 118, 29],
  YE: [231, 196, 0],
  GN: [47, 138, 62],
  BU: [43, 98, 184],
  VT: [123, 74, 163],
  GY: [139, 143, 148],
  WH: [251, 250, 246],
  PK: [231, 154, 180],
  TQ: [47, 169, 168],
};

/** A colour that pixels may be, with how likely. */
export interface LikelyColour {
  readonly letters: ColourLetters;
  readonly probability: number;
}

/** How far insulation of one name lies from its usual look, in CIELAB; lightness varies more than hue does. */
const SPREAD = { lightness: 22, chroma: 11 } as const;

/**
 * Which insulation a patch of a photo shows, the likeliest first; probabilities add up to one.
 *
 * The light is taken out channel by channel in linear light (von Kries' rule on the camera's own primaries): `white` is
 * what something white beside the wires looks like under it. What is left is held against {@link INSULATION_PAINT} in
 * CIELAB (CIE 15), a normal spread about each. It offers and never decides: brown in warm light is near red, and a dirty
 * white near grey.
 */
export function likelyColours(pixel: Rgb, white: Rgb | null): LikelyColour[] {
  const seen = labOf(linearOf(pixel).map((value, i) => value / whiteOf(white, i)) as unknown as Rgb);
  const scored = COLOUR_LETTERS.map((letters) => {
    const usual = labOf(linearOf(INSULATION_PAINT[letters]));
    const [l, a, b] = [0, 1, 2].map((i) => (seen[i] ?? 0) - (usual[i] ?? 0)) as [number, number, number];
    const square = (l / SPREAD.lightness) ** 2 + (a / SPREAD.chroma) ** 2 + (b / SPREAD.chroma) ** 2;
    return { letters, square };
  });
  // Against the nearest: far from all of them the exponentials would all be nothing.
  const nearest = Math.min(...scored.map(({ square }) => square));
  const weighed = scored.map(({ letters, square }) => ({
    letters,
    weight: Math.exp((nearest - square) / 2),
  }));
  const sum = weighed.reduce((all, { weight }) => all + weight, 0);
  return weighed
    .map(({ letters, weight }) => ({ letters, probability: weight / sum }))
    .sort((one, other) => other.probability - one.probability);
}

/**
 * The colour of a patch of pixels: the middle value of each channel, so that a glint on the wire or a dark gap beside it
 * does not count. Null for an empty patch.
 *
 * @param pixels red, green, blue, alpha of each pixel in turn, as a canvas gives them.
 */
export function patchColour(pixels: ArrayLike<number>): Rgb | null {
  const count = Math.floor(pixels.length / 4);
  if (count === 0) return null;
  const middle = (channel: number) => {
    const values = Array.from({ length: count }, (_, i) => pixels[4 * i + channel] ?? 0).sort(
      (a, b) => a - b,
    );
    return values[count >> 1] ?? 0;
  };
  return [middle(0), middle(1), middle(2)];
}

/** A white darker than this tells nothing of the light. */
const LEAST_WHITE = 0.02;
/** What white reflects: paper and insulation are not perfect. */
const WHITE_REFLECTS = 0.92;

function whiteOf(white: Rgb | null, channel: number): number {
  if (!white) return 1;
  return Math.max(LEAST_WHITE, linearOf(white)[channel] ?? 1) / WHITE_REFLECTS;
}

/** sRGB to linear light, 0 to 1 (IEC 61966-2-1). */
function linearOf(rgb: Rgb): Rgb {
  return rgb.map((value) => {
    const share = Math.min(255, Math.max(0, value)) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  }) as unknown as Rgb;
}

/** Linear sRGB to CIELAB under D65 (CIE 15): lightness, red–green, yellow–blue. */
function labOf([r, g, b]: Rgb): Rgb {
  const x = (0.4124 * r + 0.3576 * g + 0.1805 * b) / 0.95047;
  const y = 0.2126 * r + 0.7152 * g + 0.0722 * b;
  const z = (0.0193 * r + 0.1192 * g + 0.9505 * b) / 1.08883;
  const [fx, fy, fz] = [x, y, z].map((t) =>
    t > (6 / 29) ** 3 ? Math.cbrt(t) : t / (3 * (6 / 29) ** 2) + 4 / 29,
  ) as [number, number, number];
  return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)];
}
