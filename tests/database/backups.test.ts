import { spawnSync } from "node:child_process";
import { mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { v7 as uuid } from "uuid";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { Fact } from "@/core";
import { openDatabase } from "@/server/database";
import { jobStore } from "@/server/jobStore";
import { lastBackup } from "@/server/lastBackup";
import { photoStore } from "@/server/photoStore";
import { FIRST_SHOP } from "@/server/shop";
import { makeTestDatabase, type TestDatabase } from "./testDatabase";

const JOB = uuid();
const PHOTO = uuid();
const entered: Fact = {
  id: uuid(),
  at: "2026-05-05T05:05:05.000Z",
  by: "Ilo Brandt",
  body: { kind: "title", title: "Brine pump" },
};

/** The command's own way to back up and restore, in a process of its own: what it gave, or its refusal. */
function run(what: "backUp" | "restore", ...words: string[]): { ok: boolean; said: string } {
  const program = `
    import { backUp, restore } from "./scripts/lib/backups.mjs";
    import { findPrograms } from "./scripts/lib/postgres.mjs";
    const adminUrl = process.env.ODD_LEAD_TEST_ADMIN_URL;
    const url = (name) => Object.assign(new URL(adminUrl), { pathname: "/" + name }).toString();
    const server = { programs: findPrograms(), adminUrl, url };
    try { process.stdout.write(String(await ({ backUp, restore })["${what}"](server, ...process.argv.slice(1)))); }
    catch (error) { process.stderr.write(error.message); process.exit(3); }`;
  const done = spawnSync("node", ["--input-type=module", "-e", program, ...words], { encoding: "utf8" });
  return { ok: done.status === 0, said: done.status === 0 ? done.stdout : done.stderr };
}

describe("a backup", () => {
  let test: TestDatabase;
  let folder = "";
  const name = () => new URL(test.url).pathname.slice(1);
  const titles = async (url: string) => {
    const { db, end } = openDatabase(url);
    const { facts } = await jobStore(db, FIRST_SHOP).factsOf(JOB);
    const photo = await photoStore(db, FIRST_SHOP).find(JOB, PHOTO);
    await end();
    return { facts, photo: photo?.toString() };
  };

  beforeAll(async () => {
    test = await makeTestDatabase();
    folder = mkdtempSync(join(tmpdir(), "odd-lead-backups-"));
    await jobStore(test.db, FIRST_SHOP).addFacts(JOB, [entered]);
    const photo = { widthPx: 1, heightPx: 1, jpeg: Buffer.from("a picture") };
    await photoStore(test.db, FIRST_SHOP).add(JOB, PHOTO, photo);
  });
  afterAll(async () => {
    rmSync(folder, { recursive: true, force: true });
    await test.drop();
  });

  it("is one file, nobody else's to read, and comes back whole in another database, photos too", async () => {
    expect(await lastBackup(folder)).toBeNull();
    const { ok, said: file } = run("backUp", name(), folder);
    expect([ok, readdirSync(folder)]).toEqual([true, [file.slice(folder.length + 1)]]);
    expect(statSync(file).mode & 0o077).toBe(0);
    expect(await lastBackup(folder)).toBe(statSync(file).mtime.toISOString());
    const other = `${name()}_back`;
    expect(run("restore", file, other)).toEqual({ ok: true, said: "null" });
    const url = Object.assign(new URL(test.url), { pathname: `/${other}` }).toString();
    expect(await titles(url)).toEqual({ facts: [entered], photo: "a picture" });
    // Once more onto what is there now: that is put aside, and not lost.
    const aside = run("restore", file, other).said;
    expect(aside).toMatch(new RegExp(`^${other}_\\d{4}`));
    const asideUrl = Object.assign(new URL(test.url), { pathname: `/${aside}` }).toString();
    expect((await titles(asideUrl)).facts).toEqual([entered]);
    for (const gone of [other, aside]) await test.db.execute(`drop database "${gone}" with (force)`);
  });

  it("goes on from the same origin under another name: devices that have seen more send it again", async () => {
    const told = async (url: string) => {
      const { db, end } = openDatabase(url);
      const { history } = await jobStore(db, FIRST_SHOP).factsOf(JOB);
      await end();
      return history;
    };
    const made = run("backUp", name(), folder);
    expect(made.ok).toBe(true);
    const into = `${name()}_again`;
    expect(run("restore", made.said, into).ok).toBe(true);
    const [before, after] = [
      await told(test.url),
      await told(Object.assign(new URL(test.url), { pathname: `/${into}` }).toString()),
    ];
    expect(after?.origin).toBe(before?.origin);
    expect(after?.latest).not.toBe(before?.latest);
    await test.db.execute(`drop database "${into}" with (force)`);
  });

  it("that is broken, or of something else, is refused and changes nothing", async () => {
    const file = join(folder, "broken.dump");
    writeFileSync(file, "PGDMP and no more");
    for (const bad of [file, "/nowhere.dump"]) {
      const { ok, said } = run("restore", bad, name());
      expect(ok).toBe(false);
      expect(said.trim().split("\n")).toHaveLength(1);
    }
    expect((await titles(test.url)).facts).toEqual([entered]);
  });
});
