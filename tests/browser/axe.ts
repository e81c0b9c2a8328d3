import type { Page } from "@playwright/test";
import axe from "axe-core";

/** The levels that every page keeps. */
export const WCAG = ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"];

/**
 * What axe finds on a page as it stands: each rule broken, and where.
 *
 * It is run in the page itself, once brought there: the usual wrapper sends it anew for each run and gathers in a second
 * page, which takes ten times as long as the looking.
 *
 * @param only rules, or tags of rules; all where left out.
 */
export async function axeFinds(page: Page, only?: axe.RunOnly): Promise<string[]> {
  if (!(await page.evaluate(() => "axe" in window))) await page.evaluate(axe.source);
  return page.evaluate(async (runOnly) => {
    const { violations } = await (window as unknown as { axe: typeof axe }).axe.run(document, {
      resultTypes: ["violations"],
      ...(runOnly ? { runOnly } : {}),
    });
    return violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target).join(" ")}`);
  }, only);
}
