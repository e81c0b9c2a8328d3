import { expect, test } from "@playwright/test";
import { axeFinds } from "./axe";

test("a fault is looked for with instruments that cost minutes, survives a reload, is graded and charted", async ({
  page,
}) => {
  await page.goto("/practice/fault", { waitUntil: "networkidle" });
  await page.getByRole("button", { name: "Bring it in" }).click();
  await expect(page.getByRole("alert").filter({ hasText: "A name is needed" })).toBeVisible();
  const person = `Dov Hask ${Date.now() % 100_000}`;
  for (let machine = 0; machine < 2; machine++) {
    if (machine === 0) {
      await page.getByLabel("Your name, to keep results by").fill(person);
      await page
        .getByRole("combobox", { name: "Equipment" })
        .selectOption({ label: "Condenser, dual capacitor" });
      await page.getByRole("button", { name: "Bring it in" }).click();
    } else await page.getByRole("button", { name: "Another machine" }).click();
    await expect(page.getByRole("region", { name: "Complaint" })).toContainText("Condenser, dual capacitor");
    const minutes = page.getByRole("status", { name: "Minutes so far" });
    await expect(minutes).toHaveText("0 min");
    await page.getByRole("button", { name: /Amps on/ }).click();
    const shown = page.getByRole("region", { name: "Shown so far" });
    await expect(shown).toContainText("—");
    await page.getByRole("button", { name: "Power is off: on" }).click();
    await page.getByRole("button", { name: /Bump: does it start/ }).click();
    await expect(shown.getByRole("listitem")).toHaveCount(2);
    await expect(minutes).toHaveText("4 min");
    if (machine === 0) {
      await page.getByRole("button", { name: /µF of/ }).click();
      const before = await shown.textContent();
      await page.reload({ waitUntil: "networkidle" });
      await expect(shown).toHaveText(before ?? "");
      expect(await axeFinds(page)).toEqual([]);
    }
    await page.getByRole("combobox", { name: "The cause" }).selectOption({ label: "capacitor weak" });
    await page.getByRole("button", { name: "That is it" }).click();
    const result = page.getByRole("region", { name: "Result" });
    await expect(result).toContainText("It was:");
    await expect(result).toContainText("minutes");
    if (machine === 0) await expect(result).toContainText("with the power on");
  }
  const progress = page.getByRole("region", { name: "Progress" });
  await expect(progress).toContainText("of 2 right, 1 with danger");
  await expect(progress.getByRole("figure")).toBeVisible();
});
