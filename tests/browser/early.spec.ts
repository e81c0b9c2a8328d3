import { expect, type Page, test } from "@playwright/test";
import { enter, startMotor } from "./bench";

/** What is touched and typed while the page's scripts are still on their way over a slow line. */

const SCRIPT = /\/_next\/static\/.*\.js$/;

/** Holds the page's scripts, or those of some addresses, back until what it gives is called. */
async function scriptsHeld(
  page: Page,
  held = (address: string) => SCRIPT.test(address),
): Promise<() => Promise<void>> {
  let release: () => void = () => undefined;
  const come = new Promise<void>((resolve) => {
    release = resolve;
  });
  await page.route(
    (address) => held(address.href),
    async (route) => {
      await come;
      await route.continue();
    },
  );
  return async () => {
    release();
    await page.unrouteAll({ behavior: "wait" });
  };
}

test("leads and a reading entered before the scripts have come are there when they have", async ({
  page,
}) => {
  let release = await scriptsHeld(page);
  await page.goto("/", { waitUntil: "commit" });
  // Without scripts the button is a plain form.
  await page.getByRole("button", { name: "Start with a motor" }).click();
  await expect(page).toHaveURL(/\/jobs\/[0-9a-f-]{36}\/probe$/);
  const address = page.url();
  const row = page.getByLabel("Lead colors, in a row");
  await row.fill("WH BK");
  await row.press("Enter");
  await expect(row).toHaveValue("");
  await row.fill("RD");
  await row.press("Enter");
  await row.fill("BU");
  expect(page.url()).toBe(address);
  await release();
  for (const lead of ["WH", "BK", "RD"])
    await expect(page.getByRole("button", { name: `Take ${lead} off the sheet` })).toBeVisible();
  await expect(row).toHaveValue("BU");
  await row.press("Enter");
  await expect(page.getByRole("button", { name: "Take BU off the sheet" })).toBeVisible();

  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
  release = await scriptsHeld(page);
  await page.reload({ waitUntil: "commit" });
  const field = page.getByLabel("Reading in ohms, or OL for open");
  await field.fill("WH BK 8.4");
  await field.press("Enter");
  await expect(field).toHaveValue("");
  await release();
  await expect(page.getByRole("button", { name: "WH to BK, reads 8.4" })).toBeVisible();
});

test("a choice, a figure and ticks made before the scripts have come are facts when they have", async ({
  page,
}) => {
  await page.goto("/");
  await page.getByRole("button", { name: "Start with a motor" }).click();
  await expect(page).toHaveURL(/\/probe$/);
  const safe = page.url().replace(/probe$/, "safe");
  let release = await scriptsHeld(page);
  await page.goto(safe, { waitUntil: "commit" });
  await page.getByRole("button", { name: "A loose motor on the bench: nothing to lock off" }).click();
  await release();
  await expect(page.getByText("Loose on the bench, nothing connected")).toBeVisible();
  await page.getByRole("button", { name: "It is in its machine" }).click();
  await page.getByRole("combobox", { name: "Equipment", exact: true }).selectOption({ index: 1 });
  await expect(page.getByRole("list", { name: "Steps" }).getByRole("checkbox").first()).toBeVisible();
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();

  release = await scriptsHeld(page);
  await page.reload({ waitUntil: "commit" });
  const boxes = page.getByRole("list", { name: "Steps" }).getByRole("checkbox");
  await boxes.first().click();
  await page.getByLabel("Highest volts measured").fill("120");
  await page.getByLabel("Highest volts measured").press("Enter");
  await release();
  await expect(boxes.first()).toBeChecked();
  await expect(page.getByRole("alert").filter({ hasText: "is not dead" })).toBeVisible();
});

test("what is done to a part whose own script comes late, on a page that listens already, is done when it has come", async ({
  page,
}) => {
  await startMotor(page, "YE BK RD");
  for (const line of ["YE shell OL", "YE BK 5.8", "YE RD 12.4"]) await enter(page, line);
  const reference = page.getByRole("region", { name: "Against a reference", exact: true });
  await reference.getByRole("button", { name: /^Against a reference/ }).click();
  await reference.getByLabel("Ohms from the plate or a manual").fill("YE BK 4.0\nYE RD 9.5");
  const own = new Set<string>();
  page.on("request", (asked) => {
    if (SCRIPT.test(asked.url())) own.add(asked.url());
  });
  await reference.getByRole("button", { name: "Hold the readings against it" }).click();
  await expect(reference.getByRole("status")).toContainText("High against the reference");
  expect(own.size).toBeGreaterThan(0);
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();

  const late = new Set(own);
  /** The page opened anew, listening but for this part. */
  const opened = async () => {
    const release = await scriptsHeld(page, (address) => late.has(address));
    await page.reload({ waitUntil: "commit" });
    await page.getByRole("button", { name: "Paste a table" }).click();
    await expect(page.getByRole("textbox", { name: /table/i })).toBeVisible();
    return release;
  };
  let release = await opened();
  await reference.getByLabel("Tolerance, per cent").fill("50");
  await reference.getByLabel("Tolerance, per cent").press("Enter");
  await expect(reference.getByRole("status")).toContainText("High against the reference");
  await release();
  await expect(reference.getByRole("status")).toContainText("All within");
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();

  release = await opened();
  await reference.getByRole("button", { name: "Take it away" }).click();
  await expect(reference.getByRole("button", { name: "Take it away" })).toBeVisible();
  await release();
  await expect(reference.getByLabel("Ohms from the plate or a manual")).toBeVisible();
});
