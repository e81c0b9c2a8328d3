import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { COLOUR_LETTERS, type ColourLetters } from "./colour";
import { INSULATION_PAINT, likelyColours, patchColour, type Rgb } from "./insulationPaint";

/** Lights a wire is photographed in, as what they make of white, in linear light. */
const LIGHTS: Readonly<Record<string, Rgb>> = {
  daylight: [1, 1, 1],
  "an attic's lamp": [1, 0.68, 0.38],
  shade: [0.72, 0.86, 1],
  "a tube": [0.86, 1, 0.8],
  "a dim torch": [0.32, 0.27, 0.2],
};

/** The camera's picture of a surface: light times reflectance, coded as a screen takes it; an own way, not the core's. */
function photographed(surface: Rgb, light: Rgb, exposure: number): Rgb {
  return surface.map((value, i) => {
    const reflects = value / 255 <= 0.04045 ? value / 255 / 12.92 : ((value / 255 + 0.055) / 1.055) ** 2.4;
    const linear = Math.min(1, reflects * (light[i] ?? 1) * exposure);
    const coded = linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055;
    return Math.round(coded * 255);
  }) as unknown as Rgb;
}

const PAPER: Rgb = [246, 246, 244];
const colours = fc.constantFrom(...COLOUR_LETTERS);
const lights = fc.constantFrom(...Object.keys(LIGHTS));

describe("insulation on a photo", () => {
  it("is named in every light once something white was touched", () => {
    fc.assert(
      fc.property(
        colours,
        lights,
        fc.double({ min: 0.5, max: 0.95, noNaN: true }),
        (letters, name, exposure) => {
          const light = LIGHTS[name] ?? [1, 1, 1];
          const white = photographed(PAPER, light, exposure);
          const found = likelyColours(photographed(INSULATION_PAINT[letters], light, exposure), white);
          expect(found[0]?.letters).toBe(letters);
        },
      ),
      { numRuns: 500 },
    );
  });

  it("is among the first three when the wire itself is of another shade, and never sure then", () => {
    const missed: string[] = [];
    let tried = 0;
    fc.assert(
      fc.property(
        colours,
        lights,
        fc.double({ min: -22, max: 22, noNaN: true }),
        fc.tuple(...Array.from({ length: 3 }, () => fc.double({ min: -14, max: 14, noNaN: true }))),
        (letters, name, lighter, shift) => {
          const light = LIGHTS[name] ?? [1, 1, 1];
          const shade = INSULATION_PAINT[letters].map((value, i) =>
            Math.min(255, Math.max(0, value + lighter + (shift[i] ?? 0))),
          ) as unknown as Rgb;
          const found = likelyColours(photographed(shade, light, 0.9), photographed(PAPER, light, 0.9));
          tried += 1;
          if (!found.slice(0, 3).some((one) => one.letters === letters)) missed.push(letters);
        },
      ),
      { numRuns: 600 },
    );
    expect(missed.length / tried).toBeLessThan(0.02);
  });

  it("is mistaken in a warm light without a white, as an eye is not", () => {
    const light = LIGHTS["an attic's lamp"] ?? [1, 1, 1];
    const seen = photographed(INSULATION_PAINT.WH, light, 0.9);
    expect(likelyColours(seen, null)[0]?.letters).not.toBe("WH");
    expect(likelyColours(seen, photographed(PAPER, light, 0.9))[0]?.letters).toBe("WH");
  });

  it("gives probabilities that add up to one, whatever the pixels", () => {
    const channel = fc.integer({ min: 0, max: 255 });
    fc.assert(
      fc.property(
        fc.tuple(channel, channel, channel),
        fc.option(fc.tuple(channel, channel, channel)),
        (rgb, white) => {
          const found = likelyColours(rgb, white);
          expect(found).toHaveLength(COLOUR_LETTERS.length);
          expect(found.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(1, 9);
        },
      ),
    );
  });
});

describe("a patch of pixels", () => {
  it("is the wire's colour, whatever glint or gap lies in it", () => {
    const letters: ColourLetters = "BU";
    const wire = Array.from({ length: 60 }, () => [...INSULATION_PAINT[letters], 255]).flat();
    const glint = Array.from({ length: 20 }, () => [255, 255, 255, 255]).flat();
    const gap = Array.from({ length: 20 }, () => [5, 5, 5, 255]).flat();
    expect(patchColour([...glint, ...wire, ...gap])).toEqual(INSULATION_PAINT[letters]);
    expect(patchColour([])).toBeNull();
  });
});
