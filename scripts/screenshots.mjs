/** npm run screenshots: one current picture of each main view, from the demo data, into docs/screenshots. */
import { mkdirSync } from "node:fs";
import { join } from "node:path";
import { ensureChromium } from "./lib/chromium.mjs";
import { ensureDatabase, prepareDatabase } from "./lib/databases.mjs";
import { enter, others } from "./lib/instances.mjs";
import { oneAtATime } from "./lib/oneAtATime.mjs";
import { ensurePostgres, freePort } from "./lib/postgres.mjs";
import { checkNode, ensureBuild, ensureData, ensurePackages, ROOT } from "./lib/project.mjs";
import { fail, say } from "./lib/say.mjs";
import { serve } from "./lib/serve.mjs";

const DATABASE = "odd_lead_pictures";
const FOLDER = join(ROOT, "docs", "screenshots");
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

/** Name, size, scheme, and how to get there. */
const VIEWS = [
  ["home", DESK, "light", home],
  ["probe", DESK, "light", job(/fan coil/, "probe")],
  ["probing", DESK, "light", halfway],
  ["unit", DESK, "light", unit],
  ["stop", DESK, "light", job(/draught/, "probe")],
  ["trace", DESK, "light", trace],
  ["land", DESK, "light", job(/condenser/, "land")],
  ["wiring", DESK, "light", wiring],
  ["prove", DESK, "dark", proving],
  ["record", DESK, "light", job(/condenser/, "record")],
  ["plate", DESK, "light", job(/air handler/, "plate")],
  ["match", DESK, "light", matched],
  ["cap", DESK, "light", job(/condenser/, "cap")],
  ["safe-phone", PHONE, "light", job(/condenser/, "safe")],
  ["stock", DESK, "light", stock],
  ["truck-plan", DESK, "light", truckPlan],
  ["practice", DESK, "light", practice],
  ["practice-wiring", DESK, "light", practiceWiring],
  ["probe-phone-attic", PHONE, "dark", job(/dryer/, "probe")],
];

async function home(page) {
  await page.getByRole("button", { name: "Start with a motor" }).waitFor();
}

function job(title, stage) {
  return async (page) => {
    await page.getByRole("link", { name: title }).click();
    await page.waitForURL(/\/probe$/);
    if (stage !== "probe") {
      await page.getByRole("link", { name: new RegExp(stage, "i") }).click();
      await page.waitForURL(new RegExp(`/${stage}$`));
    }
    await page.getByRole("region", { name: /Loom/ }).waitFor();
  };
}

/** A proof on its way: the bump seen, the next check asked, the bands of what is expected. */
async function proving(page) {
  await job(/condenser/, "prove")(page);
  await page.getByRole("button", { name: "Starts by itself" }).click();
  await page.getByRole("button", { name: "CCW, seen from the lead end" }).click();
  const ask = page.getByRole("region", { name: "Next check" });
  await ask.getByRole("textbox").fill("1.55");
  await ask.getByRole("textbox").press("Enter");
  await page.getByRole("button", { name: "Strike line 3" }).waitFor();
}

/** A motor half read: the pair to touch next, doubt shown as doubt. */
async function halfway(page) {
  await page.getByRole("button", { name: "Start with a motor" }).click();
  await page.getByLabel("Lead colors, in a row").fill("WH BK RD BN BN/WH");
  await page.keyboard.press("Enter");
  const field = page.getByLabel("Reading in ohms, or OL for open");
  for (const line of ["WH shell OL", "WH BK 23.5", "WH RD 4.2", "WH BN 26.4"]) {
    await field.fill(line);
    await field.press("Enter");
  }
  await page.evaluate(() => document.activeElement?.blur());
}

/** The old wiring written down, a photo with a pin on it; the photo is drawn here. */
async function trace(page) {
  await job(/condenser/, "trace")(page);
  const { default: sharp } = await import("sharp");
  const buffer = await sharp(Buffer.from(COMPARTMENT)).jpeg().toBuffer();
  await page.setInputFiles('input[type="file"]', { name: "compartment.jpg", mimeType: "image/jpeg", buffer });
  await page.getByRole("button", { name: /Set a pin/ }).click({ position: { x: 160, y: 60 } });
  await page.getByLabel("Pin 1", { exact: true }).fill("BK on T1");
  await page.keyboard.press("Enter");
  await page.evaluate(() => document.activeElement?.blur());
}

