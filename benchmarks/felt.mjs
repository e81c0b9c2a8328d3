/**
 * What a hand feels, in the browser on the production build: from the Enter that sends a reading to the verdict on the page,
 * and the JavaScript that each page brings. Prints a section of docs/benchmarks.md.
 */
import { chromium } from "@playwright/test";
import { CHROMIUM_ARGUMENTS, ensureChromium } from "../scripts/lib/chromium.mjs";
import { landFelt, openingFelt, stockFelt } from "./feltElsewhere.mjs";
import { stocked } from "./madeRecord.mjs";
import { served } from "./served.mjs";

const DATABASE = "odd_lead_bench";
/** How much slower the page's thread is made; a worker cannot be slowed so, its own time is said beside it. */
const SLOWER = [1, 4];
const MOTORS_EACH = 2;
const STAGES = ["safe", "trace", "plate", "match", "probe", "cap", "land", "prove", "record"];
const OTHER_PAGES = ["/", "/stock", "/truck", "/practice", "/words", "/files"];
const SIZES = [
  { width: 1280, height: 800 },
  { width: 390, height: 844 },
];
const JOBS_SHIFTED = 4;
const SLOW_LINE = {
  offline: false,
  latency: 100,
  downloadThroughput: 200 * 1024,
  uploadThroughput: 100 * 1024,
};
/** After the last request something may still be worked out and drawn. */
const SETTLES_MS = 1500;
/** Between two readings: a hand takes longer. */
const HAND_MS = 600;
/** Between two keys of a hand, and between the last one and Enter. */
const KEY_MS = 120;
const BEFORE_ENTER_MS = 200;
/** How a reading comes into the field. */
const WAYS = {
  "by hand": async (field, text) => {
    await field.pressSequentially(text, { delay: KEY_MS });
    await field.page().waitForTimeout(BEFORE_ENTER_MS);
  },
  "at once": (field, text) => field.fill(text),
};
const MOST_READINGS = 40;
const BARE_READINGS = 20;
const STOCK_LINES = 100_000;

/** Made-up motors: for each group, where each lead comes out, along which leg from its joint, in ohms. */
const MOTORS = {
  4: [{ WH: ["main", 0], BK: ["main", 8], BU: ["main", 11], BN: ["start", 24] }],
  6: [
    {
      WH: ["main", 0],
      BK: ["main", 8],
      BU: ["main", 9.2],
      RD: ["main", 10.4],
      OG: ["main", 12],
      BN: ["start", 24],
    },
  ],
  9: [
    pair("T1", "T4"),
    pair("T2", "T5"),
    pair("T3", "T6"),
    { T7: ["u", 1.2], T8: ["v", 1.2], T9: ["w", 1.2] },
  ],
  12: [
    ["1", "4"],
    ["2", "5"],
    ["3", "6"],
    ["7", "10"],
    ["8", "11"],
    ["9", "12"],
  ].map(([a, b]) => pair(`T${a}`, `T${b}`)),
};

function pair(one, other) {
  return { [one]: ["main", 0], [other]: ["main", 1.2] };
}

function reads(groups, a, b) {
  const group = groups.find((one) => a in one && b in one);
  if (!group) return "OL";
  const [[legA, atA], [legB, atB]] = [group[a], group[b]];
  return (legA === legB ? Math.abs(atA - atB) : atA + atB).toFixed(1);
}

async function main() {
  const felt = await served(DATABASE, async ({ base, url }) => {
    const browser = await chromium.launch({ executablePath: ensureChromium(), args: CHROMIUM_ARGUMENTS });
    try {
      return {
        times: [...(await bareAnswers(browser)), ...(await keyToVerdict(browser, base))],
        weights: await weightOf(browser, base),
        shifts: await shiftsOf(browser, base),
        openings: await openingFelt(browser, base),
        elsewhere: [
          ...(await landFelt(browser, base, SLOWER)),
          ...(await stocked(url, STOCK_LINES).then(() => stockFelt(browser, base, SLOWER, STOCK_LINES))),
        ],
      };
    } finally {
      await browser.close();
    }
  });
  console.log(section(felt));
}

async function keyToVerdict(browser, base) {
  const rows = [];
  for (const [leads, groups] of Object.entries(MOTORS))
    for (const [way, write] of Object.entries(WAYS))
      for (const slower of SLOWER) {
        const felt = [];
        const worked = [];
        for (let motor = 0; motor < MOTORS_EACH; motor++) {
          const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
          await page.addInitScript(watchKeys);
          await led(page, base, groups, slower, write);
          felt.push(...(await page.evaluate(() => window.felt)));
          for (const worker of page.workers())
            worked.push(...(await worker.evaluate(() => self.worked ?? [])));
          await page.close();
        }
        rows.push({ leads, way, slower, felt, worked });
      }
  return rows;
}

