/**
 * npm run generate: the files made from others, written anew. With --check it writes nothing and fails where one is
 * out of step: the API description in docs/formats, the list of motor families, and the database migrations.
 */
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
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

/** Every file of the folder that exports a family is one of the catalogue. */
function families() {
  const folder = join(ROOT, "src/core/motor/families");
  const list = join(folder, "found.ts");
  const found = readdirSync(folder)
    .filter((name) => name.endsWith(".ts") && !name.endsWith(".test.ts"))
    .sort((one, other) => one.localeCompare(other, "en", { numeric: true }))
    .flatMap((name) => {
      const family = /^export const (\w+): Family = /m.exec(readFileSync(join(folder, name), "utf8"));
      return family ? [{ file: name.replace(/\.ts$/, ""), family: family[1] }] : [];
    });
  const text = [
    'import type { Family } from "../family";',
    ...found.map(({ file, family }) => `import { ${family} } from "./${file}";`),
    "",
    "/** Every family in this folder. Written by `npm run generate`. */",
    "export const FOUND: readonly Family[] = [",
    ...found.map(({ family }) => `  ${family},`),
    "];",
    "",
  ].join("\n");
  const kept = existsSync(list) ? readFileSync(list, "utf8") : "";
  if (kept === text) return;
  if (check) throw new Remedy("The list of motor families is out of step; run `npm run generate`.");
  writeFileSync(list, text);
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
  families();
  formats();
  migrations();
  say(check ? "Generated files are in step." : "Generated files written.");
} catch (error) {
  fail(error);
}
