import { type BrowserContext, expect, type Page, test } from "@playwright/test";
import { enter, startMotor } from "./bench";
import { BuildsInTurn } from "./buildsInTurn";
import { ServerOfOwn } from "./serverOfOwn";

/** The whole application with the server gone, as a browser has it that was here before. */

test.use({ serviceWorkers: "allow" });

const server = new ServerOfOwn();
let context: BrowserContext;

test.beforeEach(async ({ browser }) => {
  await server.start();
  context = await browser.newContext({
    baseURL: server.address,
    viewport: { width: 1280, height: 800 },
    serviceWorkers: "allow",
  });
});
test.afterEach(async () => {
  await context.close();
  server.kill();
});

const saved = (page: Page) => page.getByRole("status").filter({ hasText: "Saved" });

/** Waits until the application is kept on the device. */
async function kept(page: Page): Promise<void> {
  await page.evaluate(async () => {
    const { active } = await navigator.serviceWorker.ready;
    if (active && active.state !== "activated")
      await new Promise((resolve) => active.addEventListener("statechange", resolve, { once: true }));
  });
}

test("a reload, every stage, the first page, a new job and practice all open, and all of it arrives later", async () => {
  test.setTimeout(240_000);
  const page = await context.newPage();
  const errors: string[] = [];
  page.on("pageerror", ({ message }) => errors.push(message));
  await startMotor(page, "WH BK RD BU");
  await page.getByLabel("Name of this job").first().fill("Harbour office fan, kept");
  await page.getByLabel("Name of this job").first().press("Enter");
  await enter(page, "WH BK 8.4");
  await expect(saved(page)).toBeVisible();
  await kept(page);
  server.kill();

  await page.reload();
  await expect(page.getByRole("button", { name: "WH to BK, reads 8.4" })).toBeVisible();
  await enter(page, "BK RD 17.5");
  const stages = page.getByRole("navigation", { name: "Stages" });
  for (const stage of ["Trace", "Plate", "Match", "Cap", "Land", "Record", "Probe"]) {
    await stages.getByRole("link", { name: new RegExp(stage) }).click();
    await expect(page).toHaveURL(new RegExp(`/${stage.toLowerCase()}$`));
    await expect(page.getByRole("heading", { level: 1 })).toContainText("Harbour office fan, kept");
  }
  await expect(page.getByRole("button", { name: "BK to RD, reads 17.5" })).toBeVisible();

  await page.goto("/");
  await expect(page.getByText("These are the jobs that this device keeps.")).toBeVisible();
  await expect(page.getByRole("link", { name: /^Harbour office fan, kept/ }).first()).toBeVisible();
  await page.getByRole("button", { name: "Start with a motor" }).click();
  await page.getByLabel("Lead colors, in a row").fill("WH BK RD");
  await page.keyboard.press("Enter");
  await enter(page, "WH BK 11.2");
  const begun = page.url();

  await page.goto("/practice");
  await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
  await page.goto("/truck");
  await expect(page.getByText("It is there again when the server is.")).toBeVisible();

  // Workers too are the kept ones, and work.
  expect(errors).toEqual([]);
  await server.start();
  await page.goto(begun);
  await expect(saved(page)).toBeVisible({ timeout: 20_000 });
  const facts = await page.request.get(`/api/v1/jobs/${begun.split("/")[4]}/facts`);
  expect(await facts.text()).toContain("11.2");
});

test("stock is there as it was seen last", async () => {
  const page = await context.newPage();
  await page.goto("/");
  await kept(page);
  await page.goto("/stock");
  const first = page.getByRole("main").getByText(/µF/).first();
  await expect(first).toBeVisible();
  const words = ((await first.textContent()) ?? "").trim();
  server.kill();
  await page.reload();
  await expect(page.getByRole("main").getByText(words).first()).toBeVisible();
});

test("it can be installed, and everything for it is of its own", async () => {
  const page = await context.newPage();
  await page.goto("/");
  const manifest = await page.request.get(
    (await page.locator('link[rel="manifest"]').getAttribute("href")) ?? "",
  );
  const {
    name,
    icons,
    start_url: start,
  } = (await manifest.json()) as {
    name: string;
    start_url: string;
    icons: { src: string; sizes: string }[];
  };
  expect([name, start]).toEqual(["Odd Lead", "/"]);
  for (const { src } of icons) {
    const icon = await page.request.get(src);
    expect([icon.status(), icon.headers()["content-type"]]).toEqual([200, "image/png"]);
  }
});

test("a new build never mixes with the old: the page that is open goes on, the next opening is new", async ({
  browser,
}) => {
  test.setTimeout(180_000);
  const served = await BuildsInTurn.before(server.address);
  const [before, after] = served.builds;
  const device = await browser.newContext({ baseURL: served.address, serviceWorkers: "allow" });
  const keptBuilds = (page: Page) =>
    page.evaluate(async () =>
      (await caches.keys()).filter((name) => name.startsWith("odd-lead-kept-")).map((name) => name.slice(14)),
    );
  try {
    const old = await device.newPage();
    await startMotor(old, "WH BK RD");
    await enter(old, "WH BK 8.4");
    await expect(saved(old)).toBeVisible();
    await kept(old);
    expect(await keptBuilds(old)).toEqual([before]);
    // The same page once more: now the worker of its build stands behind it.
    await old.reload();
    await expect(old.getByRole("button", { name: "WH to BK, reads 8.4" })).toBeVisible();

    served.renew();
    const young = await device.newPage();
    await young.goto("/");
    // Shown as it came last where the server is slow, the first page goes on to the new build by itself, and cannot be
    // asked while it does.
    await expect
      .poll(async () => (await keptBuilds(young).catch(() => [])).sort(), { timeout: 60_000 })
      .toEqual([before, after].sort());
    // Stages that the open page has not brought yet come of its own build, and what is entered arrives.
    await old.getByRole("navigation", { name: "Stages" }).getByRole("link", { name: /Cap/ }).click();
    await expect(old).toHaveURL(/\/cap$/);
    await expect(old.getByRole("heading", { level: 1 })).toBeVisible();
    await old.getByRole("navigation", { name: "Stages" }).getByRole("link", { name: /Probe/ }).click();
    await enter(old, "BK RD 17.5");
    await expect(saved(old)).toBeVisible();
    const address = old.url();
    await old.close();
    await young.close();

    const next = await device.newPage();
    await next.goto(address);
    await expect(next.getByRole("button", { name: "BK to RD, reads 17.5" })).toBeVisible();
    await expect.poll(() => keptBuilds(next), { timeout: 60_000 }).toEqual([after]);
    // Without a server it is the new one that opens.
    served.close();
    await next.reload();
    await expect(next.getByRole("button", { name: "BK to RD, reads 17.5" })).toBeVisible();
    const scripts = await next.evaluate(() => [...document.scripts].map(({ src }) => src).join(" "));
    expect(scripts).toContain("static/chunkz/");
    expect(scripts).not.toContain("static/chunks/");
  } finally {
    await device.close();
    served.close();
  }
});
