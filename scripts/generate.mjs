/**
 * npm run generate: the files made from others, written anew. With --check it writes nothing and fails where one is
 * out of step: the API description in docs/formats, the lists of motor families, of kinds of fact and of
 * routes, the style sheet of the letters, and the database migrations.
 */
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { writeLetters } from "./lib/letters.mjs";
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

/** The files of a folder that export a constant of a form, in natural order of their names. */
function foundIn(folder, form) {
  return readdirSync(folder)
    .filter((name) => name.endsWith(".ts") && !name.endsWith(".test.ts"))
    .sort((one, other) => one.localeCompare(other, "en", { numeric: true }))
    .flatMap((name) => {
      const made = form.exec(readFileSync(join(folder, name), "utf8"));
      return made ? [{ file: name.replace(/\.ts$/, ""), name: made[1] }] : [];
    });
}

/** Every route that a file of the folder exports is one of the table. */
function routes() {
  const folder = join(ROOT, "src/contract");
  const found = readdirSync(join(folder, "routes"))
    .filter((name) => name.endsWith(".ts") && !name.endsWith(".test.ts"))
    .sort()
    .map((name) => {
      const text = readFileSync(join(folder, "routes", name), "utf8");
      return {
        file: name.replace(/\.ts$/, ""),
        names: [...text.matchAll(/^export const (\w+) = route\(/gm)].map(([, route]) => route),
      };
    })
    .filter(({ names }) => names.length > 0);
  writeList(
    join(folder, "found.ts"),
    [
      ...found.map(({ file, names }) => {
        const line = `import { ${names.toSorted().join(", ")} } from "./routes/${file}";`;
        return line.length <= 110
          ? line
          : `import {\n${names
              .toSorted()
              .map((name) => `  ${name},\n`)
              .join("")}} from "./routes/${file}";`;
      }),
      "",
      "/** Every route in the folder `routes`. Written by `npm run generate`. */",
      "export const ROUTES = [",
      ...found.flatMap(({ names }) => names.map((name) => `  ${name},`)),
      "] as const;",
    ],
    "routes",
  );
}

/** Writes a list anew, or with --check fails where it is out of step. */
function writeList(path, lines, what) {
  const text = `${lines.join("\n")}\n`;
  const kept = existsSync(path) ? readFileSync(path, "utf8") : "";
  if (kept === text) return;
  if (check) throw new Remedy(`The list of ${what} is out of step; run \`npm run generate\`.`);
  writeFileSync(path, text);
}

/** Every file of the folder that exports a family is one of the catalogue. */
function families() {
  const folder = join(ROOT, "src/core/motor/families");
  const found = foundIn(folder, /^export const (\w+): Family = /m);
  writeList(
    join(folder, "found.ts"),
    [
      'import type { Family } from "../family";',
      ...found.map(({ file, name }) => `import { ${name} } from "./${file}";`),
      "",
      "/** Every family in this folder. Written by `npm run generate`. */",
      "export const FOUND: readonly Family[] = [",
      ...found.map(({ name }) => `  ${name},`),
      "];",
    ],
    "motor families",
  );
}

/** Every file of the folder that exports equipment is one of the library. */
function equipment() {
  const folder = join(ROOT, "src/core/wiring/equipment");
  const found = foundIn(folder, /^export const (\w+): Equipment = /m);
  writeList(
    join(folder, "found.ts"),
    [
      'import type { Equipment } from "../equipmentEntry";',
      ...found.map(({ file, name }) => `import { ${name} } from "./${file}";`),
      "",
      "/** Every equipment in this folder. Written by `npm run generate`. */",
      "export const FOUND: readonly Equipment[] = [",
      ...found.map(({ name }) => `  ${name},`),
      "];",
    ],
    "equipment",
  );
}

/** Every file of the folder that exports a kind of fact is one that a job may have. */
function facts() {
  const folder = join(ROOT, "src/core/record/facts");
  const found = foundIn(join(folder, "kinds"), /^export const (\w+) = factKind\(/m);
  writeList(
    join(folder, "found.ts"),
    [
      'import * as z from "zod/mini";',
      ...found.map(({ file, name }) => `import { ${name} } from "./kinds/${file}";`),
      "",
      "/** Every kind of fact in the folder `kinds`. Written by `npm run generate`. */",
      "export const FACT_KINDS = [",
      ...found.map(({ name }) => `  ${name},`),
      "] as const;",
      "",
      "/** What a fact says, by its kind. */",
      'export const FACT_BODY = z.discriminatedUnion("kind", [',
      ...found.map(({ name }) => `  ${name}.schema,`),
      "]);",
    ],
    "kinds of fact",
  );
}

/** The packages and fonts that ship with the application, each with its licence as it states it. */
function notices() {
  const { packages } = JSON.parse(readFileSync(join(ROOT, "package-lock.json"), "utf8"));
  const shipped = Object.entries(packages)
    .filter(([path, { dev, devOptional }]) => path !== "" && !dev && !devOptional)
    .map(([path, { version, license = "see the package" }]) => ({
      name: path.slice(path.lastIndexOf("node_modules/") + "node_modules/".length),
      version,
      license,
    }))
    .sort(
      (one, other) => one.name.localeCompare(other.name, "en") || one.version.localeCompare(other.version),
    );
  writeList(
    join(ROOT, "NOTICES.md"),
    [
      "# What ships with Odd Lead",
      "",
      "Packages and fonts of others, each under its own licence, whose text stands in the package. The licence of Odd Lead itself is its owner's to choose. Written by `npm run generate`.",
      "",
      "| package | version | licence |",
      "| --- | --- | --- |",
      ...shipped.map(({ name, version, license }) => `| ${name} | ${version} | ${license} |`),
    ],
    "notices",
  );
}

async function letters() {
  if ((await writeLetters({ check })) && check)
    throw new Remedy("src/app/letters.css is out of step; run `npm run generate`.");
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
  equipment();
  facts();
  routes();
  notices();
  await letters();
  formats();
  migrations();
  say(check ? "Generated files are in step." : "Generated files written.");
} catch (error) {
  fail(error);
}