/** A page of nothing but a field, a worker that gives back at once what it is sent, and a line to show it in. */
const BARE = `<!doctype html><input><p></p><script>
  const [field, line] = document.querySelectorAll("input, p");
  const worker = new Worker(URL.createObjectURL(new Blob(["onmessage = ({ data }) => postMessage(data)"])));
  let sent = 0;
  window.felt = [];
  field.addEventListener("keydown", ({ key }) => {
    if (key !== "Enter") return;
    sent = performance.now();
    worker.postMessage(field.value);
  });
  worker.onmessage = ({ data }) => {
    line.textContent = data;
    requestAnimationFrame(() => window.felt.push(performance.now() - sent));
  };
</script>`;

/** The same for a page that does nothing: what the browser itself needs from Enter to a drawn answer of a worker. */
async function bareAnswers(browser) {
  const rows = [];
  for (const slower of SLOWER) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.setContent(BARE);
    const devtools = await page.context().newCDPSession(page);
    await devtools.send("Emulation.setCPUThrottlingRate", { rate: slower });
    for (let reading = 0; reading < BARE_READINGS; reading++) {
      await page.locator("input").fill(String(reading));
      await page.keyboard.press("Enter");
      await page.waitForTimeout(HAND_MS);
    }
    rows.push({
      leads: "a bare page",
      way: "at once",
      slower,
      felt: await page.evaluate(() => window.felt),
      worked: [],
    });
    await page.close();
  }
  return rows;
}

/** On the page: from Enter in a field until what is asked or the verdict says something else, nothing is awaited, and that is drawn. */
function watchKeys() {
  window.felt = [];
  let sent = 0;
  let before = "";
  const words = () =>
    ['section[aria-label="Reading"] [aria-live]', 'section[aria-label="Verdict"]']
      .map((part) => document.querySelector(part)?.textContent)
      .join(" ");
  addEventListener(
    "keydown",
    (event) => {
      if (event.key !== "Enter" || event.target.tagName !== "INPUT") return;
      sent = performance.now();
      before = words();
    },
    true,
  );
  const look = () => {
    const isDrawn = () => !document.querySelector('section[aria-busy="true"]') && words() !== before;
    if (sent > 0 && isDrawn()) {
      window.felt.push(performance.now() - sent);
      sent = 0;
    }
    requestAnimationFrame(look);
  };
  requestAnimationFrame(look);
}

/** In the worker: how long each answer took. */
function watchWork() {
  const answer = self.onmessage;
  self.worked = [];
  self.onmessage = (event) => {
    const began = performance.now();
    answer(event);
    if (typeof event.data === "string") self.worked.push(performance.now() - began);
  };
}

/** Leads one made-up motor from an empty sheet to the end, as the page asks. */
async function led(page, base, groups, slower, write) {
  await page.goto(base);
  await page.getByRole("button", { name: "Start with a motor" }).click();
  const leads = groups.flatMap((group) => Object.keys(group));
  await page.getByLabel("Lead colors, in a row").fill(leads.join(" "));
  await page.keyboard.press("Enter");
  const field = page.getByLabel("Reading in ohms, or OL for open");
  const section = page.getByRole("region", { name: "Reading", exact: true });
  await field.waitFor();
  await page.waitForTimeout(3000);
  for (const worker of page.workers()) await worker.evaluate(watchWork);
  await page.evaluate(() => {
    window.felt.length = 0;
  });
  const devtools = await page.context().newCDPSession(page);
  await devtools.send("Emulation.setCPUThrottlingRate", { rate: slower });
  for (let reading = 0; reading < MOST_READINGS; reading++) {
    await page.waitForFunction(() => !document.querySelector('section[aria-busy="true"]'));
    const asked = (await section.locator("[aria-live]").allInnerTexts()).join(" ");
    if (!asked.startsWith("Touch")) return;
    const [a, b] = leads.filter((lead) => new RegExp(`\\b${lead}\\b`).test(asked));
    await write(field, /shell/.test(asked) ? "OL" : reads(groups, a, b));
    await field.press("Enter");
    await page.waitForTimeout(HAND_MS);
  }
}

/** Compressed kilobytes of script that the first page and each stage bring, by themselves. */
async function weightOf(browser, base) {
  // The worker that keeps the application would fetch every page at once.
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: "block" });
  const scripts = () =>
    page.evaluate(() =>
      performance
        .getEntriesByType("resource")
        .filter(({ name }) => /\.js(\?|$)/.test(name))
        .reduce((sum, { encodedBodySize }) => sum + encodedBodySize, 0),
    );
  await page.goto(base, { waitUntil: "networkidle" });
  const weights = [["first page", await scripts()]];
  const job = await page.locator('a[href*="/jobs/"]').first().getAttribute("href");
  for (const stage of STAGES) {
    await page.goto(base + job.replace(/\w+$/, stage), { waitUntil: "networkidle" });
    weights.push([stage, await scripts()]);
  }
  return weights;
}

