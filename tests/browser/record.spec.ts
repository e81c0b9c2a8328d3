import { readFileSync } from "node:fs";
import { expect, type Page, test } from "@playwright/test";
import jsQR from "jsqr";
import { PDFDict, PDFDocument, PDFName } from "pdf-lib";
import sharp from "sharp";
import { v7 as uuidv7 } from "uuid";
import { enter, startMotor } from "./bench";

/** A word that no other test uses. */
const own = () => `Q${Math.random().toString(36).slice(2, 9)}`;

async function nameUnit(page: Page, unit: { name: string; site?: string; position?: string }): Promise<void> {
  await page.getByRole("button", { name: "Unit", exact: true }).click();
  const dialog = page.getByRole("dialog", { name: "Which unit is this?" });
  await dialog.getByLabel("Unit").fill(unit.name);
  if (unit.site) await dialog.getByLabel("Site").fill(unit.site);
  if (unit.position) await dialog.getByLabel("Which of its motors").fill(unit.position);
  await dialog.getByRole("button", { name: "Keep" }).click();
  await expect(dialog).toHaveCount(0);
}

const found = (page: Page) => page.getByRole("region", { name: "Found" });

async function find(page: Page, words: string): Promise<void> {
  await page.goto("/");
  await page.getByLabel("Find a job").fill(words);
  await expect(found(page)).toHaveAttribute("aria-busy", "false");
}

test("words that are looked for stay where the page is loaded again, and a new opening begins without them", async ({
  page,
  context,
}) => {
  await find(page, "nowhere at all");
  await page.reload();
  await expect(page.getByLabel("Find a job")).toHaveValue("nowhere at all");
  await expect(page.getByLabel("Find a job")).toBeFocused();
  await expect(found(page)).toContainText("Nothing has all of these words");
  await page.getByLabel("Find a job").clear();
  await page.reload();
  await expect(page.getByRole("button", { name: "Start with a motor" })).toBeVisible();
  await expect(page.getByLabel("Find a job")).toHaveValue("");
  await find(page, "nowhere at all");
  const other = await context.newPage();
  await other.goto("/", { waitUntil: "networkidle" });
  await expect(other.getByLabel("Find a job")).toHaveValue("");
});

test("a job becomes a visit of a unit in passing, is found by what is remembered, and has its unit's page", async ({
  page,
}) => {
  const site = own();
  await startMotor(page, "VT/WH OG TQ");
  await nameUnit(page, { name: "Rooftop 3", site, position: "exhaust wheel" });
  await expect(page.getByText("Saved")).toBeVisible();
  const first = page.url();

  await find(page, `${site.toLowerCase()} violet`);
  const row = found(page).getByRole("link", { name: new RegExp(site) });
  await expect(row).toHaveCount(1);
  expect(new URL((await row.getAttribute("href")) ?? "", page.url()).pathname).toBe(new URL(first).pathname);

  // The next visit finds the unit as its name is typed.
  await startMotor(page, "BK RD WH");
  await page.getByRole("button", { name: "Unit", exact: true }).click();
  const dialog = page.getByRole("dialog", { name: "Which unit is this?" });
  await dialog.getByLabel("Unit").fill(`rooftop ${site}`);
  await dialog.getByRole("button", { name: new RegExp(site) }).click();
  await expect(dialog.getByLabel("Site")).toHaveValue(site);
  await dialog.getByLabel("Which of its motors").fill("exhaust wheel");
  await dialog.getByRole("button", { name: "Keep" }).click();
  await expect(page.getByText("Saved")).toBeVisible();

  await find(page, site);
  await expect(found(page).getByRole("listitem")).toHaveCount(2);
  await page
    .getByRole("button", { name: /^More for/ })
    .first()
    .click();
  await page.getByRole("menuitem", { name: "Open its unit" }).click();
  await expect(page.getByRole("heading", { name: "Rooftop 3" })).toBeVisible();
  await expect(page.getByRole("region", { name: "Visits" }).getByRole("listitem")).toHaveCount(2);
  await page.getByRole("button", { name: "New visit" }).click();
  await expect(page.getByRole("button", { name: "Rooftop 3, exhaust wheel" })).toBeVisible();
});

test("a job is archived, deleted and brought back; nothing of it is lost", async ({ page }) => {
  const name = own();
  await startMotor(page, "BN BK");
  await page.getByRole("textbox", { name: "Name of this job" }).fill(name);
  await page.getByRole("textbox", { name: "Name of this job" }).press("Enter");
  await expect(page.getByText("Saved")).toBeVisible();
  await find(page, name);
  const menu = async (item: string) => {
    await page.getByRole("button", { name: `More for ${name}` }).click();
    await page.getByRole("menuitem", { name: item }).click();
  };
  await menu("Delete");
  await expect(page.getByText(`Deleted: ${name}.`)).toBeVisible();
  await expect(found(page).getByRole("listitem")).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(found(page).getByRole("listitem")).toHaveCount(1);
  await menu("Archive");
  await expect(found(page).getByRole("listitem")).toHaveCount(0);
  await page.getByRole("button", { name: "Archived", exact: true }).click();
  await expect(found(page).getByRole("listitem")).toHaveCount(1);
  await menu("Take out of the archive");
  await page.getByRole("button", { name: "Back to the list" }).click();
  await expect(found(page).getByRole("listitem")).toHaveCount(1);
});

