import { expect, type Page, test } from "@playwright/test";

/** Words that a page of elsewhere does not say. */
const NORTH_AMERICAN =
  /\b(ground(ed|ing|s|-fault)?|colors?|colored|catalog|center|gray|aluminum|license|wye|hot (leg|at))\b/i;

/** And of North America the other way round: colors that sentences of the core name are spelled as there. */
const OF_ELSEWHERE = /\b(grey|colours?|earth(ed)?|catalogue|centre|aluminium|licence)\b/i;

const STAGES = ["safe", "trace", "plate", "match", "probe", "cap", "land", "prove", "record"];

/** What a page shows and what a reader hears of it, its folds opened. */
async function saidOn(page: Page): Promise<string[]> {
  const shut = page.locator('main button[aria-expanded="false"]');
  for (let opened = 0; opened < 3; opened++)
    await shut.evaluateAll((all) => {
      for (const one of all as HTMLElement[]) one.click();
    });
  // By locator: what is hidden is not said, and a text's own lines are.
  const [seen = ""] = await page.locator("body").allInnerTexts();
  const more = await page.evaluate(() => {
    const heard = [...document.querySelectorAll("[aria-label], [placeholder]")].flatMap((one) => [
      one.getAttribute("aria-label") ?? "",
      one.getAttribute("placeholder") ?? "",
    ]);
    const drawn = [...document.querySelectorAll("option, svg text")].map((one) => one.textContent ?? "");
    return [...heard, ...drawn];
  });
  return [...seen.split("\n"), ...more];
}

const northAmerican = (lines: string[]) => lines.filter((line) => NORTH_AMERICAN.test(line));

test("whose words the pages use is chosen once, and stays", async ({ page, context }) => {
  await page.goto("/words#frame-lead");
  const frame = page.locator("#frame-lead");
  await expect(frame).toContainText("bonds the shell to ground");
  await page.getByRole("button", { name: /International/ }).click();
  await expect(frame).toContainText("bonds the shell to earth");
  await expect(page.locator("html")).toHaveAttribute("lang", "en-GB");
  await page.reload();
  await expect(frame).toContainText("bonds the shell to earth");
  await expect(page.getByRole("button", { name: /International/ })).toHaveAttribute("aria-pressed", "true");

  const other = await context.newPage();
  await other.goto("/");
  await expect(other.getByText("Type the colours and the ohms.")).toBeVisible();
  await page.getByRole("button", { name: /North American/ }).click();
  await expect(frame).toContainText("bonds the shell to ground");
  await expect(other.getByText("Type the colors and the ohms.")).toBeVisible();
});

test("a browser in the English of elsewhere has its words from the start", async ({ browser, baseURL }) => {
  const context = await browser.newContext({ locale: "en-GB", ...(baseURL ? { baseURL } : {}) });
  const page = await context.newPage();
  await page.goto("/");
  await expect(page.getByText("Type the colours and the ohms.")).toBeVisible();
  await context.close();
});

test("every stage, drawing and label says them", async ({ page, context, baseURL }) => {
  await context.addCookies([{ name: "odd-lead-words", value: "international", url: baseURL ?? "" }]);
  for (const path of ["/", "/stock", "/truck", "/practice", "/practice/fault"]) {
    await page.goto(path);
    await page.getByRole("heading", { level: 1 }).first().waitFor();
    expect(northAmerican(await saidOn(page)), path).toEqual([]);
  }
  await page.goto("/");
  const link = page.getByRole("link", { name: /Ice house condenser/i }).first();
  const job = (await link.getAttribute("href"))?.replace(/\/\w+$/, "");
  for (const stage of STAGES) {
    await page.goto(`${job}/${stage}`);
    await page.getByRole("region", { name: /Loom/ }).waitFor();
    await expect(page.getByText(/Looking through|Going through|is being planned/)).toHaveCount(0);
    expect(northAmerican(await saidOn(page)), stage).toEqual([]);
  }
  await page.goto(`${job}/land`);
  await expect(page.getByRole("img", { name: /Wiring drawing.*earth stud/ })).toBeVisible();
});

test("nor do the pages of North America say what is said elsewhere, of a motor with gray leads", async ({
  page,
}) => {
  for (const path of ["/", "/stock", "/truck", "/practice", "/practice/fault"]) {
    await page.goto(path);
    await page.getByRole("heading", { level: 1 }).first().waitFor();
    expect(
      (await saidOn(page)).filter((line) => OF_ELSEWHERE.test(line)),
      path,
    ).toEqual([]);
  }
  await page.goto("/");
  const link = page.getByRole("link", { name: /Harbour office fan coil/i }).first();
  const job = (await link.getAttribute("href"))?.replace(/\/\w+$/, "");
  for (const stage of STAGES) {
    await page.goto(`${job}/${stage}`);
    await page.getByRole("region", { name: /Loom/ }).waitFor();
    await expect(page.getByText(/Looking through|Going through|is being planned/)).toHaveCount(0);
    expect(
      (await saidOn(page)).filter((line) => OF_ELSEWHERE.test(line)),
      stage,
    ).toEqual([]);
  }
});
