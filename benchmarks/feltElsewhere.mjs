/** What a hand feels on other pages than Probe: a wire moved, a what-if, a letter in the stock, and pages on a slow line. */
import { poorLine } from "./poorLine.mjs";

/** Between two touches: a hand takes longer; and between two keys of one. */
const HAND_MS = 700;
const KEY_MS = 120;
const MOVES = 8;
const OPENINGS = 3;
/** A phone at the edge of its cell. */
const EDGE_LINE = { roundTripMs: 400, bytesASecond: 50 * 1024 };
const EDGE_SLOWER = 4;

/**
 * On the page: what is felt from a touch (a key or a choice) until a part says something else and nothing in it is
 * awaited, and that is drawn. The part is told by `watched.part`; a touch that changes nothing there
 * does not count.
 */
function watchTouches() {
  const watched = { part: "main", felt: [], sent: 0 };
  window.watched = watched;
  let before = "";
  const part = () => document.querySelector(watched.part);
  const begun = () => {
    watched.sent = performance.now();
    before = part()?.textContent ?? "";
  };
  addEventListener("keydown", ({ key }) => key !== "Shift" && begun(), true);
  addEventListener("change", begun, true);
  const look = () => {
    const shown = part();
    const isDrawn = shown && !shown.querySelector('[aria-busy="true"]') && shown.textContent !== before;
    if (watched.sent > 0 && isDrawn) {
      watched.felt.push(performance.now() - watched.sent);
      watched.sent = 0;
    }
    requestAnimationFrame(look);
  };
  requestAnimationFrame(look);
}

async function begin(page, part, slower) {
  await page.evaluate((watched) => Object.assign(window.watched, { part: watched, felt: [], sent: 0 }), part);
  const devtools = await page.context().newCDPSession(page);
  await devtools.send("Emulation.setCPUThrottlingRate", { rate: slower });
}

const feltOf = (page) => page.evaluate(() => window.watched.felt);

/** In Land, a lead taken to other terminals by keys until the plan is checked as it stands then; and what-ifs. */
export async function landFelt(browser, base, slowers) {
  const rows = [];
  for (const slower of slowers) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.addInitScript(watchTouches);
    await page.goto(base, { waitUntil: "networkidle" });
    await page
      .getByRole("link", { name: /condenser fan/i })
      .first()
      .click();
    await page.getByRole("navigation", { name: "Stages" }).getByRole("link", { name: /Land/ }).click();
    const handle = page.getByRole("button", { name: /\. Enter to move it\.$/ }).first();
    await handle.waitFor();
    await page.locator('section[aria-label="Check"] [aria-busy="false"]').waitFor();
    await page.waitForTimeout(2000);
    await begin(page, 'section[aria-label="Check"]', slower);
    for (let move = 0; move < MOVES; move++) {
      await handle.focus();
      await page.keyboard.press("Enter");
      for (let step = 0; step <= move % 4; step++) {
        await page.waitForTimeout(KEY_MS);
        await page.keyboard.press("ArrowDown");
      }
      await page.waitForTimeout(KEY_MS);
      await page.keyboard.press("Enter");
      await page.waitForTimeout(HAND_MS);
    }
    rows.push({ what: "a wire moved, until the plan is checked", slower, felt: await feltOf(page) });
    await page.keyboard.press("Control+z");
    await page.getByRole("button", { name: /^Run it on screen/ }).click();
    const capacitor = page.getByRole("combobox", { name: "Capacitor", exact: true });
    await capacitor.waitFor();
    await page.waitForTimeout(2000);
    await begin(page, 'section[aria-label="Run it on screen"]', slower);
    for (let choice = 0; choice < MOVES; choice++) {
      await capacitor.selectOption({ index: choice % 6 });
      await page.waitForTimeout(HAND_MS);
    }
    rows.push({
      what: "what if the capacitor were another, until it has run",
      slower,
      felt: await feltOf(page),
    });
    await page.close();
  }
  return rows;
}

/** In the stock, a letter typed, until the list is of what it finds. */
export async function stockFelt(browser, base, slowers, lines) {
  const rows = [];
  for (const slower of slowers) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.addInitScript(watchTouches);
    await page.goto(`${base}/stock`, { waitUntil: "networkidle" });
    const find = page.getByLabel("Find");
    await begin(page, "main", slower);
    for (const word of ["bench", "1625", "shelf"]) {
      await find.fill("");
      await page.waitForTimeout(HAND_MS);
      for (const letter of word) {
        await find.press(letter);
        await page.waitForTimeout(HAND_MS);
      }
    }
    rows.push({
      what: `a letter among ${lines} lines of stock, until the list is there`,
      slower,
      felt: await feltOf(page),
    });
    await page.close();
  }
  return rows;
}

/**
 * Until a page can be used on the line of a phone at the edge of its cell: what is touched then does what it says. The
 * second time with the service worker and what it keeps, which was kept over a good line: it takes half a minute of this one.
 */
export async function openingFelt(browser, base) {
  const rows = [];
  const job = await jobAddress(browser, base);
  const pages = [
    ["the first page", "/", "Start with a motor"],
    ["a stage", job, "Keypad"],
  ];
  const line = await poorLine(Number(new URL(base).port), EDGE_LINE);
  for (const [what, path, button] of pages) {
    const first = [];
    const again = [];
    for (let opening = 0; opening < OPENINGS; opening++) {
      const context = await browser.newContext({
        viewport: { width: 390, height: 844 },
        baseURL: `http://127.0.0.1:${line.port}`,
        serviceWorkers: "allow",
      });
      line.isPoor = true;
      first.push(await usable(context, path, button));
      line.isPoor = false;
      const page = await context.newPage();
      await page.goto(path, { waitUntil: "networkidle" });
      await page.evaluate(() => navigator.serviceWorker.ready);
      await page.close();
      line.isPoor = true;
      again.push(await usable(context, path, button));
      await context.close();
    }
    rows.push({ what, first, again });
  }
  line.close();
  return rows;
}

async function jobAddress(browser, base) {
  const page = await browser.newPage();
  await page.goto(base, { waitUntil: "networkidle" });
  const href = await page
    .getByRole("link", { name: /fan coil/i })
    .first()
    .getAttribute("href");
  await page.close();
  return href.replace(/\w+$/, "probe");
}

/** Milliseconds from the address to a button that the page has taken over. */
async function usable(context, path, button) {
  const page = await context.newPage();
  const devtools = await context.newCDPSession(page);
  await devtools.send("Emulation.setCPUThrottlingRate", { rate: EDGE_SLOWER });
  const began = performance.now();
  await page.goto(path, { waitUntil: "commit" });
  await page.waitForFunction(
    (name) => {
      const all = [...document.querySelectorAll("button")];
      const found = all.find((one) => one.textContent.startsWith(name));
      return found !== undefined && Object.keys(found).some((key) => key.startsWith("__reactProps"));
    },
    button,
    { polling: 50 },
  );
  const took = performance.now() - began;
  await page.close();
  return took;
}
