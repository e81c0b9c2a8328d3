import { expect, type Page, test } from "@playwright/test";
import { enter, startMotor } from "./bench";

const fold = async (page: Page, name: string) => {
  const region = page.getByRole("region", { name, exact: true });
  await region.getByRole("button", { name: new RegExp(`^${name}`) }).click();
  return region;
};

test("a hot motor read through its cable fails the plate's ohms until temperature and cable are told", async ({
  page,
}) => {
  await startMotor(page, "YE BK RD");
  for (const line of ["YE shell OL", "YE BK 5.8", "YE RD 12.4"]) await enter(page, line);
  const reference = await fold(page, "Against a reference");
  await reference.getByLabel("Ohms from the plate or a manual").fill("YE BK 4\nYE PK 9");
  await expect(reference.getByRole("alert")).toContainText("“PK” is no lead of this motor");
  await reference.getByLabel("Ohms from the plate or a manual").fill("YE BK 4.0\nYE RD 9.5");
  await reference.getByRole("button", { name: "Hold the readings against it" }).click();
  await expect(reference.getByRole("status")).toContainText("High against the reference");

  const conditions = await fold(page, "Temperature and cable");
  await conditions.getByLabel("Winding temperature").fill("warm");
  await conditions.getByLabel("Winding temperature").press("Enter");
  await expect(conditions.getByRole("alert")).toContainText("no temperature");
  await conditions.getByLabel("Winding temperature").fill("104 F");
  await conditions.getByLabel("Winding temperature").press("Enter");
  await conditions.getByLabel("Cable: conductor").fill("12 AWG");
  await conditions.getByLabel("Cable: conductor").press("Enter");
  await conditions.getByLabel("Cable: one length of it").fill("500 ft");
  await conditions.getByLabel("Cable: one length of it").press("Enter");
  await expect(conditions).toContainText("0.794 Ω each way");
  await expect(reference.getByRole("status")).toContainText("All within");
  await expect(reference).toContainText("from 25 °C to 40 °C");

  await page.reload();
  await expect(reference.getByRole("status")).toContainText("All within");
  await expect(page.getByRole("region", { name: "Temperature and cable" })).toContainText(
    "40 °C · cable 1.59 Ω",
  );
  await reference.getByRole("button", { name: "Take it away" }).click();
  await expect(reference.getByLabel("Ohms from the plate or a manual")).toBeVisible();
});

test("insulation tests are judged at 40 °C, drawn over the visits, and go on in the next sheet of the same motor", async ({
  page,
}) => {
  await startMotor(page, "YE BK RD");
  const name = `Well pump ${Date.now()}`;
  await page.getByLabel("Name of this job").first().fill(name);
  await page.getByLabel("Name of this job").first().press("Enter");
  for (const line of ["YE BK 4.1", "YE RD 9.4"]) await enter(page, line);
  const insulation = await fold(page, "Insulation test");
  const enterTest = async (megohms: string, day: string, temperature: string) => {
    await insulation.getByRole("textbox", { name: "Megohms" }).fill(megohms);
    await insulation.getByLabel("Winding temperature").fill(temperature);
    await insulation.getByLabel("Day").fill(day);
    await insulation.getByRole("button", { name: "Enter test" }).click();
  };
  await enterTest("open", "2024-05-02", "");
  await expect(insulation.getByRole("alert")).toContainText("no insulation reading");
  await enterTest("200", "2024-05-02", "20 C");
  await expect(insulation.getByRole("status")).toContainText("50 MΩ at 40 °C, 5 MΩ or more");
  await enterTest("12", "2026-05-02", "20 C");
  await expect(insulation.getByRole("status")).toContainText("3.0 MΩ at 40 °C, between 1 and 5 MΩ");
  await enterTest("60", "2025-05-02", "20 C");
  await expect(insulation.getByRole("figure")).toContainText(
    "from 50 MΩ on 2024-05-02 to 3 MΩ on 2026-05-02",
  );
  await expect(insulation.locator(".recharts-line-curve")).toBeVisible();
  await insulation.getByRole("button", { name: "Take away the test of 2025-05-02, 60 megohms" }).click();
  await expect(insulation.getByRole("table").getByRole("row")).toHaveCount(3);
  await expect(page.getByText("saved", { exact: false }).first()).toBeVisible();

  await startMotor(page, "YE BK RD");
  const reference = await fold(page, "Against a reference");
  const choice = reference.getByLabel("This motor’s earlier sheet");
  await expect(choice.locator("option", { hasText: name })).toHaveCount(1);
  await choice.selectOption({
    label: (await choice.locator("option", { hasText: name }).textContent()) ?? "",
  });
  await reference.getByRole("button", { name: "Take it" }).click();
  await expect(reference.getByRole("table").getByRole("row")).toHaveCount(3);
  await enter(page, "YE BK 3.2");
  await expect(reference.getByRole("status")).toContainText("Low against the reference: shorted turns");
  await expect(
    page.getByRole("region", { name: "Insulation test" }).getByRole("button").first(),
  ).toContainText("Insulation test");
  const carried = await fold(page, "Insulation test");
  await expect(carried.getByRole("table").getByRole("row")).toHaveCount(3);
});
