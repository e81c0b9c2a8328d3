import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { bundled } from "./bundled.mjs";
import { compileEarly } from "./compileEarly.mjs";
import { makeDirect } from "./makeDirect.mjs";
import { packBuild } from "./packed.mjs";
import { show } from "./run.mjs";
import { Remedy, say } from "./say.mjs";

/** The checkout. */
export const ROOT = dirname(dirname(dirname(fileURLToPath(import.meta.url))));
/** What the commands keep between runs; not under version control. */
export const DATA = join(ROOT, ".data");
/** What of the production build never changes under its name. */
export const STATIC = join(ROOT, ".next", "static");
/** The local command of a package. */
export const bin = (name) => join(ROOT, "node_modules", ".bin", name);

/** Refuses a Node that the project does not run on. */
export function checkNode() {
  const [major, minor] = process.versions.node.split(".").map(Number);
  if (major < 20 || (major === 20 && minor < 9)) {
    throw new Remedy(
      `Odd Lead needs Node 20.9 or newer and this is ${process.versions.node}. Install a newer Node and try again.`,
    );
  }
}

/** Makes .data, or says why it cannot. */
export function ensureData() {
  try {
    mkdirSync(DATA, { recursive: true });
  } catch {
    throw new Remedy(`${DATA} cannot be made; give yourself write permission on ${ROOT} and try again.`);
  }
}

/**
 * Installs the packages of package-lock.json where node_modules does not hold them yet.
 *
 * @param development whether those are wanted that only work on the sources needs: tests, lint, generated files.
 */
export async function ensurePackages({ development = false } = {}) {
  const { lock, isThese, which } = installed();
  if (isThese && (which === "all" || !development)) return;
  say("Installing packages …");
  // Who works on the sources keeps the tools when he starts the application after a change of packages.
  const all = development || which === "all";
  const wanted = all ? "--include=dev" : "--omit=dev";
  const words = ["ci", wanted, "--no-audit", "--no-fund", "--loglevel=error"];
  const status = await show("npm", words, { cwd: ROOT });
  if (status !== 0)
    throw new Remedy("The packages could not be installed; see npm's words above, then try again.");
  writeFileSync(PACKAGES_STAMP, `${lock} ${all ? "all" : "running"}`);
}

/** Written once the packages are whole: of which lock they are, and which of it. */
const PACKAGES_STAMP = join(ROOT, "node_modules", ".odd-lead-lock");

/** Whether node_modules holds the packages of package-lock.json as it is, and which of them: "all" or "running". */
export function installed() {
  const lock = hashOf([join(ROOT, "package-lock.json")]);
  const [whose, which] = existsSync(PACKAGES_STAMP) ? readFileSync(PACKAGES_STAMP, "utf8").split(" ") : [];
  return { lock, isThese: whose === lock, which };
}

const BUILD_INPUTS = [
  "src",
  "scripts/prepare-database.ts",
  "scripts/lib/makeDirect.mjs",
  "scripts/lib/bundled.mjs",
  "scripts/lib/compileEarly.mjs",
  "scripts/lib/fewScripts.ts",
  "scripts/lib/neverDrawn.mjs",
  "package-lock.json",
  "next.config.ts",
  "tsconfig.json",
  "tsconfig.build.json",
  "public",
];

/** The hash that the build in .next was made from, or null when there is none. */
function builtFrom() {
  const stamp = join(ROOT, ".next", "odd-lead-built-from");
  return existsSync(stamp) && existsSync(join(ROOT, ".next", "BUILD_ID"))
    ? readFileSync(stamp, "utf8")
    : null;
}

/** Whether .next holds a production build of the sources as they are. */
export function isBuilt() {
  return builtFrom() === sourceHash();
}

/**
 * Makes the production build where the sources changed since the last one.
 *
 * @param areTyped whether somebody has checked the types of these sources by now: the build does not do it again.
 */
export async function ensureBuild({ areTyped = false } = {}) {
  if (isBuilt()) return;
  say("Building …");
  const env = { ...process.env, NODE_ENV: "production", NEXT_TELEMETRY_DISABLED: "1" };
  if (areTyped) env.ODD_LEAD_ARE_TYPED = "yes";
  const status = await show(bin("next"), ["build", "--webpack"], {
    cwd: ROOT,
    env,
    stdio: ["ignore", "ignore", "inherit"],
  });
  if (status !== 0) throw new Error("the production build failed; run `npx next build --webpack` to see why");
  compileEarly(join(ROOT, ".next"));
  await packBuild(STATIC);
  await bundled(join(ROOT, "scripts", "prepare-database.ts"), PREPARING, "cjs");
  await bundled(join(ROOT, "src", "server", "heavy", "work.worker.ts"), WORK, "cjs");
  await makeDirect(ROOT, DIRECT);
  writeFileSync(join(ROOT, ".next", "odd-lead-built-from"), sourceHash());
}

/** What prepares the database, in one file: a start would load hundreds of sources for it otherwise. */
export const PREPARING = join(ROOT, ".next", "prepare-database.cjs");

/** What the threads of the server do. */
export const WORK = join(ROOT, ".next", "work.cjs");
/** The routes under /api beside the framework. */
export const DIRECT = join(ROOT, ".next", "direct.cjs");

function sourceHash() {
  return hashOf(BUILD_INPUTS.map((name) => join(ROOT, name)));
}

function hashOf(paths) {
  const hash = createHash("sha256");
  const add = (path) => {
    if (!existsSync(path)) return;
    if (statSync(path).isDirectory()) {
      for (const name of readdirSync(path).sort()) add(join(path, name));
    } else if (!/\.test\.tsx?$/.test(path)) {
      hash.update(path.slice(ROOT.length)).update(readFileSync(path));
    }
  };
  paths.forEach(add);
  return hash.digest("hex");
}
