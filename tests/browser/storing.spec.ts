import { expect, type Page, test } from "@playwright/test";
import { Client } from "pg";
import sharp from "sharp";
import { v7 as uuid } from "uuid";
import { BrowserOfOwn } from "../browserOfOwn";
import { enter, startMotor } from "./bench";

const saved = (page: Page) => page.getByRole("status").filter({ hasText: "Saved" });
const jobOf = (page: Page) => page.url().split("/")[4];

/** Statements on the database, as a restored backup would leave it. */
async function atTheDatabase(...statements: readonly string[]): Promise<void> {
  const client = new Client({ connectionString: process.env.ODD_LEAD_TEST_DATABASE_URL });
  await client.connect();
  // Facts are only ever added; a restored database is one in which later ones never were.
  await client.query("set session_replication_role = replica");
  for (const statement of statements) await client.query(statement);
  await client.end();
}

const readingsAt = async (page: Page, job: string | undefined) => {
  const { facts } = await (await page.request.get(`/api/v1/jobs/${job}/facts`)).json();
  return facts.filter(({ body }: { body: { kind: string } }) => body.kind === "pair-reading").length;
};

/** How the server answers to each photo that a job's facts tell of. */
async function photosAt(page: Page, job: string | undefined): Promise<number[]> {
  const { facts } = await (await page.request.get(`/api/v1/jobs/${job}/facts`)).json();
  const ids = facts.flatMap(({ body }: { body: { kind: string; photo: { id: string } } }) =>
    body.kind === "photo" ? [body.photo.id] : [],
  );
  return Promise.all(
    ids.map(async (id: string) => (await page.request.get(`/api/v1/jobs/${job}/photos/${id}`)).status()),
  );
}

test("what was entered since a backup is sent again after it was restored, photos too, from an open page and from the first", async ({
  page,
  context,
}) => {
  await startMotor(page, "BK BU RD");
  await page.getByRole("navigation", { name: "Stages" }).getByRole("link", { name: /Trace/ }).click();
  // Probe has a field for photos as well.
  await expect(page.getByRole("region", { name: "Photos" })).toBeVisible();
  const buffer = await sharp({ create: { width: 80, height: 60, channels: 3, background: "navy" } })
    .jpeg()
    .toBuffer();
  await page.setInputFiles('input[type="file"]', { name: "attic.jpg", mimeType: "image/jpeg", buffer });
  await expect(page.getByRole("img", { name: /Compartment, photo 1/ })).toBeVisible();
  await page.getByRole("navigation", { name: "Stages" }).getByRole("link", { name: /Probe/ }).click();
  for (const line of ["BK BU 10.0", "BU RD 20.0"]) await enter(page, line);
  await expect(saved(page)).toBeVisible();
  const job = jobOf(page);
  await expect.poll(() => readingsAt(page, job)).toBe(2);
  const lost = ["pair-reading", "photo"].map((kind) => `'${kind}'`).join(", ");
  const backup = `delete from facts where job_id = '${job}' and body->>'kind' in (${lost})`;
  const photoless = `delete from photos where job_id = '${job}'`;
  const restored = "update histories set latest = gen_random_uuid()";
  await atTheDatabase(backup, photoless, restored);
  await expect.poll(() => readingsAt(page, job), { timeout: 30_000 }).toBe(2);
  await expect.poll(() => photosAt(page, job), { timeout: 30_000 }).toEqual([200]);
  await expect(saved(page)).toBeVisible();
  await page.close();
  const first = await context.newPage();
  await first.goto("/");
  await first.getByRole("button", { name: "Start with a motor" }).waitFor();
  await atTheDatabase(backup, restored);
  expect(await readingsAt(first, job)).toBe(0);
  await first.goto("/");
  await expect.poll(() => readingsAt(first, job), { timeout: 30_000 }).toBe(2);
});

test("a job of very many readings opens as any other, and has its verdict when all of it is here", async ({
  page,
}) => {
  await startMotor(page, "BK BU RD");
  await enter(page, "BK BU 10.0");
  await expect(saved(page)).toBeVisible();
  const job = jobOf(page);
  await expect.poll(() => readingsAt(page, job)).toBe(1);
  const { facts } = await (await page.request.get(`/api/v1/jobs/${job}/facts`)).json();
  const { between } = facts.at(-1).body;
  const many = JSON.stringify({ kind: "pair-reading", between, typed: "10.0", ohms: 10 });
  await atTheDatabase(
    `insert into facts (shop_id, job_id, id, at, by, body)
     select shop_id, id, gen_random_uuid(), now(), '', '${many}'::jsonb
     from jobs, generate_series(1, 9000) where id = '${job}'`,
  );
  await page.close();
  const other = await page.context().newPage();
  const begun = Date.now();
  await other.goto(`/jobs/${job}/probe`);
  await expect(other.getByLabel("Reading in ohms, or OL for open")).toBeVisible();
  test.info().annotations.push({ type: "opened", description: `${Date.now() - begun} ms` });
  await expect(saved(other)).toBeVisible({ timeout: 60_000 });
  await enter(other, "BU RD 20.0");
  await expect(saved(other)).toBeVisible({ timeout: 60_000 });
  // A sheet that is refused has no verdict at all.
  await expect(other.getByRole("region", { name: "Verdict" })).toBeVisible();
});

