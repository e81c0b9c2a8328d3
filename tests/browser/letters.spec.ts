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

test("pages are in letters of our own, and wait for those of English text alone", async ({ page }) => {
  await page.goto("/", { waitUntil: "networkidle" });
  expect(await page.evaluate(() => getComputedStyle(document.body).fontFamily)).toMatch(
    /^"Atkinson Hyperlegible Next Variable"/,
  );
  expect(await lettersOf(page), "the first page").toEqual(["text"]);
  const href = (await page.getByRole("link", { name: /fan coil/ }).getAttribute("href")) ?? "";
  for (const { stage } of STAGES) {
    await page.goto(href.replace(/\w+$/, stage), { waitUntil: "networkidle" });
    expect(await lettersOf(page), stage).toEqual(["mono", "text"]);
  }
  for (const path of ["/stock", "/truck", "/practice", "/words", "/files"]) {
    await page.goto(path, { waitUntil: "networkidle" });
    expect(
      (await lettersOf(page)).filter((name) => name !== "mono"),
      path,
    ).toEqual(["text"]);
  }
});

test("a name with letters of other languages has them from the same face", async ({ page }) => {
  await page.goto("/", { waitUntil: "networkidle" });
  const search = page
    .getByRole("searchbox")
    .or(page.getByLabel(/^Search/))
    .first();
  await search.fill("Café Żółw");
  await expect
    .poll(() => lettersOf(page))
    .toEqual([
      "atkinson-hyperlegible-next-latin-ext-wght-normal",
      "atkinson-hyperlegible-next-latin-wght-normal",
      "text",
    ]);
  const drawn = await page.evaluate(() =>
    [..."eéż"].map((letter) => document.fonts.check('16px "Atkinson Hyperlegible Next Variable"', letter)),
  );
  expect(drawn).toEqual([true, true, true]);
});
