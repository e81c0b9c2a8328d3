import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type PictureSection, windingPicture } from "./windingPicture";

const section = (a: string, b: string, ohms = 10): PictureSection => ({
  between: [a, b],
  ohms,
  uncertaintyOhms: 0.2,
  winding: "main",
});

describe("the winding picture", () => {
  it("draws a chain along one line, bonded leads at one junction", () => {
    const picture = windingPicture([section("a", "b"), section("b", "c")], [["a", "d"]]);
    expect(picture).toMatchObject({ width: 2, height: 0 });
    expect(picture.junctions.find((j) => j.name === "a")?.leads).toEqual(["a", "d"]);
  });

  it("hangs a branch below the line it joins", () => {
    const picture = windingPicture(
      [section("a", "b"), section("b", "c"), section("c", "e"), section("b", "d")],
      [],
    );
    const at = Object.fromEntries(picture.junctions.map((j) => [j.name, j.at]));
    expect(at.a?.y).toBe(at.e?.y);
    expect(at.d?.y).toBe(1);
    expect(at.d?.x).toBe(at.b?.x);
  });

  it("sets separate groups one under the other, and names no lead at a hidden junction", () => {
    const picture = windingPicture([section("a", "b"), section("*1", "c"), section("*1", "d")], []);
    expect(picture.height).toBeGreaterThan(0);
    expect(picture.junctions.find((j) => j.name === "*1")?.leads).toEqual([]);
  });

  it("gives every junction of any tree a place of its own, and every section its two ends", () => {
    fc.assert(
      fc.property(fc.array(fc.nat(), { minLength: 1, maxLength: 9 }), (parents) => {
        const sections = parents.map((pick, i) => section(`n${pick % (i + 1)}`, `n${i + 1}`, 1 + i));
        const picture = windingPicture(sections, []);
        expect(picture.junctions).toHaveLength(parents.length + 1);
        for (const coil of picture.coils) expect(coil.from).not.toEqual(coil.to);
      }),
    );
  });
});