test.describe("a browser that is killed", () => {
  let own: BrowserOfOwn;
  test.beforeEach(() => {
    own = new BrowserOfOwn();
  });
  test.afterEach(() => own.remove());

  test("a moment after the last key, with the server away, has every entry when it is opened again", async ({
    baseURL,
  }) => {
    const browser = await own.open();
    const page = await (browser.contexts()[0] ?? (await browser.newContext())).newPage();
    await page.goto(`${baseURL}/`);
    await page.getByRole("button", { name: "Start with a motor" }).click();
    await page.getByLabel("Lead colors, in a row").fill("WH BK RD BU");
    await page.keyboard.press("Enter");
    await expect(saved(page)).toBeVisible();
    await page.route("**/api/v1/jobs/**", (route) => route.abort());
    for (const line of ["WH BK 8.4", "BK RD 17.5", "RD BU 3.1"]) await enter(page, line);
    const address = page.url();
    // A busy disk's moment, and far under the seconds until local storage reaches it.
    await page.waitForTimeout(400);
    own.kill();

    const again = await own.open();
    const reopened = await (again.contexts()[0] ?? (await again.newContext())).newPage();
    await reopened.goto(address);
    for (const reads of ["WH to BK, reads 8.4", "BK to RD, reads 17.5", "RD to BU, reads 3.1"])
      await expect(reopened.getByRole("button", { name: new RegExp(reads) })).toBeVisible();
    await expect(saved(reopened)).toBeVisible();
    await again.close();
  });
});

test("where storage is refused the page says so, and what is entered reaches the server", async ({
  page,
}) => {
  await page.addInitScript(() => {
    const refuse = () => {
      throw new DOMException("refused", "SecurityError");
    };
    Object.defineProperty(window, "localStorage", { get: refuse });
    IDBFactory.prototype.open = refuse;
  });
  await startMotor(page, "WH BK RD");
  await enter(page, "WH BK 8.4");
  await expect(page.getByRole("alert").filter({ hasText: "This browser keeps nothing" })).toBeVisible();
  await expect(saved(page)).toBeVisible();
  const facts = await page.request.get(`/api/v1/jobs/${jobOf(page)}/facts`);
  expect(await facts.text()).toContain("8.4");
});

test("two devices at one job see each other's entries, and each takes back its own, with a clock an hour slow", async ({
  page,
  browser,
}) => {
  await startMotor(page, "WH BK RD");
  await enter(page, "WH BK 8.4");
  await expect(saved(page)).toBeVisible();

  const slow = await browser.newContext();
  await slow.addInitScript(() => {
    const now = Date.now;
    Date.now = () => now() - 3_600_000;
  });
  const other = await slow.newPage();
  await other.goto(page.url());
  await expect(other.getByRole("button", { name: "WH to BK, reads 8.4" })).toBeVisible();
  await expect(other.getByRole("button", { name: "Undo" })).toBeDisabled();
  await enter(other, "BK RD 17.5");
  await expect(saved(other)).toBeVisible();
  await expect(page.getByRole("button", { name: /BK to RD, reads 17.5/ })).toBeVisible({ timeout: 15_000 });
  await enter(page, "WH RD 25.8");
  await expect(other.getByRole("button", { name: /WH to RD, reads 25.8/ })).toBeVisible({ timeout: 15_000 });

  await other.getByRole("button", { name: "Undo" }).click();
  await expect(other.getByRole("button", { name: /BK to RD, reads/ })).toHaveCount(0);
  await expect(other.getByRole("button", { name: /WH to RD, reads 25.8/ })).toBeVisible();
  await expect(page.getByRole("button", { name: /BK to RD, reads/ })).toHaveCount(0, { timeout: 15_000 });
  // A later reading stands over an earlier one, though its clock says it was made before.
  await enter(other, "WH RD 12.1");
  await expect(page.getByRole("button", { name: /WH to RD, reads 12.1/ })).toBeVisible({ timeout: 15_000 });
  await slow.close();
});

