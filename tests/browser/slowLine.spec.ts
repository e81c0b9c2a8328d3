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