/** On the page: how far what was drawn has moved without a touch, as the browser reckons it. */
function watchShifts() {
  window.shifted = 0;
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) if (!entry.hadRecentInput) window.shifted += entry.value;
  }).observe({ type: "layout-shift", buffered: true });
}

/** The worst cumulative layout shift of each page over the first jobs, on a slow line and a slow phone. */
async function shiftsOf(browser, base) {
  const rows = [];
  for (const viewport of SIZES) {
    const context = await browser.newContext({ viewport, baseURL: base, serviceWorkers: "block" });
    const home = await context.newPage();
    await home.goto("/", { waitUntil: "networkidle" });
    const links = await home
      .locator('a[href*="/jobs/"]')
      .evaluateAll((all) => all.map((link) => link.getAttribute("href").replace(/\/\w+$/, "")));
    await home.close();
    const jobs = [...new Set(links)].slice(0, JOBS_SHIFTED);
    const pages = [
      ...OTHER_PAGES.map((path) => [path === "/" ? "first page" : path, path]),
      ...STAGES.flatMap((stage) => jobs.map((job) => [stage, `${job}/${stage}`])),
    ];
    const worst = new Map();
    for (const [name, path] of pages) {
      const page = await context.newPage();
      const devtools = await context.newCDPSession(page);
      await devtools.send("Emulation.setCPUThrottlingRate", { rate: 4 });
      await devtools.send("Network.enable");
      await devtools.send("Network.emulateNetworkConditions", SLOW_LINE);
      await page.addInitScript(watchShifts);
      await page.goto(path, { waitUntil: "networkidle" });
      await page.waitForTimeout(SETTLES_MS);
      worst.set(name, Math.max(worst.get(name) ?? 0, await page.evaluate(() => window.shifted)));
      await page.close();
    }
    await context.close();
    rows.push({ width: viewport.width, worst });
  }
  return rows;
}

function section({ times, elsewhere, openings, weights, shifts }) {
  const at = (list, share) => {
    const sorted = [...list].sort((a, b) => a - b);
    return (sorted[Math.floor(share * (sorted.length - 1))] ?? 0).toFixed(0);
  };
  return [
    "## Felt",
    "",
    `From Enter to the verdict on the page, in milliseconds, ${MOTORS_EACH} made-up motors led to the end for each line; the page's thread as it is, and made four times slower. The worker's own time for an answer beside it, which cannot be slowed. By hand there are ${KEY_MS} ms between two keys and ${BEFORE_ENTER_MS} before Enter, in which what stands in the field is weighed; at once there is nothing. The bare page has a field, a worker that gives back what it is sent, and a line of text: under its time no page can be.`,
    "",
    "| leads | typed | page's thread | readings | median | p95 | in the worker, median | p95 |",
    "| --- | --- | --- | --- | --- | --- | --- | --- |",
    ...times.map(
      ({ leads, way, slower, felt, worked }) =>
        `| ${leads} | ${way} | × ${slower} | ${felt.length} | ${at(felt, 0.5)} | ${at(felt, 0.95)} | ${worked.length > 0 ? `${at(worked, 0.5)} | ${at(worked, 0.95)}` : "– | –"} |`,
    ),
    "",
    "Elsewhere, in milliseconds, from the key or the choice:",
    "",
    "| what | page's thread | times | median | p95 |",
    "| --- | --- | --- | --- | --- |",
    ...elsewhere.map(
      ({ what, slower, felt }) =>
        `| ${what} | × ${slower} | ${felt.length} | ${at(felt, 0.5)} | ${at(felt, 0.95)} |`,
    ),
    "",
    "Until a page can be used, in milliseconds, the slowest of three, on a phone's screen with a line of 400 ms and 50 kB/s and the page's thread four times slower; the first time, and the second with what the service worker keeps:",
    "",
    "| page | first | second |",
    "| --- | --- | --- |",
    ...openings.map(({ what, first, again }) => `| ${what} | ${at(first, 1)} | ${at(again, 1)} |`),
    "",
    "Compressed JavaScript that a page brings by itself, in kB:",
    "",
    `| ${weights.map(([page]) => page).join(" | ")} |`,
    `|${weights.map(() => " --- |").join("")}`,
    `| ${weights.map(([, bytes]) => (bytes / 1000).toFixed(0)).join(" | ")} |`,
    "",
    `Layout shift while a page comes, the worst of ${JOBS_SHIFTED} demo jobs, on a line of 100 ms and 200 kB/s with the page's thread four times slower:`,
    "",
    `| width | ${[...(shifts[0]?.worst.keys() ?? [])].join(" | ")} |`,
    `| --- |${[...(shifts[0]?.worst.keys() ?? [])].map(() => " --- |").join("")}`,
    ...shifts.map(
      ({ width, worst }) =>
        `| ${width} | ${[...worst.values()].map((shift) => shift.toFixed(3)).join(" | ")} |`,
    ),
    "",
  ].join("\n");
}

await main();
