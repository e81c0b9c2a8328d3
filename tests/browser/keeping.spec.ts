import { expect, test } from "@playwright/test";
import { enter, startMotor } from "./bench";
import { ServerOfOwn } from "./serverOfOwn";

test("a reload, a second browser and a killed tab lose nothing", async ({ page, browser }) => {
  await startMotor(page, "WH BK RD");
  await enter(page, "WH BK 8.4");
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
  await page.reload();
  await expect(page.getByRole("button", { name: "WH to BK, reads 8.4" })).toBeVisible();

  const other = await browser.newContext();
  const elsewhere = await other.newPage();
  await elsewhere.goto(page.url());
  await expect(elsewhere.getByRole("button", { name: "WH to BK, reads 8.4" })).toBeVisible();
  await enter(page, "BK RD 17.5");
  await expect(elsewhere.getByRole("button", { name: /BK to RD, reads 17.5/ })).toBeVisible({
    timeout: 15_000,
  });

  await enter(page, "WH RD 25.8");
  const address = page.url();
  await page.close({ runBeforeUnload: false });
  const again = await page.context().newPage();
  await again.goto(address);
  await expect(again.getByRole("button", { name: /WH to RD, reads 25.8/ })).toBeVisible();
  await other.close();
});

test.describe("with the server away", () => {
  const server = new ServerOfOwn();

  test.beforeEach(() => server.start());
  test.afterEach(() => server.kill());

  test("the page says so, keeps what is typed, and sends it when the server is back", async ({ browser }) => {
    const context = await browser.newContext({ baseURL: server.address });
    const page = await context.newPage();
    await startMotor(page, "WH BK RD");
    await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
    server.kill();
    await enter(page, "WH BK 8.4");
    await enter(page, "BK RD 17.5");
    await expect(page.getByRole("alert").filter({ hasText: "does not answer" })).toBeVisible();
    await expect(page.getByRole("status").filter({ hasText: "2 kept here" })).toBeVisible();
    await expect(page.getByRole("button", { name: "WH to BK, reads 8.4" })).toBeVisible();
    await server.start();
    await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible({ timeout: 20_000 });
    const other = await (await browser.newContext()).newPage();
    await other.goto(page.url());
    await expect(other.getByRole("button", { name: /BK to RD, reads 17.5/ })).toBeVisible();
    await context.close();
  });

  test("a tab killed meanwhile sends what it kept when the job is opened again", async ({ browser }) => {
    const context = await browser.newContext({ baseURL: server.address });
    const page = await context.newPage();
    await startMotor(page, "WH BK RD");
    await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
    const address = page.url();
    server.kill();
    await enter(page, "WH RD 25.8");
    await page.close();
    await server.start();
    const again = await context.newPage();
    await again.goto(address);
    await expect(again.getByRole("button", { name: /WH to RD, reads 25.8/ })).toBeVisible();
    await expect(again.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
    const facts = await again.request.get(`/api/v1/jobs/${address.split("/")[4]}/facts`);
    expect(await facts.text()).toContain("25.8");
    await context.close();
  });

  test("a new job that never reached the server is sent from the first page, and listed", async ({
    browser,
  }) => {
    const context = await browser.newContext({ baseURL: server.address });
    const page = await context.newPage();
    await page.goto("/");
    await page.getByRole("button", { name: "Start with a motor" }).click();
    await expect(page.getByLabel("Lead colors, in a row")).toBeVisible();
    await page.waitForLoadState("load");
    server.kill();
    await page.getByLabel("Name of this job").first().fill("Boatyard air mover, kept");
    await page.getByLabel("Name of this job").first().press("Enter");
    await page.getByLabel("Lead colors, in a row").fill("TQ PK");
    await page.keyboard.press("Enter");
    await expect(page.getByRole("status").filter({ hasText: "3 kept here" })).toBeVisible();
    await page.close();
    await server.start();
    const home = await context.newPage();
    await home.goto("/");
    await expect(home.getByRole("link", { name: /Boatyard air mover, kept/ })).toBeVisible({
      timeout: 15_000,
    });
    await expect(home.getByText("Kept in this browser")).toBeHidden();
    await context.close();
  });
});
