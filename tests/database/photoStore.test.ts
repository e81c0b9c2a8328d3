import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { uprightPhoto } from "../../src/server/photo";
import { MOST_PHOTOS, photoStore } from "../../src/server/photoStore";
import { FIRST_SHOP } from "../../src/server/shop";
import { makeTestDatabase, type TestDatabase } from "./testDatabase";

const JOB = "0198c3a0-0000-7000-8000-00000000c0de";
const id = (n: number) => `0198c3a0-0000-7000-8000-${n.toString(16).padStart(12, "0")}`;

/** A picture with what a camera writes beside it: lying on its side, with a place and a maker's name. */
async function fromCamera(width: number, height: number): Promise<Buffer> {
  return sharp({ create: { width, height, channels: 3, background: "#7a4a26" } })
    .jpeg()
    .withExif({ IFD0: { Make: "Larkhull", Copyright: "harbour" }, IFD3: { GPSLatitudeRef: "N" } })
    .withMetadata({ orientation: 6 })
    .toBuffer();
}

describe("a photo on its way in", () => {
  it("is turned upright, brought to size and told nothing of who took it where", async () => {
    const photo = await uprightPhoto(await fromCamera(3000, 2000));
    expect(photo).toMatchObject({ widthPx: 1200, heightPx: 1800 });
    const kept = await sharp(photo?.jpeg).metadata();
    expect(kept.exif).toBeUndefined();
    expect(kept.orientation).toBeUndefined();
    expect(kept.format).toBe("jpeg");
  });

  it("a small one is not blown up; what is no picture is refused", async () => {
    expect(await uprightPhoto(await fromCamera(300, 200))).toMatchObject({ widthPx: 200, heightPx: 300 });
    expect(await uprightPhoto(Buffer.from("GIF89a, nearly"))).toBeNull();
    expect(await uprightPhoto(Buffer.alloc(0))).toBeNull();
  });
});

describe("what is sent as a photo and is none", () => {
  it("is refused by its content, before anything draws it", async () => {
    const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="9000" height="9000"><rect width="9000" height="9000"/></svg>`;
    for (const file of [svg, `<?xml version="1.0"?>${svg}`, `<!doctype html><img src=x>`, "%PDF-1.7"])
      expect(await uprightPhoto(Buffer.from(file))).toBeNull();
  });

  it("is taken in every kind that a camera or a screen makes", async () => {
    const picture = sharp({ create: { width: 40, height: 30, channels: 3, background: "#7a4a26" } });
    for (const file of [
      picture.clone().png(),
      picture.clone().webp(),
      picture.clone().gif(),
      picture.clone().jpeg(),
    ])
      expect(await uprightPhoto(await file.toBuffer())).toMatchObject({ widthPx: 40, heightPx: 30 });
  });
});

describe("photos of a job", () => {
  let database: TestDatabase;
  beforeAll(async () => {
    database = await makeTestDatabase();
  });
  afterAll(() => database.drop());

  it("come back as they were kept, once however often they are sent", async () => {
    const store = photoStore(database.db, FIRST_SHOP);
    const photo = await uprightPhoto(await fromCamera(300, 200));
    if (!photo) throw new Error("no photo");
    expect(await store.add(JOB, id(1), photo)).toBe(true);
    expect(await store.add(JOB, id(1), photo)).toBe(true);
    expect((await store.find(JOB, id(1)))?.equals(photo.jpeg)).toBe(true);
    expect(await store.find(JOB, id(2))).toBeNull();
  });

  it("are another shop's and another job's only there", async () => {
    const other = photoStore(database.db, "0198c3a0-0000-7000-8000-0000000000ff");
    expect(await other.find(JOB, id(1))).toBeNull();
    expect(await photoStore(database.db, FIRST_SHOP).find(id(9), id(1))).toBeNull();
  });

  it("are so many and no more though sixty come at once", async () => {
    const store = photoStore(database.db, FIRST_SHOP);
    const photo = await uprightPhoto(await fromCamera(30, 20));
    if (!photo) throw new Error("no photo");
    const kept = await Promise.all(
      Array.from({ length: 60 }, (_, n) => store.add(id(77), id(500 + n), photo)),
    );
    expect(kept.filter(Boolean)).toHaveLength(MOST_PHOTOS);
  });

  it("are so many and no more; one sent again still counts as kept", async () => {
    const store = photoStore(database.db, FIRST_SHOP);
    const photo = await uprightPhoto(await fromCamera(60, 40));
    if (!photo) throw new Error("no photo");
    for (let n = 2; n <= MOST_PHOTOS; n++) expect(await store.add(JOB, id(n), photo)).toBe(true);
    expect(await store.add(JOB, id(99), photo)).toBe(false);
    expect(await store.add(JOB, id(3), photo)).toBe(true);
  });
});
