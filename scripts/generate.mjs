/**
 * npm run generate: the files made from others, written anew. With --check it writes nothing and fails where one is
 * out of step: the API description in docs/formats, and the database migrations.
 */
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { bin, ROOT } from "./lib/project.mjs";
import { capture } from "./lib/run.mjs";
import { fail, Remedy, say } from "./lib/say.mjs";

const check = process.argv.includes("--check");

function formats() {
  const folder = check ? mkdtempSync(join(tmpdir(), "odd-lead-")) : join(ROOT, "docs", "formats");
  try {
    const done = capture(bin("tsx"), ["scripts/write-formats.ts", folder], { cwd: ROOT });
    if (done.status !== 0) throw new Error(done.err);
    if (!check) return;
    for (const name of readdirSync(folder)) {
      const kept = join(ROOT, "docs", "formats", name);
      if (!existsSync(kept) || readFileSync(kept, "utf8") !== readFileSync(join(folder, name), "utf8")) {
        throw new Remedy(`docs/formats/${name} is out of step with the schemas; run \`npm run generate\`.`);
      }
    }
  } finally {
    if (check) rmSync(folder, { recursive: true });
  }
}

function migrations() {
  const before = readdirSync(join(ROOT, "src/server/migrations")).join();
  const done = capture(bin("drizzle-kit"), ["generate"], { cwd: ROOT });
  if (done.status !== 0) throw new Error(done.err);
  const after = readdirSync(join(ROOT, "src/server/migrations")).join();
  if (check && before !== after) {
    throw new Remedy(
      "The database schema has changes without a migration; one was just written, look at it and commit it.",
    );
  }
}

try {
  formats();
  migrations();
  say(check ? "Generated files are in step." : "Generated files written.");
} catch (error) {
  fail(error);
}
