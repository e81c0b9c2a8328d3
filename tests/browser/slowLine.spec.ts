import { expect, type Page, test } from "@playwright/test";

/** Bytes a second: the text of a page comes in pieces, and is drawn as it comes. */
const SLOW = 60_000;

/** By how much what was shown has been pushed about since the page began to come. */
async function shifted(page: Page): Promise<number> {
  return page.evaluate(() => (window as unknown as { shifted: number }).shifted);
}

test("what comes late on a slow line pushes nothing away that a thumb was about to touch", async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  // Letters and what all pages share are here already: what is looked at is the text of a page, which comes anew.
  await page.goto("/", { waitUntil: "networkidle" });
  const href = await page.getByRole("link", { name: /fan coil/ }).getAttribute("href");
  await page.addInitScript(() => {
    const all = Object.assign(window, { shifted: 0 });
    new PerformanceObserver((list) => {
      for (const one of list.getEntries() as (PerformanceEntry & { value: number })[])
        all.shifted += one.value;
    }).observe({ type: "layout-shift", buffered: true });
  });
  const line = await page.context().newCDPSession(page);
  await line.send("Network.enable");
  await line.send("Network.emulateNetworkConditions", {
    offline: false,
    latency: 100,
    downloadThroughput: SLOW,
    uploadThroughput: SLOW,
  });
  for (const stage of ["probe", "land"]) {
    await page.goto((href ?? "").replace(/\w+$/, stage), { waitUntil: "networkidle" });
    await expect(page.getByRole("region", { name: /Loom/ })).toBeVisible();
    expect(await shifted(page), stage).toBeLessThan(0.05);
  }
});

/** The family that the page's text asks for first, and the files of letters that were fetched. */
const letters = (page: Page) =>
  page.evaluate(() => ({
    first: getComputedStyle(document.body).fontFamily.split(",")[0]?.replaceAll('"', ""),
    files: performance.getEntriesByType("resource").filter(({ name }) => name.endsWith(".woff2")).length,
  }));

test("a page that comes quickly is in letters of our own", async ({ page }) => {
  await page.goto("/", { waitUntil: "networkidle" });
  const { first, files } = await letters(page);
  expect(first).toBe("Atkinson Hyperlegible Next Variable");
  expect(files).toBeGreaterThan(0);
});

test("on a poor line letters wait for the next page, which is as wide in those of the device", async ({
  page,
}) => {
  const line = await page.context().newCDPSession(page);
  await line.send("Network.enable");
  await line.send("Network.emulateNetworkConditions", {
    offline: false,
    latency: 400,
    downloadThroughput: SLOW,
    uploadThroughput: SLOW,
  });
  await page.goto("/");
  await expect(page.getByRole("button", { name: "Start with a motor" })).toBeVisible();
  expect(await letters(page)).toEqual({ first: "Odd Lead Text Meanwhile", files: 0 });
});
