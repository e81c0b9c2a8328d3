import { expect, type Page, test } from "@playwright/test";
import { STAGES } from "@/ui/job/stages";

/** The files of letters that a page has asked for, by the part of their names that says which. */
async function lettersOf(page: Page): Promise<string[]> {
  const names = await page.evaluate(() =>
    performance
      .getEntriesByType("resource")
      .flatMap(({ name }) => /([^/]+)\.\w+\.woff2$/.exec(name)?.[1] ?? []),
  );
  return [...new Set(names)].sort();
}

test("pages are in letters of our own, which come with the style sheet, and fetch no more for English", async ({
  page,
}) => {
  await page.goto("/", { waitUntil: "networkidle" });
  expect(await page.evaluate(() => getComputedStyle(document.body).fontFamily)).toMatch(
    /^"Atkinson Hyperlegible Next Variable"/,
  );
  expect(await lettersOf(page), "the first page").toEqual([]);
  const href = (await page.getByRole("link", { name: /fan coil/ }).getAttribute("href")) ?? "";
  for (const { stage } of STAGES) {
    await page.goto(href.replace(/\w+$/, stage), { waitUntil: "networkidle" });
    expect(await lettersOf(page), stage).toEqual([]);
  }
  for (const path of ["/stock", "/truck", "/practice", "/words", "/files"]) {
    await page.goto(path, { waitUntil: "networkidle" });
    expect(await lettersOf(page), path).toEqual([]);
  }
});

test("letters of our own are read before the first drawing, used or not, though no file of letters ever comes", async ({
  page,
}) => {
  await page.route("**/*.woff2", () => undefined);
  // What is drawn first asks for text alone; codes and readings come with what follows, and would move it.
  for (const path of ["/", "/words", "/stock"]) {
    await page.goto(path, { waitUntil: "domcontentloaded" });
    const first = await page.evaluate(async () => {
      await document.fonts.ready;
      return [...document.fonts]
        .filter(({ unicodeRange }) => unicodeRange.includes("U+20-7E"))
        .map(({ status }) => status);
    });
    expect(first, path).toEqual(["loaded", "loaded"]);
  }
});

test("a name with letters of other languages has them from the same face", async ({ page }) => {
  await page.goto("/", { waitUntil: "networkidle" });
  await page.getByLabel("Find a job").fill("Café Żółw");
  await expect
    .poll(() => lettersOf(page))
    .toEqual([
      "atkinson-hyperlegible-next-latin-ext-wght-normal",
      "atkinson-hyperlegible-next-latin-wght-normal",
    ]);
  const drawn = await page.evaluate(() =>
    [..."eéż"].map((letter) => document.fonts.check('16px "Atkinson Hyperlegible Next Variable"', letter)),
  );
  expect(drawn).toEqual([true, true, true]);
});
