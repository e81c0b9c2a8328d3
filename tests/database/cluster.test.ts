import { spawnSync } from "node:child_process";
import {
  chmodSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Client } from "pg";
import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";

/** The command's own way to a cluster, in a process of its own: what it said, or its refusal. */
function ensure(place: string): { ok: boolean; said: string } {
  const program = `
    import { ensureCluster } from "./scripts/lib/cluster.mjs";
    import { findPrograms } from "./scripts/lib/postgres.mjs";
    try { ensureCluster(findPrograms(), process.argv[1]); }
    catch (error) { process.stderr.write(error.message); process.exit(3); }`;
  const done = spawnSync("node", ["--input-type=module", "-e", program, place], { encoding: "utf8" });
  return { ok: done.status === 0, said: done.status === 0 ? done.stdout : done.stderr };
}

/** pg_ctl on a cluster, as the user that it belongs to. */
function run(place: string, words: string[]): void {
  const program = `
    import { asUser } from "./scripts/lib/cluster.mjs";
    import { findPrograms } from "./scripts/lib/postgres.mjs";
    const [place, ...words] = process.argv.slice(1);
    const done = asUser(findPrograms() + "/pg_ctl", ["-D", place + "/data", ...words], { stdio: "ignore" });
    process.exit(done.status);`;
  const done = spawnSync("node", ["--input-type=module", "-e", program, place, ...words]);
  expect(done.status).toBe(0);
}

async function query(url: string, ...statements: string[]): Promise<unknown[]> {
  const client = new Client({ connectionString: url });
  await client.connect();
  let rows: unknown[] = [];
  for (const statement of statements) rows = (await client.query(statement)).rows;
  await client.end();
  return rows;
}

function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer().listen(0, "127.0.0.1", () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === "object" && address ? address.port : 0));
    });
  });
}

const urlOf = (place: string, port: number) =>
  `postgresql://odd_lead:${readFileSync(join(place, "password"), "utf8").trim()}@127.0.0.1:${port}/postgres`;

/** Every file under a folder with its bytes, to see that nothing was touched. */
function contents(folder: string): Record<string, string> {
  return Object.fromEntries(
    readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
      const path = join(folder, entry.name);
      return entry.isDirectory()
        ? Object.entries(contents(path))
        : [[path, readFileSync(path, "base64")] as const];
    }),
  );
}

describe("a database cluster that is there", () => {
  let base = "";
  let whole = "";
  let place = "";
  const data = () => join(place, "data");
  const secret = () => join(place, "password");

  beforeAll(() => {
    base = mkdtempSync(join(tmpdir(), "odd-lead-cluster-"));
    chmodSync(base, 0o755);
    whole = join(base, "whole");
    const made = ensure(whole);
    expect(made.said).toContain("Making a database cluster");
    expect(readdirSync(whole).sort()).toEqual(["data", "password"]);
  });
  beforeEach(() => {
    place = join(base, `case-${Math.random().toString(36).slice(2)}`);
    const copied = spawnSync("cp", ["-a", whole, place]);
    expect(copied.status).toBe(0);
  });
  afterAll(() => rmSync(base, { recursive: true, force: true }));

  it("is used as it is", () => {
    const before = contents(place);
    expect(ensure(place)).toEqual({ ok: true, said: "" });
    expect(contents(place)).toEqual(before);
  });

  it.each([["its version file", () => join(data(), "PG_VERSION"), /no PG_VERSION/]])(
    "without %s is left as it is, with a sentence that says what to do",
    (_, missing, sentence) => {
      rmSync(missing());
      const before = contents(place);
      const { ok, said } = ensure(place);
      expect(ok).toBe(false);
      expect(said).toMatch(sentence);
      expect(said).toMatch(/move .* away/);
      expect(said.trim().split("\n")).toHaveLength(1);
      expect(contents(place)).toEqual(before);
    },
  );

  it("whose password file was lost gets a new password, and what was entered is there", async () => {
    const port = await freePort();
    run(place, ["start", "-w", "-o", `-h 127.0.0.1 -p ${port} -k ''`]);
    await query(urlOf(place, port), "create table kept (word text)", "insert into kept values ('draught')");
    run(place, ["stop", "-w", "-m", "fast"]);
    const before = readFileSync(secret(), "utf8");
    rmSync(secret());
    const { ok, said } = ensure(place);
    expect([ok, said]).toEqual([true, expect.stringContaining("its data stay as they are")]);
    expect(readFileSync(secret(), "utf8")).not.toBe(before);
    run(place, ["start", "-w", "-o", `-h 127.0.0.1 -p ${port} -k ''`]);
    expect(await query(urlOf(place, port), "select word from kept")).toEqual([{ word: "draught" }]);
    expect(await query(urlOf(place, port), "show data_checksums")).toEqual([{ data_checksums: "on" }]);
    run(place, ["stop", "-w", "-m", "fast"]);
  });

  it("with somebody else’s files in its place is left as it is", () => {
    rmSync(data(), { recursive: true });
    mkdirSync(data());
    writeFileSync(join(data(), "letters.txt"), "mine");
    expect(ensure(place).ok).toBe(false);
    expect(readFileSync(join(data(), "letters.txt"), "utf8")).toBe("mine");
  });

  it("is made anew where its data were moved away, under the same password, and the moved data stay", () => {
    const password = readFileSync(secret(), "utf8");
    const moved = join(place, "moved");
    renameSync(data(), moved);
    const before = contents(moved);
    expect(ensure(place).ok).toBe(true);
    expect(existsSync(join(data(), "PG_VERSION"))).toBe(true);
    expect(readFileSync(secret(), "utf8")).toBe(password);
    expect(contents(moved)).toEqual(before);
  });
});
