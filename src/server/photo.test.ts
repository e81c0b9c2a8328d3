import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { isPlainJpeg } from "./keptJpeg";
import { uprightPhoto } from "./photo";

const noise = (width: number, height: number) =>
  sharp({
    create: {
      width,
      height,
      channels: 3,
      background: "#7a4a26",
      noise: { type: "gaussian", mean: 120, sigma: 30 },
    },
  });

describe("a photo as it is kept", () => {
  it("is the same to the byte when it comes in again", async () => {
    const first = await uprightPhoto(await noise(640, 480).png().toBuffer());
    if (!first) throw new Error("not taken");
    expect(isPlainJpeg(first.jpeg)).toBe(true);
    const again = await uprightPhoto(first.jpeg);
    expect(again?.jpeg.equals(first.jpeg)).toBe(true);
    expect(again).toMatchObject({ widthPx: 640, heightPx: 480 });
  });

  it("is packed anew where it names a place or a camera, is too large, or has something behind its end", async () => {
    const plain = await noise(320, 240).jpeg().toBuffer();
    expect(isPlainJpeg(plain)).toBe(true);
    const named = await noise(320, 240)
      .withExif({ IFD0: { Copyright: "made up" } })
      .jpeg()
      .toBuffer();
    const behind = Buffer.concat([plain, Buffer.from("<script>")]);
    for (const file of [named, behind]) {
      expect(isPlainJpeg(file)).toBe(false);
      const kept = await uprightPhoto(file);
      expect(kept && isPlainJpeg(kept.jpeg)).toBe(true);
      expect(
        kept?.jpeg.includes(Buffer.from("made up")) || kept?.jpeg.includes(Buffer.from("<script>")),
      ).toBe(false);
    }
    const large = await uprightPhoto(await noise(2400, 1200).jpeg().toBuffer());
    expect(large).toMatchObject({ widthPx: 1800, heightPx: 900 });
  });

  it("is none where it is cut short or only begins like one", async () => {
    const plain = await noise(320, 240).jpeg().toBuffer();
    const cut = plain.subarray(0, plain.length >> 1);
    expect(isPlainJpeg(cut)).toBe(false);
    expect(await uprightPhoto(cut)).toBeNull();
    const empty = Buffer.from([0xff, 0xd8, 0xff, 0xd9]);
    expect(await uprightPhoto(empty)).toBeNull();
    for (let length = 0; length < 24; length++) expect(isPlainJpeg(plain.subarray(0, length))).toBe(false);
  });
});
