import { strToU8, zipSync } from "fflate";
import { describe, expect, it } from "vitest";
import type { Fact } from "@/core";
import { jobText } from "./jobArchive";
import { readArchive } from "./readArchive";

const AT = "2026-11-28T12:00:00.000Z";
const JOB = "019c6ade-eb00-7241-85af-9da521a8da87";
const OTHER = "019c6ade-eb00-7241-85af-9da521a8da88";
const PHOTO = "019c6ade-eb00-7241-85af-9da521a8da89";

const fact = (n: number, title: string): Fact => ({
  id: `019c6adf-2698-7f89-84a8-${String(n).padStart(12, "0")}`,
  at: AT,
  by: "Dov Hask",
  body: { kind: "title", title },
});
const bytes = new Uint8Array([255, 216, 1, 2, 3, 255, 217]);
const text = (job: string, photos: boolean) =>
  jobText(job, [fact(job === JOB ? 1 : 2, "Dryer 2")], photos ? [{ id: PHOTO, bytes }] : [], AT);

describe("an archive", () => {
  it("of a job with its photos gives both back", async () => {
    const zip = zipSync({
      "job.json": strToU8(text(JOB, true)),
      [`photos/${PHOTO}.jpg`]: [bytes, { level: 0 }],
    });
    const { jobs, faults, shop } = await readArchive("dryer.zip", zip);
    expect([faults, shop]).toEqual([[], null]);
    expect(jobs.map(({ file }) => file.job)).toEqual([JOB]);
    expect([...(jobs[0]?.photos.get(PHOTO) ?? [])]).toEqual([...bytes]);
  });

  it("may be a job’s JSON alone", async () => {
    const { jobs } = await readArchive("dryer.json", strToU8(text(JOB, false)));
    expect(jobs).toHaveLength(1);
  });

  it("of a shop gives what holds together, and says what does not by file and place", async () => {
    const whole = JSON.parse(text(OTHER, false));
    const { sha256: _, ...byHand } = whole;
    const zip = zipSync({
      [`jobs/${JOB}.json`]: strToU8(text(JOB, false)),
      [`jobs/${OTHER}.json`]: strToU8(JSON.stringify({ ...byHand, facts: [] })),
      "shop.json": strToU8(
        JSON.stringify({ format: "odd-lead/shop@1", written: AT, equipment: [], stock: [{}] }),
      ),
    });
    const { jobs, faults, shop } = await readArchive("shop.zip", zip);
    expect(jobs.map(({ file }) => file.job)).toEqual([JOB]);
    expect(shop).toBeNull();
    expect(faults.map(({ name, faults: [first] }) => [name, first?.path])).toEqual([
      [`jobs/${OTHER}.json`, ["facts"]],
      ["shop.json", []],
    ]);
  });

  it("whose photo is missing or another than it was is refused", async () => {
    const job = strToU8(text(JOB, true));
    for (const zip of [
      zipSync({ "job.json": job }),
      zipSync({ "job.json": job, [`photos/${PHOTO}.jpg`]: bytes.map((one) => one ^ 1) }),
    ]) {
      const { jobs, faults } = await readArchive("dryer.zip", zip);
      expect(jobs).toEqual([]);
      expect(faults[0]?.faults[0]).toMatchObject({ code: "photo", path: ["photos", 0] });
    }
  });

  it("that is broken off anywhere, or is something else, is refused in words", async () => {
    const zip = zipSync({ "job.json": strToU8(text(JOB, false)) });
    for (let length = 0; length < zip.length; length++) {
      const { jobs, faults } = await readArchive("dryer.zip", zip.slice(0, length));
      expect([length, jobs.length]).toEqual([length, 0]);
      expect(faults[0]?.faults[0]?.says).toMatch(/\w+ \w+/);
    }
    expect((await readArchive("x.zip", zipSync({ "readme.txt": strToU8("x") }))).faults).toHaveLength(1);
  });

  it("that would fill the memory is not unpacked", async () => {
    const bomb = zipSync({ "job.json": strToU8(" ".repeat(1000)) });
    // The size that the archive claims for its one entry, in its central directory.
    const view = new DataView(bomb.buffer);
    const central = bomb.length - 22 - (46 + "job.json".length);
    view.setUint32(central + 24, 0xfffffff0, true);
    const { faults } = await readArchive("bomb.zip", bomb);
    expect(faults[0]?.faults[0]?.says).toMatch(/more than is read/);
  });
});
