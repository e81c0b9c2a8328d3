import { expect, test } from "@playwright/test";

/** What is entered while the page's scripts are still on their way over a slow line. */

test("leads and a reading entered before the scripts have come are there when they have", async ({
  page,
}) => {
  let release: () => void = () => undefined;
  const come = new Promise<void>((resolve) => {
    release = resolve;
  });
  await page.route("**/_next/static/**/*.js", async (route) => {
    await come;
    await route.continue();
  });
  await page.goto("/", { waitUntil: "commit" });
  // Without scripts the button is a plain form.
  await page.getByRole("button", { name: "Start with a motor" }).click();
  await expect(page).toHaveURL(/\/jobs\/[0-9a-f-]{36}\/probe$/);
  const address = page.url();
  const row = page.getByLabel("Lead colours, in a row");
  await row.fill("WH BK");
  await row.press("Enter");
  await expect(row).toHaveValue("");
  await row.fill("RD");
  await row.press("Enter");
  await row.fill("BU");
  expect(page.url()).toBe(address);
  release();
  for (const lead of ["WH", "BK", "RD"])
    await expect(page.getByRole("button", { name: `Take ${lead} off the sheet` })).toBeVisible();
  await expect(row).toHaveValue("BU");
  await row.press("Enter");
  await expect(page.getByRole("button", { name: "Take BU off the sheet" })).toBeVisible();

  const slow = new Promise<void>((resolve) => {
    release = resolve;
  });
  await page.unroute("**/_next/static/**/*.js");
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
  await page.route("**/_next/static/**/*.js", async (route) => {
    await slow;
    await route.continue();
  });
  await page.reload({ waitUntil: "commit" });
  const field = page.getByLabel("Reading in ohms, or OL for open");
  await field.fill("WH BK 8.4");
  await field.press("Enter");
  await expect(field).toHaveValue("");
  release();
  await expect(page.getByRole("button", { name: "WH to BK, reads 8.4" })).toBeVisible();
});
