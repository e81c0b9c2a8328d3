import { expect, type Page, test } from "@playwright/test";
import { startMotor } from "./bench";

async function trace(page: Page, equipment: string): Promise<void> {
  await startMotor(page, "BK YE BN");
  await page.getByRole("navigation", { name: "Stages" }).getByRole("link", { name: /Trace/ }).click();
  await choice(page).selectOption({ label: equipment });
}

const choice = (page: Page) => page.getByRole("combobox", { name: "Equipment", exact: true });
const editor = (page: Page) => page.getByRole("region", { name: "Edit the equipment" });

test("equipment is built from the library, kept for other jobs, and taken out again", async ({ page }) => {
  const name = `Sump, cellar ${Date.now()}`;
  await trace(page, "Pump on a float switch");
  await page.getByRole("button", { name: "Edit this equipment" }).click();
  await editor(page).getByLabel("Name", { exact: true }).fill(name);
  await page.keyboard.press("Enter");
  await editor(page).getByLabel("Add a device").selectOption({ label: "a float or limit that stops it" });
  await editor(page).getByRole("button", { name: "Add", exact: true }).first().click();
  await editor(page)
    .getByRole("button", { name: /^float or limit that stops it/ })
    .click();
  await expect(editor(page).getByLabel("Opened too when …")).toHaveValue("the cut-out is open");
  await page.getByRole("button", { name: "Keep it for other jobs" }).click();
  await expect(page.getByText("Kept for other jobs.")).toBeVisible();
  await expect(page.getByRole("button", { name: "Keep it for other jobs" })).toHaveCount(0);

  await trace(page, name);
  await page.getByRole("button", { name: "Edit this equipment" }).click();
  await editor(page).getByLabel("Supply, volts").fill("120");
  await page.keyboard.press("Enter");
  await page.getByRole("button", { name: "Keep the change for other jobs" }).click();
  await expect(page.getByText("Kept for other jobs.")).toBeVisible();
  await page.reload({ waitUntil: "networkidle" });
  await expect(page.getByText("120 V, 60 Hz", { exact: true })).toBeVisible();
  await page.getByRole("button", { name: "Take it out of the shop’s own" }).click();
  await expect(page.getByText("This job keeps its copy.")).toBeVisible();
  await page.reload({ waitUntil: "networkidle" });
  await expect(choice(page)).toHaveValue(/^own-/);

  await trace(page, "Condenser, dual capacitor");
  await expect(choice(page).locator("option", { hasText: name })).toHaveCount(0);
});

test("calls are added and named, contacts are told which calls close them", async ({ page }) => {
  await trace(page, "Plain switch and cord, on the bench");
  await page.getByRole("button", { name: "Edit this equipment" }).click();
  await editor(page)
    .getByRole("button", { name: /^Calls and where they are hot/ })
    .click();
  await editor(page).getByLabel("Add a call, by name").fill("Low");
  await page.keyboard.press("Enter");
  await expect(editor(page).getByLabel("Low is hot at")).toBeVisible();
  const meeting = editor(page).getByRole("group", { name: "Calls that can stand at once" });
  await editor(page).getByLabel("Add a call, by name").fill("High");
  await page.keyboard.press("Enter");
  await expect(meeting.getByRole("checkbox", { name: "Low with High" })).toBeVisible();
  await meeting.getByRole("button", { name: "No two can" }).click();
  await expect(meeting).toContainText("No two of them can");
  await meeting.getByRole("checkbox", { name: "Low with High" }).check();
  await page.reload({ waitUntil: "networkidle" });
  await page.getByRole("button", { name: "Edit this equipment" }).click();
  await editor(page)
    .getByRole("button", { name: /^Calls and where they are hot/ })
    .click();
  await expect(meeting.getByRole("checkbox", { name: "Low with High" })).toBeChecked();
  await editor(page).getByRole("button", { name: "Take this call away" }).last().click();
  await expect(meeting).not.toContainText("High");
  await editor(page)
    .getByRole("button", { name: /^switch/ })
    .click();
  const pole = editor(page).getByRole("group", { name: "Contact L to load side" });
  await pole.getByRole("checkbox", { name: "Low" }).check();
  await page.reload({ waitUntil: "networkidle" });
  await page.getByRole("button", { name: "Edit this equipment" }).click();
  await editor(page)
    .getByRole("button", { name: /^switch/ })
    .click();
  await expect(pole.getByRole("checkbox", { name: "Low" })).toBeChecked();
  await editor(page)
    .getByRole("button", { name: /^Calls and where they are hot/ })
    .click();
  await editor(page).getByRole("button", { name: "Take this call away" }).last().click();
  await expect(editor(page).getByLabel("Low is hot at")).toHaveCount(0);
});

test("the server refuses equipment that does not hold together, and what is no address", async ({
  request,
}) => {
  const id = crypto.randomUUID();
  const wrong = await request.put(`/api/v1/equipment/${id}`, { data: { id: "x", title: "No parts" } });
  expect(wrong.status()).toBe(422);
  expect((await wrong.json()).faults.length).toBeGreaterThan(0);
  expect((await request.put("/api/v1/equipment/nobody", { data: {} })).status()).toBe(404);
  expect((await request.delete(`/api/v1/equipment/${id}`)).status()).toBe(404);
});
