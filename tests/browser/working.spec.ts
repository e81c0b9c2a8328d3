import { expect, type Page, test } from "@playwright/test";
import { answered, enter, startMotor } from "./bench";
import { hasAnswered, holdable, release, setHold } from "./heldWorkers";

/**
 * Readings are weighed beside the page. Here the worker is the real one; only what is sent to it can be held back, as
 * by a large sheet.
 */

const reading = (page: Page) => page.getByRole("region", { name: "Reading", exact: true });
const field = (page: Page) => page.getByLabel("Reading in ohms, or OL for open");

test("while readings are weighed the page takes keys, and puts no value on a pair it has not asked for", async ({
  page,
}) => {
  await holdable(page);
  await startMotor(page, "WH BK BN RD");
  await enter(page, "WH shell OL");
  await setHold(page);
  await field(page).fill("12.4");
  await field(page).press("Enter");
  await expect(reading(page)).toHaveAttribute("aria-busy", "true");
  await expect(reading(page)).toContainText("Working out what to touch next");
  await field(page).fill("9.9.9");
  await field(page).press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "is not a reading" })).toBeVisible();
  await field(page).fill("9.9");
  await field(page).press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "still being worked out" })).toBeVisible();
  await expect(field(page)).toHaveValue("9.9");
  await release(page);
  await answered(page);
  await expect(page.getByRole("alert").filter({ hasText: "still being worked out" })).toHaveCount(0);
  await expect(field(page)).toHaveValue("9.9");
  await setHold(page);
  await field(page).fill("WH RD 7.5");
  await field(page).press("Enter");
  await field(page).fill("BN RD 21.5");
  await field(page).press("Enter");
  await expect(page.getByRole("button", { name: /BN to RD, reads 21\.5/ })).toBeVisible();
  await expect(page.getByRole("button", { name: /reads 9\.9/ })).toHaveCount(0);

  await release(page);
  await answered(page);
  await expect(reading(page)).toContainText("Touch");
  await expect(page.getByRole("region", { name: "Verdict" })).toContainText(
    "Brown to red is the longest, 21.5",
  );
});

test("what stands in the field is weighed before it is entered, and an undo comes back to what is known", async ({
  page,
}) => {
  const verdict = page.getByRole("region", { name: "Verdict" });
  await holdable(page);
  await startMotor(page, "WH BK BN RD");
  for (const line of ["WH shell OL", "WH BK 12.4", "WH RD 7.5"]) await enter(page, line);
  await answered(page);
  await field(page).pressSequentially("BN RD 21.5", { delay: 20 });
  await hasAnswered(page, '"ohms":21.5');
  await expect(verdict).not.toContainText("21.5");

  // From here on no worker hears of anything.
  await setHold(page);
  await field(page).press("Enter");
  await expect(verdict).toContainText("Brown to red is the longest, 21.5");
  await expect(reading(page)).not.toHaveAttribute("aria-busy", "true");
  await expect(field(page)).toHaveValue("");
  await page.getByRole("button", { name: /^Undo/ }).first().click();
  await expect(verdict).not.toContainText("21.5");
  await page.getByRole("button", { name: /^Redo/ }).first().click();
  await expect(verdict).toContainText("Brown to red is the longest, 21.5");
  await expect(reading(page)).not.toHaveAttribute("aria-busy", "true");
});

test("of several values that stand in the field one after another, the one that is entered counts", async ({
  page,
}) => {
  await holdable(page);
  await startMotor(page, "WH BK BN RD");
  await enter(page, "WH shell OL");
  await answered(page);
  await setHold(page);
  for (const line of ["WH BK 1", "WH BK 12", "WH BK 12.4"]) {
    await field(page).fill(line);
    await page.waitForTimeout(150);
  }
  await field(page).press("Enter");
  await expect(page.getByRole("button", { name: /WH to BK, reads 12\.4/ })).toBeVisible();
  await expect(reading(page)).toHaveAttribute("aria-busy", "true");
  await release(page);
  await answered(page);
  await expect(page.getByRole("button", { name: /WH to BK, reads 12\.4/ })).toBeVisible();
  await expect(reading(page)).toContainText("Touch");
});