/** A compartment that was never there: a contactor, a capacitor, three wires. */
const COMPARTMENT = `<svg xmlns="http://www.w3.org/2000/svg" width="1200" height="760">
<rect width="1200" height="760" fill="#767a7d"/><rect x="120" y="70" width="380" height="280" rx="10" fill="#2f3337"/>
<g fill="#c9a24a"><circle cx="200" cy="140" r="20"/><circle cx="420" cy="140" r="20"/><circle cx="200" cy="290" r="20"/>
<circle cx="420" cy="290" r="20"/></g><ellipse cx="850" cy="270" rx="150" ry="190" fill="#b9bdc0"/>
<g fill="#8a6d3b"><rect x="770" y="120" width="40" height="28"/><rect x="890" y="120" width="40" height="28"/></g>
<g fill="none" stroke-width="15"><path stroke="#1b1b1b" d="M200 290C190 660 640 720 1180 690"/>
<path stroke="#f4f2ea" d="M420 290C430 600 760 640 1180 610"/><path stroke="#7a4a26" d="M790 130C640 60 620 560 1180 540"/></g></svg>`;

/** The drawing of the four-speed blower, and what the check says of it. */
async function wiring(page) {
  await job(/fan coil/, "land")(page);
  await page.getByRole("region", { name: "Wiring drawing" }).evaluate((node) => node.scrollIntoView());
}

/** A wiring with one wrong move in it, to be found. */
async function practiceWiring(page) {
  await page.goto(new URL("/practice/wiring", page.url()).href);
  await page.getByLabel("Your name, to keep results by").fill("Dov Hask");
  await page.getByLabel("What to do").selectOption("find-it");
  await page.getByRole("combobox", { name: "Equipment" }).selectOption("furnace-board");
  await page.getByRole("button", { name: "Lay it out" }).click();
  await page.getByRole("region", { name: "The motor" }).waitFor();
}

/** A unit with its visits over a year. */
async function unit(page) {
  const { units } = await (await page.request.get("/api/v1/units?search=chart%20room")).json();
  await page.goto(new URL(`/units/${units[0].id}`, page.url()).href);
  await page.getByRole("figure", { name: /^GY to VT/ }).waitFor();
}

/** The best candidate chosen, its reasons and its capacitor. */
async function matched(page) {
  await job(/condenser/, "match")(page);
  await page
    .getByRole("button", { name: /^Choose: / })
    .first()
    .click();
  await page.getByRole("region", { name: "Chosen motor" }).getByText("Mounting").waitFor();
  await page.evaluate(() => document.activeElement?.blur());
}

async function stock(page) {
  await page.goto(new URL("/stock", page.url()).href);
  await page.getByLabel("Find").fill("208-230");
  await page.getByRole("table", { name: "Stock" }).waitFor();
}

async function truckPlan(page) {
  await page.goto(new URL("/truck", page.url()).href);
  await page.getByRole("button", { name: "Work it out" }).click();
  await page
    .getByRole("region", { name: "The plan" })
    .locator("svg.recharts-surface")
    .waitFor({ timeout: 60_000 });
}

/** The practice bench, two readings noted. */
async function practice(page) {
  await page.goto(new URL("/practice", page.url()).href);
  await page.getByLabel("Your name, to keep results by").fill("Dov Hask");
  await page.getByLabel("Kind of motor").selectOption("two-winding");
  await page.getByRole("button", { name: "Put it on the bench" }).click();
  for (const other of ["s", "b"]) {
    await page.keyboard.press("a");
    await page.keyboard.press(other);
    await page.getByText("steady", { exact: true }).waitFor();
    await page.keyboard.press("Enter");
    if (other === "s") for (const key of ["a", other]) await page.keyboard.press(key);
  }
  await page.getByRole("region", { name: "Naming" }).getByLabel("Kind of motor").selectOption("two-winding");
}

async function pictures() {
  checkNode();
  ensureData();
  await oneAtATime("making-ready", () => ensurePackages({ development: true }));
  await ensureBuild();
  const { chromium } = await import("@playwright/test");
  const { CHROMIUM_ARGUMENTS } = await import("./lib/chromium.mjs");
  const postgres = await ensurePostgres();
  const leave = enter("screenshots");
  mkdirSync(FOLDER, { recursive: true });
  await ensureDatabase(postgres.adminUrl, DATABASE, { drop: true });
  await prepareDatabase(postgres.url(DATABASE));
  const port = await freePort(4200);
  const server = await serve({ url: postgres.url(DATABASE), host: "127.0.0.1", port });
  const browser = await chromium.launch({ executablePath: ensureChromium(), args: CHROMIUM_ARGUMENTS });
  for (const [name, viewport, scheme, go] of VIEWS) {
    const context = await browser.newContext({
      viewport,
      baseURL: `http://127.0.0.1:${port}`,
      reducedMotion: "reduce",
      serviceWorkers: "block",
    });
    const page = await context.newPage();
    await page.addInitScript((mode) => localStorage.setItem("mui-mode", mode), scheme);
    await page.goto("/");
    await go(page);
    await page.evaluate(() => document.fonts.ready);
    await page.waitForTimeout(400);
    await page.screenshot({ path: join(FOLDER, `${name}.png`) });
    say(`docs/screenshots/${name}.png`);
    await context.close();
  }
  await browser.close();
  server.close();
  server.closeAllConnections();
  leave();
  if (postgres.own && others().length === 0) postgres.stop();
  process.exit(0);
}

pictures().catch(fail);
