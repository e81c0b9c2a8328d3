import { expect, type Page, test } from "@playwright/test";
import { type PracticeTask, type PracticeWish, practiceTask } from "../../src/core/practice";

const ROLE_KEY = ({ role, rank, group }: { role: string; rank?: number; group?: number }) =>
  `${role}/${rank ?? ""}/${group ?? ""}`;

/** Puts a motor of a kind on the bench, and tells what it truly is: drawn anew from the seed that the page keeps. */
async function onTheBench(page: Page, person: string, kind: string, fault: string): Promise<PracticeTask> {
  await page.goto("/practice");
  await page.getByLabel("Your name, to keep results by").fill(person);
  await page.getByLabel("Kind of motor").selectOption(kind);
  await page.getByLabel("What is wrong with it").selectOption(fault);
  await page.getByRole("button", { name: "Put it on the bench" }).click();
  await expect(page.getByRole("region", { name: "Leads" })).toBeVisible();
  const kept = await page.evaluate(() => localStorage.getItem("odd-lead:practice"));
  const { seed, wish } = JSON.parse(kept ?? "{}") as { seed: number; wish: PracticeWish };
  return practiceTask(seed, wish);
}

/** Touches two places by their keys and notes what the display comes to rest on. */
async function note(page: Page, first: string, second: string): Promise<void> {
  await page.keyboard.press(first);
  await page.keyboard.press(second);
  await expect(page.getByText("steady", { exact: true })).toBeVisible();
  await page.keyboard.press("Enter");
  await page.keyboard.press(first);
  await page.keyboard.press(second);
}

async function nameAll(page: Page, task: PracticeTask, swap: boolean): Promise<void> {
  await page.getByLabel("Kind of motor").selectOption(task.sound.family);
  const selects = page.getByRole("region", { name: "Naming" }).getByLabel(/^Part of /);
  const keys = task.sound.leads.map(({ id }) => {
    const role = task.sound.roles.get(id);
    return role ? ROLE_KEY(role) : "";
  });
  if (swap) keys.unshift(keys.pop() ?? "");
  for (const [i, key] of keys.entries()) await selects.nth(i).selectOption(key);
}

test("a motor is read with two probes, named, graded, and counts in the person's progress", async ({
  page,
}) => {
  const person = `Ilo Brandt ${Date.now()}`;
  const task = await onTheBench(page, person, "two-winding-reversible", "none");
  await note(page, "a", "s");
  await note(page, "a", "b");
  await note(page, "b", "c");
  await note(page, "a", "c");
  await expect(page.getByRole("region", { name: "Notes" }).getByRole("listitem")).toHaveCount(4);
  await page.getByRole("button", { name: "Hand it in" }).click();
  await expect(page.getByText("Say first what kind of motor it is.")).toBeVisible();
  await nameAll(page, task, false);
  await page.reload();
  await expect(page.getByRole("region", { name: "Notes" }).getByRole("listitem")).toHaveCount(4);
  await page.getByRole("button", { name: "Hand it in" }).click();
  const result = page.getByRole("region", { name: "Result" });
  await expect(result.getByRole("status")).toContainText("Right");
  await expect(result).toContainText("3 of 3 leads named as they are. 3 readings taken, 3 needed.");
  const progress = page.getByRole("region", { name: "Progress" });
  await expect(progress).toContainText(`Progress of ${person}`);
  await expect(progress.getByRole("row").nth(1)).toContainText("3 of 3");
  await page.getByRole("button", { name: "Another like it" }).click();
  await page.getByLabel("What is wrong with it").selectOption("shorted-turns");
  await page.getByRole("button", { name: "Hand it in" }).click();
  await expect(result.getByRole("status")).toContainText("Not yet right");
  await expect(progress.locator("svg.recharts-surface").first()).toBeVisible();
  await expect(progress.getByRole("figure")).toContainText("50 % right over the last 2 motors");
});

test("a wrong naming is told where it went astray; the next motor is another", async ({ page }) => {
  const task = await onTheBench(page, "Dov Hask", "two-winding", "none");
  const keys = task.sound.leads.map((_, i) => "abcdefghijkl"[i] ?? "");
  for (const [i, first] of keys.entries())
    for (const second of keys.slice(i + 1)) await note(page, first, second);
  await nameAll(page, task, true);
  await page.getByRole("button", { name: "Hand it in" }).click();
  const result = page.getByRole("region", { name: "Result" });
  await expect(result.getByRole("status")).toContainText("Not yet right");
  await expect(result.getByRole("heading", { name: "To learn from" })).toBeVisible();
  await expect(result).toContainText("No lead was tested to the shell");
  const before = await page.evaluate(() => localStorage.getItem("odd-lead:practice"));
  expect(before).toBeNull();
  await result.getByRole("button", { name: "Another like it" }).click();
  await expect(page.getByText("Nothing noted yet.")).toBeVisible();
});

test("a winding to the shell is found with one probe on bare metal", async ({ page }) => {
  await onTheBench(page, "Ilo Brandt", "two-winding-reversible", "grounded-winding");
  await page.keyboard.press("a");
  await page.keyboard.press("s");
  await expect(page.getByText("steady", { exact: true })).toBeVisible();
  await expect(page.getByRole("status", { name: "Display" })).not.toContainText("OL");
  await page.keyboard.press("Enter");
  await page.getByLabel("What is wrong with it").selectOption("grounded-winding");
  await page.getByRole("button", { name: "Hand it in" }).click();
  await expect(page.getByRole("region", { name: "Result" }).getByRole("status")).toContainText("Right");
});

test("no name, no bench; a note can be struck; a motor can be left", async ({ page }) => {
  await page.goto("/practice");
  await page.getByRole("button", { name: "Put it on the bench" }).click();
  await expect(page.getByText("A name is needed to keep the result by.")).toBeVisible();
  await onTheBench(page, "Dov Hask", "surprise", "surprise");
  await note(page, "a", "b");
  await page.getByRole("button", { name: /^Strike the note/ }).click();
  await expect(page.getByText("Nothing noted yet.")).toBeVisible();
  await page.getByRole("button", { name: "Leave this motor" }).click();
  await expect(page.getByRole("button", { name: "Put it on the bench" })).toBeVisible();
});

test("what does not hold together is not graded and not kept", async ({ request }) => {
  const good = {
    id: "019a0000-0000-7000-8000-00000000aaaa",
    person: "Somebody Else",
    seed: 5,
    wish: { family: "surprise", difficulty: "easy", fault: "none" },
    readings: [],
    frame: [],
    naming: { family: "two-winding", roles: {}, fault: "none" },
  };
  for (const bad of [
    { ...good, seed: -1 },
    { ...good, person: "" },
    { ...good, readings: [{ between: ["a", "b"], ohms: -3 }] },
    { ...good, wish: { ...good.wish, difficulty: "heroic" } },
    { ...good, readings: Array(5000).fill({ between: ["a", "b"], open: true }) },
  ]) {
    const response = await request.post("/api/v1/practice", { data: bad });
    expect(response.status()).toBe(422);
    expect((await response.json()).faults.length).toBeGreaterThan(0);
  }
  const kept = await (await request.get("/api/v1/practice?person=Somebody%20Else")).json();
  expect(kept.results).toEqual([]);
  expect((await request.get("/api/v1/practice?person=")).status()).toBe(422);
});