test("a reading is on its way to be weighed before it is drawn, and drawn with the verdict or soon after", async ({
  page,
}) => {
  await page.addInitScript(() => {
    const drawnBefore: boolean[] = [];
    Object.assign(window, { drawnBefore });
    const Real = window.Worker;
    window.Worker = class extends Real {
      override postMessage(message: unknown) {
        if (typeof message === "string" && /"odd-lead\/reading-sheet@1".*"ohms":12\.4\b/.test(message))
          drawnBefore.push(document.querySelector('[aria-label*="reads 12.4"]') !== null);
        super.postMessage(message);
      }
    };
  });
  await holdable(page);
  await startMotor(page, "WH BK BN RD");
  await enter(page, "WH shell OL");
  await enter(page, "WH BK 12.4");
  await answered(page);
  await expect(page.getByRole("button", { name: /WH to BK, reads 12\.4/ })).toBeVisible();
  expect(await page.evaluate(() => (window as unknown as { drawnBefore: boolean[] }).drawnBefore)).toEqual([
    false,
  ]);

  // Without its answer it is drawn all the same, and nothing else has been by then but that one is awaited.
  await setHold(page);
  await field(page).fill("WH BN 7.5");
  await field(page).press("Enter");
  await expect(reading(page)).toHaveAttribute("aria-busy", "true");
  await expect(page.getByRole("button", { name: /WH to BN, reads 7\.5/ })).toBeVisible();
  await release(page);
  await answered(page);
});

test("what was entered is not weighed once more while it still stands in the field", async ({ page }) => {
  await holdable(page);
  await startMotor(page, "WH BK BN RD");
  await enter(page, "WH shell OL");
  // Entered sooner than anything is foreseen, and drawn without its answer later than that.
  await setHold(page);
  await field(page).fill("WH BK 12.4");
  await field(page).press("Enter");
  await expect(page.getByRole("button", { name: /WH to BK, reads 12\.4/ })).toBeVisible();
  await page.waitForTimeout(300);
  await release(page);
  await hasAnswered(page, '"ohms":12.4');
  await answered(page);
  await enter(page, "WH BN 7.5");
  await hasAnswered(page, '"ohms":7.5');
  expect(
    await page.evaluate(() =>
      (window as unknown as { control: { answered: string[] } }).control.answered.filter(
        (question) => question.split('"ohms":12.4').length > 2,
      ),
    ),
  ).toEqual([]);
});

test("a lead taken off while readings are weighed is named by no answer", async ({ page }) => {
  await holdable(page);
  await startMotor(page, "WH BK BN");
  for (const line of ["WH shell OL", "WH BK 8.2", "BK BN 19.9", "WH BN 28.0"]) await enter(page, line);
  await expect(page.getByRole("region", { name: "Verdict" })).toContainText(
    "answers left: one question settles it",
  );
  await page.getByRole("button", { name: "Change leads" }).click();
  await setHold(page);
  await page.getByRole("button", { name: "Take BN off the sheet" }).click();
  await expect(page.getByRole("region", { name: "Verdict" })).toBeHidden();
  await release(page);
  await answered(page);
  await expect(page.getByRole("region", { name: "Verdict" })).not.toContainText("BN");
});

for (const [how, spoil] of [
  [
    "cannot be started",
    () => {
      Object.assign(window, {
        Worker: class {
          constructor() {
            throw new Error("no workers here");
          }
        },
      });
    },
  ],
  [
    "stops on its first message",
    () => {
      const Real = window.Worker;
      window.Worker = class extends Real {
        override postMessage() {
          this.dispatchEvent(new ErrorEvent("error", { cancelable: true }));
        }
      };
    },
  ],
] as const) {
  test(`where the worker ${how}, the page weighs the readings itself`, async ({ page }) => {
    await page.addInitScript(spoil);
    await startMotor(page, "WH BK BN");
    for (const line of ["WH shell OL", "WH BK 8.2", "BK BN 19.9", "WH BN 28.0"]) await enter(page, line);
    await expect(page.getByRole("region", { name: "Verdict" })).toContainText(
      "answers left: one question settles it",
    );
  });
}

test("a verdict whose worker cannot be had comes by itself once the server is back, and no reading is lost", async ({
  page,
}) => {
  await page.addInitScript(() => {
    const Real = window.Worker;
    Object.assign(window, { away: true });
    window.Worker = class extends Real {
      constructor(url: string | URL, options?: WorkerOptions) {
        if ((window as unknown as { away: boolean }).away) throw new Error("the script did not come");
        super(url, options);
      }
    };
  });
  await page.goto("/");
  await page.getByRole("button", { name: "Start with a motor" }).click();
  await expect(page.getByLabel("Lead colors, in a row")).toBeVisible();
  await page.waitForLoadState("networkidle");
  // From the first question on nothing that answers it can be had.
  const scripts = "**/_next/static/**";
  await page.route(scripts, (route) => route.abort());
  await page.getByLabel("Lead colors, in a row").fill("WH BK BN");
  await page.keyboard.press("Enter");
  for (const line of ["WH shell OL", "WH BK 8.2", "BK BN 19.9", "WH BN 28.0"]) {
    await field(page).fill(line);
    await field(page).press("Enter");
    await expect(field(page)).toHaveValue("");
  }
  await expect(page.getByRole("group", { name: "Table of readings" })).toContainText("19.9");
  await expect(page.getByRole("region", { name: "Verdict" })).toHaveCount(0);
  await page.unroute(scripts);
  await page.evaluate(() => Object.assign(window, { away: false }));
  await expect(page.getByRole("region", { name: "Verdict" })).toContainText(
    "answers left: one question settles it",
    { timeout: 20_000 },
  );
});

