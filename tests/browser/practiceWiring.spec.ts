import { expect, type Page, test } from "@playwright/test";
import {
  CONSEQUENCES,
  gradeWiring,
  type WiringTask,
  type WiringTaskWish,
  wiringTask,
} from "../../src/core/practice";

/** Lays a wiring out, and tells what it truly is: drawn anew from the seed that the page keeps. */
async function laidOut(
  page: Page,
  person: string,
  task: string,
  equipment: string,
): Promise<WiringTask & { seed: number }> {
  await page.goto("/practice/wiring");
  await page.getByLabel("Your name, to keep results by").fill(person);
  await page.getByLabel("What to do").selectOption(task);
  await page.getByRole("combobox", { name: "Equipment" }).selectOption(equipment);
  await page.getByRole("button", { name: "Lay it out" }).click();
  await expect(page.getByRole("region", { name: "The motor" })).toBeVisible();
  const kept = await page.evaluate(() => localStorage.getItem("odd-lead:practice-wiring"));
  const { seed, wish } = JSON.parse(kept ?? "{}") as { seed: number; wish: WiringTaskWish };
  return { ...wiringTask(seed, wish), seed };
}

test("a motor is wired by hand: left bare it is told why not, wired as it should be it is right", async ({
  page,
}) => {
  const person = `Dov Hask ${Date.now()}`;
  await laidOut(page, person, "wire-it", "condenser-dual");
  await page.getByRole("button", { name: "Turn the power on" }).click();
  const result = page.getByRole("region", { name: "Result" });
  await expect(result.getByRole("status")).toContainText("Not like this");
  await expect(result).toContainText("The frame is on no ground");
  await page.getByRole("button", { name: "Something else" }).click();

  const { good, leads } = await laidOut(page, person, "wire-it", "condenser-dual");
  const selects = page.getByRole("region", { name: "Landings" }).getByRole("combobox");
  await selects.nth(0).selectOption(good.landings.frame ?? "");
  for (const [i, { id }] of leads.entries()) await selects.nth(i + 1).selectOption(good.landings[id] ?? "");
  for (const { from, to } of good.jumpers) {
    await page.getByLabel("A jumper from").selectOption(from);
    await page.getByRole("combobox", { name: "to", exact: true }).selectOption(to);
    await page.getByRole("button", { name: "Add it" }).click();
  }
  await page.reload({ waitUntil: "networkidle" });
  await expect(selects.nth(0)).toHaveValue(good.landings.frame ?? "");
  await page.getByRole("button", { name: "Turn the power on" }).click();
  await expect(result.getByRole("status")).toContainText("Right");
  await expect(page.getByRole("region", { name: "Progress" })).toContainText("1 of 2 right.");
});

test("a wrong wire is looked for: it and what it does are asked, both", async ({ page }) => {
  const person = `Ilo Brandt ${Date.now()}`;
  const { good, wrong, seed, leads } = await laidOut(page, person, "find-it", "furnace-board");
  await page.getByRole("button", { name: "That is it" }).click();
  await expect(page.getByRole("alert").filter({ hasText: "Name the wire" })).toBeVisible();
  const order = ["frame", ...leads.map(({ id }) => id)];
  const moved = order.findIndex((lead) => good.landings[lead] !== wrong?.plan.landings[lead]);
  await page.getByRole("checkbox").nth(moved).check();
  const { found } = gradeWiring({
    id: "0198c3a0-0000-4000-8000-000000000001",
    person,
    seed,
    wish: { task: "find-it", equipment: "furnace-board" },
    landings: {},
    jumpers: [],
    wrongLeads: [],
    consequence: null,
  });
  const [consequence = "hums"] = found?.consequences ?? [];
  await page.getByLabel("What would it do?").selectOption({ label: CONSEQUENCES[consequence] });
  await page.getByRole("button", { name: "That is it" }).click();
  const result = page.getByRole("region", { name: "Result" });
  await expect(result.getByRole("status")).toContainText("Right");
  await expect(result.getByRole("status")).toContainText("You named the wire. And what it does.");
  await expect(page.getByRole("region", { name: "Progress" })).toContainText("a fault looked for");
});
