/**
 * npm test: from a bare checkout to the verdict. Generated files, lint, types, import rules, unit and database tests,
 * production build, browser tests; the last line is `N passed, N failed`.
 */
import { spawn } from "node:child_process";
import { existsSync, readFileSync, rmSync } from "node:fs";
import { join, relative } from "node:path";
import { CHROMIUM_ARGUMENTS, ensureChromium } from "./lib/chromium.mjs";
import { ensureDatabase, prepareDatabase } from "./lib/databases.mjs";
import { enter, others } from "./lib/instances.mjs";
import { oneAtATime } from "./lib/oneAtATime.mjs";
import { ensurePostgres, freePort } from "./lib/postgres.mjs";
import { bin, checkNode, DATA, ensureBuild, ensureData, ensurePackages, ROOT } from "./lib/project.mjs";
import { collected, show } from "./lib/run.mjs";
import { fail, say } from "./lib/say.mjs";

const TEMPLATE = "odd_lead_test_template";
const BROWSER = "odd_lead_test_browser";

let passed = 0;
let failed = 0;
/** What failed, said again at the end: the names are far up by then. */
const failures = [];

async function test() {
  checkNode();
  ensureData();
  await oneAtATime("making-ready", () => ensurePackages({ development: true }));
  const env = { ...process.env, NODE_ENV: "test" };
  // Each keeps one core busy at most; what each says is shown when it is done.
  const [areTyped] = await Promise.all([
    types(env),
    step("generated files", "node", ["scripts/generate.mjs", "--check"], env),
    step("lint and format", bin("biome"), ["ci", "."], env),
    step(
      "import rules",
      bin("depcruise"),
      ["src", "tests", "scripts", "benchmarks", "--config", ".dependency-cruiser.cjs"],
      env,
    ),
  ]);

  const postgres = await ensurePostgres();
  const leave = enter("test");
  try {
    await ensureDatabase(postgres.adminUrl, TEMPLATE, { drop: true });
    await prepareDatabase(postgres.url(TEMPLATE), { demo: false });
    await vitest({ ...env, ODD_LEAD_TEST_ADMIN_URL: postgres.adminUrl, ODD_LEAD_TEST_TEMPLATE: TEMPLATE });
    await ensureBuild({ areTyped });
    await browser(postgres, env);
    await ensureDatabase(postgres.adminUrl, BROWSER, { drop: true });
  } finally {
    leave();
    if (postgres.own && others().length === 0) postgres.stop();
  }
}

/** The types of everything, of what the framework makes for pages and routes too: more than the build looks at. */
async function types(env) {
  await collected(bin("next"), ["typegen"], { cwd: ROOT, env });
  return step("types", bin("tsc"), ["--noEmit"], env);
}

/** Runs a check of its own and counts it; gives whether it passed. */
async function step(title, command, args, env) {
  const { status, said } = await collected(command, args, { cwd: ROOT, env });
  say(`\n— ${title}\n${said.trimEnd()}`);
  if (status === 0) passed += 1;
  else {
    failed += 1;
    failures.push(title);
  }
  return status === 0;
}

async function vitest(env) {
  say("\n— unit and database tests");
  const report = join(DATA, "vitest.json");
  rmSync(report, { force: true });
  const args = ["run", "--reporter=default", "--reporter=json", `--outputFile.json=${report}`];
  const status = await show(bin("vitest"), args, { cwd: ROOT, env });
  const {
    numPassedTests = 0,
    numFailedTests = 0,
    testResults = [],
  } = existsSync(report) ? JSON.parse(readFileSync(report, "utf8")) : {};
  for (const { name, status: of, assertionResults } of testResults) {
    const bad = assertionResults.filter((result) => result.status === "failed");
    for (const { fullName } of bad) failures.push(`${relative(ROOT, name)}: ${fullName}`);
    if (of === "failed" && bad.length === 0) failures.push(relative(ROOT, name));
  }
  count(status, numPassedTests, numFailedTests);
}

async function browser(postgres, env) {
  say("\n— browser tests");
  const chromium = ensureChromium();
  await ensureDatabase(postgres.adminUrl, BROWSER, { drop: true });
  const url = postgres.url(BROWSER);
  await prepareDatabase(url);
  const port = await freePort(4100);
  const server = spawn("node", ["scripts/serve.mjs"], {
    cwd: ROOT,
    env: { ...env, DATABASE_URL: url, PORT: String(port) },
    stdio: ["ignore", "ignore", "inherit"],
  });
  try {
    const base = `http://127.0.0.1:${port}`;
    await answers(`${base}/api/health`);
    const report = join(DATA, "playwright.json");
    rmSync(report, { force: true });
    const status = await show(bin("playwright"), ["test", "--config", "tests/browser/playwright.config.ts"], {
      cwd: ROOT,
      env: {
        ...env,
        ODD_LEAD_BASE_URL: base,
        ODD_LEAD_CHROMIUM: chromium,
        ODD_LEAD_CHROMIUM_ARGUMENTS: CHROMIUM_ARGUMENTS.join(" "),
        ODD_LEAD_TEST_DATABASE_URL: url,
        PLAYWRIGHT_JSON_OUTPUT_NAME: report,
      },
    });
    const { stats = {}, suites = [] } = existsSync(report) ? JSON.parse(readFileSync(report, "utf8")) : {};
    failures.push(...suites.flatMap(unexpected));
    count(status, (stats.expected ?? 0) + (stats.flaky ?? 0), stats.unexpected ?? 0);
  } finally {
    server.kill("SIGKILL");
  }
}

/** The failed tests of one of Playwright's suites, and of those in it. */
function unexpected({ file, specs = [], suites = [] }) {
  const own = specs
    .filter(({ tests }) => tests.some(({ status }) => status === "unexpected"))
    .map(({ title, line }) => `${file}:${line}: ${title}`);
  return [...own, ...suites.flatMap(unexpected)];
}

/** Waits until an address answers; half a minute at most. */
async function answers(url) {
  for (let tries = 0; tries < 120; tries++) {
    const ok = await fetch(url).then(
      (response) => response.ok,
      () => false,
    );
    if (ok) return;
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
  throw new Error(`${url} does not answer`);
}

/** A runner that fails without naming a failed test (a crash, a suite that does not load) still counts as one. */
function count(status, good, bad) {
  passed += good;
  failed += status !== 0 && bad === 0 ? 1 : bad;
}

test()
  .then(() => {
    if (failures.length > 0) say(`\nFailed:\n${failures.map((name) => `  ${name}`).join("\n")}`);
    say(`\n${passed} passed, ${failed} failed`);
    process.exit(failed === 0 ? 0 : 1);
  })
  .catch((error) => {
    say(`\n${passed} passed, ${failed + 1} failed`);
    fail(error);
  });