test("a verdict lays out what changed, never the whole page", async ({ page, browser }) => {
  await startMotor(page, "WH BK BU BN");
  await enter(page, "WH shell OL");
  await answered(page);
  await browser.startTracing(page, { categories: ["devtools.timeline"] });
  for (const line of ["WH BK 8.0", "WH BU 11.0", "WH BN 24.0", "BK BN 32.0"]) {
    await enter(page, line);
    await answered(page);
  }
  const { traceEvents } = JSON.parse((await browser.stopTracing()).toString()) as {
    traceEvents: readonly {
      name: string;
      args?: { beginData?: { dirtyObjects: number; totalObjects: number } };
    }[];
  };
  const layouts = traceEvents.flatMap(({ name, args }) =>
    name === "Layout" && args?.beginData ? [args.beginData] : [],
  );
  expect(layouts.length).toBeGreaterThan(4);
  // A whole page is some five hundred; a style sheet that makes the fonts be sorted anew lays out all of it.
  expect(layouts.filter(({ dirtyObjects, totalObjects }) => dirtyObjects > 0.9 * totalObjects)).toEqual([]);
});

test("a reading is drawn with what it comes to, and only after a tenth of a second without it", async ({
  page,
}) => {
  await startMotor(page, "WH BK BU BN");
  await enter(page, "WH shell OL");
  await page.evaluate(() => {
    const drawn: number[] = [];
    Object.assign(window, { drawn });
    let key = 0;
    const enters = ({ key: name }: KeyboardEvent) => {
      if (name === "Enter") key = performance.now();
    };
    addEventListener("keydown", enters, true);
    const changed = new MutationObserver((changes) => {
      const isAwaited = document.querySelector('section[aria-busy="true"]') !== null;
      const isSeen = changes.some(({ attributeName }) => attributeName !== "aria-busy");
      if (isAwaited && isSeen) drawn.push(performance.now() - key);
    });
    const parts = ["Reading", "Verdict", "Readings"].map((name) => `section[aria-label="${name}"]`);
    const all = { attributes: true, childList: true, characterData: true, subtree: true };
    for (const part of document.querySelectorAll([...parts, '[role="status"]'].join()))
      changed.observe(part, all);
  });
  for (const line of ["WH BK 8.0", "WH BU 11.0", "WH BN 24.0", "BK BN 32.0"]) {
    const input = field(page);
    await input.fill(line);
    await input.press("Enter");
    await expect(input).toHaveValue("");
    await answered(page);
    await expect(page.getByRole("group", { name: "Table of readings" })).toContainText(
      line.split(" ")[2] ?? "",
    );
    // Nothing of this one is on its way any more when the next begins.
    await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
  }
  const early = await page.evaluate(() => (window as unknown as { drawn: number[] }).drawn);
  for (const ms of early) expect(ms).toBeGreaterThan(90);
});

test("what is typed while a reading waits to be drawn goes into an empty field, by keys and by the keypad", async ({
  page,
}) => {
  await holdable(page);
  await startMotor(page, "WH BK BU BN");
  await enter(page, "WH shell OL");
  const table = page.getByRole("group", { name: "Table of readings" });
  await answered(page);
  await setHold(page);
  await field(page).fill("WH BK 8.0");
  // In one turn of the page, as no hand does it: nothing can have been drawn between.
  const after = await field(page).evaluate((input: HTMLInputElement) => {
    input.form?.requestSubmit();
    const entered = input.value;
    input.dispatchEvent(new KeyboardEvent("keydown", { key: "W", bubbles: true }));
    return { entered, typedInto: input.value };
  });
  expect(after).toEqual({ entered: "WH BK 8.0", typedInto: "" });
  await expect(table).toContainText("8.0");
  await release(page);
  await answered(page);
  await page.getByRole("button", { name: "Keypad", exact: true }).click();
  await setHold(page);
  await field(page).fill("WH BU 11.0");
  await page.evaluate(() => {
    document.querySelector<HTMLFormElement>("form:has([aria-label='Keypad'])")?.requestSubmit();
    document.querySelector<HTMLButtonElement>("[aria-label='Keypad'] [aria-label='7']")?.click();
  });
  await expect(table).toContainText("11.0");
  await expect(field(page)).toHaveValue("7");
});
