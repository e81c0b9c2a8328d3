import { expect, type Page } from "@playwright/test";
import type { OhmsShown } from "../../src/core";

/** What a technician's hands do at the probe: read which leads are lit, touch them, type what the meter shows. */

/** Starts a motor from the first page and enters its leads in one line. */
export async function startMotor(page: Page, leads: string): Promise<void> {
  await page.goto("/");
  await page.getByRole("button", { name: "Start with a motor" }).click();
  await page.getByLabel("Lead colors, in a row").fill(leads);
  await page.keyboard.press("Enter");
  await expect(page.getByLabel("Reading in ohms, or OL for open")).toBeVisible();
  // The first answer moves what stands below it.
  await answered(page);
}

/** Types one line at the probe and sends it. */
export async function enter(page: Page, line: string): Promise<void> {
  const field = page.getByLabel("Reading in ohms, or OL for open");
  await field.fill(line);
  await field.press("Enter");
  await expect(field).toHaveValue("");
  await answered(page);
}

/** Waits until what was entered is weighed and the page says what to touch next. */
export async function answered(page: Page): Promise<void> {
  await expect(page.getByRole("region", { name: "Reading", exact: true })).toHaveAttribute(
    "aria-busy",
    "false",
  );
}

/** Accepts every pair the page asks for and types what the meter shows, until it asks no more. Gives the count. */
export async function followProbes(page: Page, meter: (a: string, b: string) => OhmsShown): Promise<number> {
  for (let readings = 0; readings < 60; readings++) {
    await answered(page);
    const section = page.getByRole("region", { name: "Reading", exact: true });
    const asked = (await section.locator("[aria-live]").allInnerTexts()).join(" ");
    if (!asked.startsWith("Touch")) return readings;
    const names = [...asked.matchAll(/\b([A-Z]{2}(?:\/[A-Z]{2})?)\b/g)].map((m) => m[1] ?? "");
    const shown = /shell/.test(asked) ? ({ open: true } as const) : meter(names[0] ?? "", names[1] ?? "");
    await enter(page, "open" in shown ? "OL" : shown.ohms.toFixed(1));
  }
  throw new Error("the page never stopped asking");
}

/** Types a whole plate in one line in Plate, and waits until its fields have it. */
export async function typePlate(page: Page, line: string): Promise<void> {
  await page.getByRole("navigation", { name: "Stages" }).getByRole("link", { name: /Plate/ }).click();
  const field = page.getByLabel(/The whole plate in one line/);
  await field.fill(line);
  await field.press("Enter");
  await expect(page.getByText(/^Taken: /)).toBeVisible();
}

/** Opens what is chosen of the plan in Land: equipment, dual or separate, speeds, turn. */
export async function openChoices(page: Page): Promise<void> {
  const fold = page.getByRole("button", { name: /^Landed on/ });
  if ((await fold.getAttribute("aria-expanded")) === "false") await fold.click();
}