test("a demo unit shows what is in it, its figures over the years with their alarms, and its visits", async ({
  page,
}) => {
  const { units } = await (await page.request.get("/api/v1/units?search=chart%20room")).json();
  await page.goto(`/units/${units[0].id}`);
  const now = page.getByRole("region", { name: "In it now" });
  await expect(now).toContainText("proved: Fan");
  await expect(page.getByRole("figure", { name: /^GY to VT: / })).toBeVisible();
  await expect(page.getByText("Halved or less since the test before.")).toBeVisible();
  await expect(page.getByRole("region", { name: "Visits" }).getByRole("listitem")).toHaveCount(3);
  await page.goto("/units/019b8a6e-0c10-7a4e-8b52-000000000000");
  await expect(page.getByRole("alert").filter({ hasText: "cannot be shown" })).toBeVisible();
});

test("a motor that was met before is known again at the third reading, and held against what it read then", async ({
  page,
}) => {
  await startMotor(page, "RD BU WH");
  await enter(page, "RD WH 51.9");
  await enter(page, "BU WH 52.2");
  const met = page.getByRole("region", { name: "Met before" });
  await expect(met).toHaveCount(0);
  await enter(page, "RD BU 104.2");
  await expect(met).toContainText(/\d\d %: this motor, or one of its model/);
  await expect(met).toContainText(/[Dd]ryer/);
  await expect(met.getByRole("list", { name: "Leads of then" })).toContainText("the same then");
  await met.getByRole("button", { name: "Hold the readings against it" }).click();
  await expect(met.getByRole("button", { name: "Readings are held against it" })).toBeDisabled();
  await expect(page.getByRole("button", { name: /Against a reference/ })).toContainText("Good");
});

test.describe("files", () => {
  test("a job saved is known again, brought in anew under other ids, and refused when broken", async ({
    page,
  }) => {
    const name = own();
    await startMotor(page, "WH BK BN");
    await page.getByRole("textbox", { name: "Name of this job" }).fill(name);
    await page.getByRole("textbox", { name: "Name of this job" }).press("Enter");
    await expect(page.getByText("Saved")).toBeVisible();
    await page
      .getByRole("navigation", { name: "Stages" })
      .getByRole("link", { name: /Record/ })
      .click();
    const saving = page.waitForEvent("download");
    await page.getByRole("button", { name: "Save the job" }).click();
    const saved = await saving;
    expect(saved.suggestedFilename()).toMatch(/\.json$/);
    const text = readFileSync(await saved.path(), "utf8");

    await page.goto("/files");
    const bring = (content: string, file = "job.json") =>
      page
        .getByLabel("Files to bring in")
        .setInputFiles({ name: file, mimeType: "application/json", buffer: Buffer.from(content) });
    await bring(text);
    await expect(page.getByText("All of it is here already.")).toBeVisible();
    await page.getByRole("button", { name: "Other files" }).click();

    await bring(text.slice(0, -40));
    await expect(page.getByRole("alert").filter({ hasText: "This is no JSON" })).toBeVisible();
    await page.getByRole("button", { name: "Other files" }).click();
    await bring(text.replace(name, `${name}x`));
    await expect(page.getByRole("alert").filter({ hasText: "not as it was written" })).toBeVisible();
    await page.getByRole("button", { name: "Other files" }).click();

    // The same job as another shop would have made it, by hand: other ids, no sum.
    const { sha256: _, ...file } = JSON.parse(text);
    const other = (id: string) => `${id.slice(0, -4)}${id.endsWith("ffff") ? "0000" : "ffff"}`;
    const facts = file.facts.map((fact: { id: string }) => ({ ...fact, id: other(fact.id) }));
    const unlike = facts.filter(
      (fact: { id: string }, i: number) => facts.findIndex((one: { id: string }) => one.id === fact.id) === i,
    );
    await bring(JSON.stringify({ ...file, job: other(file.job), facts: unlike }));
    await expect(page.getByText(/^New: \d+ facts$/)).toBeVisible();
    await page.getByRole("button", { name: "Bring in", exact: true }).click();
    await expect(page.getByText("Brought in")).toBeVisible();
    const here = await (await page.request.get(`/api/v1/jobs/${other(file.job)}/facts`)).json();
    expect(here.facts).toEqual(unlike);
    await find(page, name);
    await expect(found(page).getByRole("listitem")).toHaveCount(2);
  });

  test("a file dragged onto the first page is looked at first", async ({ page }) => {
    const { jobs } = await (await page.request.get("/api/v1/jobs?of=demo&search=dryer")).json();
    const { facts } = await (await page.request.get(`/api/v1/jobs/${jobs[0].id}/facts`)).json();
    const written = "2026-11-28T12:00:00.000Z";
    const file = { format: "odd-lead/job@1", version: "0.1.0", written, job: jobs[0].id, facts };
    await page.goto("/", { waitUntil: "networkidle" });
    const dropped = await page.evaluateHandle((text) => {
      const data = new DataTransfer();
      data.items.add(new File([text], "dryer.json", { type: "application/json" }));
      return data;
    }, JSON.stringify(file));
    await page.getByRole("main").dispatchEvent("drop", { dataTransfer: dropped });
    await expect(page.getByRole("region", { name: "Bring in" })).toContainText("All of it is here already.");
  });

  test("the whole shop is one archive, and bringing it in again changes nothing of its jobs", async ({
    page,
  }) => {
    test.setTimeout(240_000);
    await page.goto("/files");
    const saving = page.waitForEvent("download", { timeout: 90_000 });
    await page.getByRole("button", { name: "Save the whole shop" }).click();
    const path = await (await saving).path();
    await page.getByLabel("Files to bring in").setInputFiles(path);
    const plan = page.getByRole("region", { name: "What would be brought in" });
    await expect(plan).toBeVisible({ timeout: 90_000 });
    await expect(plan.getByRole("alert")).toHaveCount(0);
    await expect(plan.getByText(/^New: /)).toHaveCount(0);
    await expect(plan.getByText("Here already, all of it").first()).toBeVisible();
  });
});

