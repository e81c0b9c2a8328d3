import { type BrowserContext, expect, type Page, test } from "@playwright/test";
import { enter, startMotor } from "./bench";
import { HeldPages } from "./heldPages";
import { ServerOfOwn } from "./serverOfOwn";

/** A page that was here before is shown as it came last where its line is poor; what is newer follows. */

test.use({ serviceWorkers: "allow" });

const server = new ServerOfOwn();
let line: HeldPages;
let context: BrowserContext;

test.beforeEach(async ({ browser }) => {
  await server.start();
  line = await HeldPages.before(server.address);
  context = await browser.newContext({ baseURL: line.address, serviceWorkers: "allow" });
});
test.afterEach(async () => {
  await context.close();
  line.close();
  server.kill();
});

const START = { name: "Start with a motor" } as const;

/** Waits until the device keeps the page of this address. */
async function kept(page: Page, path: string): Promise<void> {
  await expect
    .poll(
      () =>
        page.evaluate(async (wanted) => {
          const { active } = await navigator.serviceWorker.ready;
          const of = (await caches.keys()).find((name) => name.startsWith("odd-lead-pages-"));
          const pages = of ? await (await caches.open(of)).keys() : [];
          return active?.state === "activated" && pages.some(({ url }) => new URL(url).pathname === wanted);
        }, path),
      { timeout: 60_000 },
    )
    .toBe(true);
}

test("the first page is there before the server answers, and a job of meanwhile comes with its answer", async ({
  browser,
}) => {
  const first = await context.newPage();
  await first.goto("/");
  await kept(first, "/");
  await first.close();
  const name = `Quay lift fan ${Date.now()}`;
  const elsewhere = await browser.newPage({ baseURL: server.address });
  await startMotor(elsewhere, "WH BK RD");
  await elsewhere.getByLabel("Name of this job").first().fill(name);
  await elsewhere.getByLabel("Name of this job").first().press("Enter");
  await enter(elsewhere, "WH BK 8.4");
  await expect(elsewhere.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
  await elsewhere.close();

  line.hold();
  const again = await context.newPage();
  await again.goto("/");
  await expect(again.getByRole("button", START)).toBeVisible();
  await expect.poll(() => line.waiting).toBe(1);
  await expect(again.getByRole("link", { name: new RegExp(`^${name}`) })).toHaveCount(0);
  line.release();
  await expect(again.getByRole("link", { name: new RegExp(`^${name}`) }).first()).toBeVisible();
});

test("where the server turns out to be away the jobs of this device stand there, and are said to be that", async () => {
  const first = await context.newPage();
  await first.goto("/");
  await kept(first, "/");
  line.hold();
  const again = await context.newPage();
  await again.goto("/");
  await expect(again.getByRole("button", START)).toBeVisible();
  await expect.poll(() => line.waiting).toBe(1);
  line.breakOff();
  await expect(again.getByText("These are the jobs that this device keeps.")).toBeVisible();
});

test("an open job is worked on before the server answers, with the readings of meanwhile, and nothing is lost", async () => {
  const page = await context.newPage();
  await startMotor(page, "WH BK RD");
  await enter(page, "WH BK 8.4");
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
  const address = page.url();
  // Opened once by its address, as from its label.
  await page.evaluate(() => navigator.serviceWorker.ready);
  await page.goto(address);
  await kept(page, new URL(address).pathname);
  await enter(page, "BK RD 17.5");
  await expect(page.getByRole("button", { name: "BK to RD, reads 17.5" })).toBeVisible();
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
  await page.close();

  line.hold();
  const again = await context.newPage();
  await again.goto(address);
  await expect(again.getByRole("button", { name: "BK to RD, reads 17.5" })).toBeVisible();
  await enter(again, "WH RD 9.1");
  await expect(again.getByRole("button", { name: "WH to RD, reads 9.1" })).toBeVisible();
  await expect.poll(() => line.waiting).toBe(1);
  line.release();
  await expect(again.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
  const facts = await again.request.get(`/api/v1/jobs/${address.split("/")[4]}/facts`);
  expect(await facts.text()).toContain("9.1");
});

test("a page that is loaded again comes from the server", async () => {
  const page = await context.newPage();
  await page.goto("/");
  await kept(page, "/");
  await page.goto("/");
  line.hold();
  const loaded = page.reload();
  await expect.poll(() => line.waiting).toBe(1);
  let isBack = false;
  void loaded.then(() => {
    isBack = true;
  });
  await page.waitForTimeout(1000);
  expect(isBack).toBe(false);
  line.release();
  await loaded;
  await expect(page.getByRole("button", START)).toBeVisible();
});

test("where the server goes on from a backup, pages that tell of before are kept no longer", async () => {
  const page = await context.newPage();
  await page.goto("/");
  await kept(page, "/");
  await page.evaluate((known) => {
    const history = JSON.parse(localStorage.getItem(known) ?? "{}") as object;
    localStorage.setItem(known, JSON.stringify({ ...history, latest: crypto.randomUUID() }));
  }, "odd-lead:history");
  await page.reload();
  await expect
    .poll(() =>
      page.evaluate(async () => (await caches.keys()).some((name) => name.startsWith("odd-lead-pages-"))),
    )
    .toBe(false);
});