test("a refused entry is set aside with why, and nothing behind it waits", async ({ page }) => {
  await startMotor(page, "WH BK RD");
  await expect(saved(page)).toBeVisible();
  await page.route("**/facts", async (route) => {
    const body = route.request().postDataJSON() as { facts: { body: { typed?: string } }[] } | null;
    const at = body?.facts.findIndex((fact) => fact.body.typed === "8.4") ?? -1;
    if (at < 0) return route.continue();
    await route.fulfill({
      status: 422,
      contentType: "application/problem+json",
      body: JSON.stringify({
        type: "about:blank",
        status: 422,
        title: "A fact does not hold together; none was kept.",
        faults: [{ code: "custom", path: ["facts", at, "body"], says: "It is not believed." }],
      }),
    });
  });
  await enter(page, "WH BK 8.4");
  const notice = page.getByRole("alert").filter({ hasText: "It is not believed." });
  await expect(notice).toBeVisible();
  await enter(page, "BK RD 17.5");
  await expect(page.getByRole("status").filter({ hasText: "1 not saved" })).toBeVisible();
  const facts = await page.request.get(`/api/v1/jobs/${jobOf(page)}/facts`);
  expect(await facts.text()).toContain("17.5");
  await page.unroute("**/facts");
  await notice.getByRole("button", { name: "Send again" }).click();
  await expect(notice).toHaveCount(0);
  await expect(saved(page)).toBeVisible();
  const taken = await page.request.get(`/api/v1/jobs/${jobOf(page)}/facts`);
  expect(await taken.text()).toContain("8.4");
});

test("an entry whose text is too long is set aside, put right, and let go", async ({ page }) => {
  await startMotor(page, "WH BK RD");
  const title = page.getByLabel("Name of this job").first();
  // What no field of ours lets in: a script of the browser's, an older page.
  const tooLong = async (letter: string) => {
    await title.evaluate((field: HTMLInputElement) => field.removeAttribute("maxlength"));
    await title.fill(letter.repeat(300));
    await title.press("Enter");
  };
  await tooLong("x");
  const notice = page.getByRole("alert").filter({ hasText: "kept apart here" });
  await expect(notice).toContainText("It is longer than the 80 letters that fit there.");
  await notice.getByLabel("Put it right").fill("Attic fan");
  await notice.getByRole("button", { name: "Enter it again" }).click();
  await expect(notice).toHaveCount(0);
  await expect(page.getByRole("heading", { level: 1 })).toContainText("Attic fan");
  await expect(saved(page)).toBeVisible();
  await tooLong("y");
  await notice.getByRole("button", { name: "Let it go" }).click();
  await expect(notice).toHaveCount(0);
  await expect(saved(page)).toBeVisible();
  await expect(page.getByRole("heading", { level: 1 })).toContainText("Attic fan");
});

test("a job of very many readings is kept whole, opens without the server, and goes back whole to one that was restored", async ({
  page,
  context,
}) => {
  test.setTimeout(180_000);
  await startMotor(page, "BK BU RD");
  await enter(page, "BK BU 10.0");
  await expect(saved(page)).toBeVisible();
  const job = jobOf(page);
  const many = 7000;
  await page.goto("/");
  const between = `select body from facts where job_id = '${job}' and body->>'kind' = 'pair-reading' limit 1`;
  const ids = Array.from({ length: many - 1 }, () => uuid());
  await atTheDatabase(
    `insert into facts (shop_id, job_id, id, at, by, body)
     select shop_id, jobs.id, more.id, now(), '', (${between}) || '{"typed": "10.1", "ohms": 10.1}'
     from jobs, unnest('{${ids}}'::uuid[]) as more (id) where jobs.id = '${job}'`,
  );
  const cell = page.getByRole("button", {
    name: new RegExp(`BK to BU, reads 10.1.*and ${many - 21} earlier`),
  });
  await page.goto(`/jobs/${job}/probe`);
  await expect(saved(page)).toBeVisible({ timeout: 30_000 });
  await expect(cell).toBeVisible();

  await context.route(/\/facts/, (route) => route.abort());
  await page.reload();
  await expect(cell).toBeVisible({ timeout: 30_000 });
  await context.unroute(/\/facts/);

  await atTheDatabase(
    `delete from facts where job_id = '${job}'`,
    "update histories set latest = gen_random_uuid()",
  );
  const client = new Client({ connectionString: process.env.ODD_LEAD_TEST_DATABASE_URL });
  await client.connect();
  const count = async () =>
    Number((await client.query("select count(*) from facts where job_id = $1", [job])).rows[0].count);
  await expect.poll(count, { timeout: 90_000 }).toBeGreaterThan(many);
  await client.end();
  await expect(cell).toBeVisible();
});