test("the label is a file in three forms whose code leads back, and the sheet a PDF with its faces inside", async ({
  page,
}) => {
  const { jobs } = await (await page.request.get("/api/v1/jobs?of=demo&search=chart%20room%20four")).json();
  await page.goto(`/jobs/${jobs[0].id}/record`, { waitUntil: "networkidle" });
  const saved = async (button: string) => {
    const saving = page.waitForEvent("download");
    await page.getByRole("button", { name: button, exact: true }).click();
    return readFileSync(await (await saving).path());
  };
  const png = await saved("Save the label as PNG");
  const { data, info } = await sharp(png).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  const code = jsQR(new Uint8ClampedArray(data), info.width, info.height);
  expect(code?.data).toBe(`${new URL(page.url()).origin}/jobs/${jobs[0].id}`);
  expect([info.width, info.height]).toEqual([1181, 709]);
  const svg = (await saved("Save the label as SVG")).toString("utf8");
  expect(svg).toContain('width="100mm"');
  expect(svg).toContain("MED-HI");
  for (const [button, least, size] of [
    ["Save the label as PDF", 1, [283.46, 170.08]],
    ["Save the label as PDF, A6", 1, [419.53, 297.64]],
    ["Save the strip for the shell, WIRED 208–230 V", 1, [141.73, 34.02]],
    ["PDF, A4", 2, [595.28, 841.89]],
    ["PDF, Letter", 2, [612, 792]],
  ] as const) {
    const pdf = await PDFDocument.load(await saved(button));
    expect(pdf.getPageCount()).toBeGreaterThanOrEqual(least);
    const { width, height } = pdf.getPage(0).getSize();
    expect([width, height].map((side) => Number(side.toFixed(2)))).toEqual(size);
    const faces = pdf.context
      .enumerateIndirectObjects()
      .filter(([, one]) => one instanceof PDFDict && one.has(PDFName.of("FontFile2")));
    expect(faces.length).toBeGreaterThan(0);
  }
});

test("signing off seals the record; what comes after is told apart", async ({ page }) => {
  const { jobs } = await (await page.request.get("/api/v1/jobs?of=demo&search=dryer")).json();
  const { facts } = await (await page.request.get(`/api/v1/jobs/${jobs[0].id}/facts`)).json();
  const job = uuidv7();
  const copied = facts.map((fact: object) => ({ ...fact, id: uuidv7() }));
  await page.request.post(`/api/v1/jobs/${job}/facts`, { data: { facts: copied } });
  await page.goto(`/jobs/${job}/record`, { waitUntil: "networkidle" });
  const seal = page.getByRole("region", { name: "Seal" });
  await expect(seal).toContainText("Not sealed");
  await seal.getByRole("button", { name: "Seal the record" }).click();
  await expect(seal).toContainText("The seal holds");
  await page.getByRole("textbox", { name: "Name of this job" }).fill("Dryer after the seal");
  await page.getByRole("textbox", { name: "Name of this job" }).press("Enter");
  await expect(seal).toContainText("1 entry came after it");
  await page.reload({ waitUntil: "networkidle" });
  await expect(seal).toContainText("The seal holds");
});
