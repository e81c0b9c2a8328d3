import { writeFileSync } from "node:fs";
import { expect, type Page, test } from "@playwright/test";
import { enter, startMotor } from "./bench";

/** Chooses a file of these bytes in the import. */
async function importFile(page: Page, name: string, body: string | Buffer): Promise<void> {
  await page.goto("/stock");
  await page.getByRole("button", { name: "Import CSV" }).click();
  // From the disk: 49 MB in letters through the test's own line take longer than all the rest.
  const path = test.info().outputPath(name);
  writeFileSync(path, body);
  await page.getByLabel("File").setInputFiles(path);
}

const panel = (page: Page) => page.getByRole("region", { name: "Import CSV" });
const tag = () => `T${Date.now()}${Math.floor(Math.random() * 1000)}`;

test("the stock is found by typing, filtered and sorted by figures", async ({ page }) => {
  await page.goto("/stock");
  const table = page.getByRole("table", { name: "Stock" });
  await page.getByLabel("Find").fill("larkhull lhu");
  await expect(table.getByRole("row")).toHaveCount(2);
  await expect(table).toContainText("1/2, 1/3, 1/4, 1/6");
  await page.getByLabel("Find").fill("larkhull 208-230");
  await table.getByRole("button", { name: "power" }).click();
  await expect(table.getByRole("row").nth(1)).toContainText("1/10");
  await expect(table.getByRole("columnheader", { name: "power" })).toHaveAttribute("aria-sort", "ascending");
  await page.getByLabel("Find").fill("no such thing");
  await expect(page.getByText("No line found.")).toBeVisible();
});

test("a motor of the stock whose ohms are stated is known again on the bench", async ({ page }) => {
  const name = `Larkhull ${tag()}`;
  await page.goto("/stock");
  await page.getByRole("button", { name: "Add a line" }).click();
  await page.getByLabel("Name", { exact: true }).fill(name);
  const ohms = page.getByLabel(/Ohms between its leads/);
  await ohms.fill("RD–BK 63.3, xylo–BU 21.7");
  await page.getByRole("button", { name: "Keep it" }).click();
  await expect(page.getByText("“xylo” is neither a color nor a mark of a lead.")).toBeVisible();
  await ohms.fill("RD–BK 63.3, BK–BU 21.7, RD–BU 85.0");
  await page.getByRole("button", { name: "Keep it" }).click();
  await expect(ohms).toHaveCount(0);
  await startMotor(page, "RD BK BU");
  for (const reading of ["RD BK 64.1", "BK BU 21.9", "RD BU 86.0"]) await enter(page, reading);
  const met = page.getByRole("region", { name: "Met before" });
  await expect(met).toContainText(`${name} of the stock, 1 on hand`);
  await expect(met.getByRole("list", { name: "Leads of that motor" })).toContainText("the same there");
  await met.getByRole("link", { name }).click();
  await expect(page.getByLabel("Find")).toHaveValue(name);
  await expect(page.getByRole("table", { name: "Stock" }).getByRole("button", { name })).toBeVisible();
});

test("a line is added, understood, changed, taken out and put back", async ({ page }) => {
  const name = `Osmund & Pike ${tag()}`;
  await page.goto("/stock");
  await page.getByRole("button", { name: "Add a line" }).click();
  await page.getByRole("button", { name: "Keep it" }).click();
  await expect(page.getByText("Give it a name.")).toBeVisible();
  await page.getByLabel("Name", { exact: true }).fill(name);
  await page.getByLabel("Its plate in one line").fill("1/4 HP 1075/3SPD 115V 60HZ 3.4A 5MFD 370V REV");
  await page.getByRole("button", { name: "Read it" }).click();
  await expect(page.getByText(/1\/4 hp \(186 W\); 1075 rpm, 3 speeds/)).toBeVisible();
  await page.getByLabel("Its plate in one line").fill("1/4 HP 115V 115A");
  await page.getByRole("button", { name: "Read it" }).click();
  await expect(page.getByText(/Not taken: 115 A do not go with/)).toBeVisible();
  await page.getByLabel("Counted").fill("2");
  await page.getByRole("button", { name: "Keep it" }).click();
  await page.getByLabel("Find").fill(name);
  const table = page.getByRole("table", { name: "Stock" });
  await table.getByRole("button", { name }).click();
  await page.getByRole("textbox", { name: "Minimum" }).fill("3");
  await page.getByRole("button", { name: "Keep it" }).click();
  await expect(table).toContainText("2 of 3");
  await table.getByRole("button", { name }).click();
  await page.getByRole("button", { name: "Take it out of the stock" }).click();
  await expect(page.getByText("No line found.")).toBeVisible();
  const away = "**/api/v1/stock/*";
  await page.route(away, (route) => route.abort());
  await page.getByRole("button", { name: "Put it back" }).click();
  await expect(page.getByText("It could not be put back just now")).toBeVisible();
  await page.unroute(away);
  await page.getByRole("button", { name: "Put it back" }).click();
  await expect(table.getByRole("button", { name })).toBeVisible();
});

test("a line that is kept while it is searched for is found, though the search was answered of before", async ({
  page,
}) => {
  const name = `Osmund & Pike ${tag()}`;
  await page.goto("/stock");
  await page.getByRole("button", { name: "Add a line" }).click();
  await page.getByLabel("Name", { exact: true }).fill(name);
  let isKept = () => {};
  const kept = new Promise<void>((resolve) => {
    isKept = resolve;
  });
  let isAsked = () => {};
  const asked = new Promise<void>((resolve) => {
    isAsked = resolve;
  });
  // The line is kept once the search for it has been answered, and that answer comes after it was kept.
  await page.route("**/api/v1/stock/*", async (route) => {
    await asked;
    await route.fulfill({ response: await route.fetch() });
    isKept();
  });
  await page.route("**/api/v1/stock?*search=*", async (route) => {
    const before = await route.fetch();
    isAsked();
    await kept;
    await page.waitForTimeout(500);
    await route.fulfill({ response: before }).catch(() => undefined);
  });
  await page.getByRole("button", { name: "Keep it" }).click();
  await page.getByLabel("Find").fill(name);
  await kept;
  const table = page.getByRole("table", { name: "Stock" });
  await expect(table.getByRole("button", { name })).toBeVisible();
});

test("two who change one line do not write over each other unasked", async ({ page, context }) => {
  const name = `Osmund & Pike ${tag()}`;
  const open = async (on: Page) => {
    await on.goto(`/stock?search=${encodeURIComponent(name)}`);
    await on.getByRole("table", { name: "Stock" }).getByRole("button", { name }).click();
  };
  await page.goto("/stock");
  await page.getByRole("button", { name: "Add a line" }).click();
  await page.getByLabel("Name", { exact: true }).fill(name);
  await page.getByRole("button", { name: "Keep it" }).click();
  await expect(page.getByRole("form")).toHaveCount(0);
  const other = await context.newPage();
  await open(page);
  await open(other);
  await other.getByLabel("Counted").fill("7");
  await other.getByRole("button", { name: "Keep it" }).click();
  await expect(other.getByRole("form")).toHaveCount(0);
  await page.getByLabel("Place").fill("van 3");
  await page.getByRole("button", { name: "Keep it" }).click();
  const notice = page.getByRole("alert").filter({ hasText: "meanwhile" });
  await expect(notice).toContainText("Somebody else changed this line meanwhile");
  await expect(notice).toContainText("count: “7” now, “1” before");
  await page.getByRole("button", { name: "Take theirs" }).click();
  await expect(page.getByLabel("Counted")).toHaveValue("7");
  await page.getByLabel("Place").fill("van 3");
  await open(other);
  await other.getByRole("button", { name: "Take it out of the stock" }).click();
  await expect(other.getByText(/is out of the stock/)).toBeVisible();
  await page.getByRole("button", { name: "Keep it" }).click();
  await expect(notice).toContainText("took this line out of the stock");
  await page.getByRole("button", { name: "Put mine in again" }).click();
  await expect(page.getByRole("form")).toHaveCount(0);
  await page.getByLabel("Find").fill(name);
  await expect(page.getByRole("table", { name: "Stock" })).toContainText("van 3");
});

test("an import whose answer was lost is asked what became of it, and is in once", async ({ page }) => {
  const code = tag();
  await importFile(
    page,
    "van.csv",
    `name,part,count,power,rpm,volts\nLarkhull ${code},${code},3,1/3,1075,230\n`,
  );
  await panel(page).getByRole("button", { name: "Check the rows" }).click();
  let lost = 0;
  await page.route("**/api/v1/stock/imports/**", async (route) => {
    if (!(route.request().postData() ?? "").includes("finish") || lost > 0) return route.continue();
    lost += 1;
    await route.fetch();
    await route.abort();
  });
  await panel(page).getByRole("button", { name: "Import 1 rows" }).click();
  await expect(panel(page).getByRole("alert")).toContainText("whether they went in is not known yet");
  await panel(page).getByRole("button", { name: "Ask what became of it" }).click();
  await expect(panel(page)).toContainText("1 added, 0 changed");
  await page.getByLabel("Find").fill(code);
  await expect(page.getByRole("table", { name: "Stock" }).getByRole("row")).toHaveCount(2);
});

test("a CSV is mapped, checked row by row, and imported all at once; it exports and imports back equal", async ({
  page,
}) => {
  const code = tag();
  await importFile(
    page,
    "van.csv",
    `\uFEFFModel;Code;Pieces;HP;RPM;Voltage\r\n"Larkhull ""${code}"" A";${code}A;3;1/3;1075/3SPD;208-230\nLarkhull ${code} B;${code}B;1;mighty;1075;230\rVarnholt ${code} C;${code}C;2;1/2;1075;115\n`,
  );
  await panel(page).getByLabel("Column Pieces is").selectOption("count");
  await panel(page).getByRole("button", { name: "Check the rows" }).click();
  await expect(panel(page)).toContainText("2 rows can be imported; 1 cannot and are left out.");
  await expect(panel(page).getByRole("list", { name: "Faults" })).toContainText(
    "Line 3: “mighty” is no power.",
  );
  await panel(page).getByRole("button", { name: "Import 2 rows" }).click();
  await expect(panel(page)).toContainText("2 added, 0 changed");
  await page.getByLabel("Find").fill(code);
  await expect(page.getByRole("table", { name: "Stock" }).getByRole("row")).toHaveCount(3);
  const csv = await (await page.request.get("/api/v1/stock/export")).text();
  expect(csv).toContain(`"Larkhull ""${code}"" A",${code}A,3`);
  const before = await (await page.request.get(`/api/v1/stock?search=${code}`)).json();
  const [heading = "", ...rows] = csv.split("\r\n");
  const mine = rows.filter((row) => row.includes(code));
  await importFile(page, "again.csv", [heading, ...mine].join("\n"));
  await panel(page).getByRole("button", { name: "Check the rows" }).click();
  await panel(page).getByRole("button", { name: "Import 2 rows" }).click();
  await expect(panel(page)).toContainText("0 added, 2 changed");
  const after = await (await page.request.get(`/api/v1/stock?search=${code}`)).json();
  expect(after).toEqual(before);
});

test("a long stock is scrolled to its end, and only what is on the screen is drawn", async ({ page }) => {
  const code = tag();
  const number = (i: number) => String(i).padStart(3, "0");
  const rows = Array.from({ length: 420 }, (_, i) => `Zander ${number(i)} ${code},3/4,2850,460,3,50`);
  await importFile(page, "long.csv", ["name,power,speed,volts,phase,hertz", ...rows].join("\n"));
  await panel(page).getByRole("button", { name: "Check the rows" }).click();
  await panel(page).getByRole("button", { name: "Import 420 rows" }).click();
  await expect(panel(page)).toContainText("420 added");
  await page.goto("/stock");
  await page.getByLabel("Find").fill(code);
  await expect(page.getByText("420 lines found.")).toBeVisible();
  const table = page.getByRole("table", { name: "Stock" });
  await expect(table).toHaveAttribute("aria-rowcount", "421");
  await expect(table.getByRole("button", { name: `Zander 000 ${code}` })).toBeVisible();
  expect(await table.getByRole("row").count()).toBeLessThan(100);
  // With the server away for a part of it, that is said, and had again by a touch.
  const further = /\/api\/v1\/stock\?.*offset=[1-9]/;
  await page.route(further, (route) => route.abort());
  await page.evaluate(() => window.scrollTo(0, 200 * 49));
  await expect(page.getByText("Lines of this part of the list cannot be had")).toBeVisible();
  await page.unroute(further);
  await page.getByRole("button", { name: "Try again" }).click();
  await expect(table.getByRole("button", { name: /^Zander 20\d/ }).first()).toBeInViewport();
  await expect(page.getByText("Lines of this part of the list cannot be had")).toHaveCount(0);
  await expect(async () => {
    await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight));
    await expect(table.getByRole("button", { name: `Zander 419 ${code}` })).toBeInViewport({ timeout: 500 });
  }).toPass();
  expect(await table.getByRole("row").count()).toBeLessThan(100);
  await expect(table.getByRole("button", { name: `Zander 000 ${code}` })).toHaveCount(0);
  // What opens above the list moves it: the rows on the screen are still the ones that are drawn.
  await page.evaluate(() => window.scrollTo(0, 0));
  await page.getByRole("button", { name: "Add a line" }).click();
  const box = await table.boundingBox();
  await page.evaluate((to) => window.scrollTo(0, to), (box?.y ?? 0) + 200 * 49);
  await expect(table.getByRole("button", { name: /^Zander 20\d/ }).first()).toBeInViewport();
  await page.getByLabel("Find").fill(`${number(7)} ${code}`);
  await expect(page.getByText("1 line found.")).toBeVisible();
  await expect(table.getByRole("button", { name: `Zander 007 ${code}` })).toBeVisible();
});

for (const [what, name, body, words] of [
  ["a spreadsheet itself", "stock.xlsx", Buffer.from([0x50, 0x4b, 3, 4, 0, 0, 0, 8]), "no text file"],
  ["an empty file", "empty.csv", "", "The file is empty."],
  ["one column", "one.csv", "name\nA\nB\n", "one column only"],
  ["a quote never closed", "quote.csv", 'name,power\n"A,1/3\n', "never closed"],
] as const) {
  test(`${what} is refused in words, and nothing is imported`, async ({ page }) => {
    await importFile(page, name, body);
    await expect(panel(page).getByRole("alert")).toContainText(words);
  });
}

test("50 MB are refused before they are read; a wrong encoding is read with a doubt; missing columns are asked for", async ({
  page,
}) => {
  await importFile(page, "huge.csv", Buffer.alloc(49_000_000, "a,b\n"));
  await expect(panel(page).getByRole("alert")).toContainText(
    "49 MB; up to 20 MB are read. Nothing was imported.",
  );
  await importFile(
    page,
    "old.csv",
    Buffer.concat([Buffer.from("name,colour\ncaf"), Buffer.from([0xe9]), Buffer.from(",red\n")]),
  );
  await expect(panel(page)).toContainText("read as Windows-1252");
  await expect(panel(page)).toContainText("café");
  await panel(page).getByRole("button", { name: "Check the rows" }).click();
  await expect(panel(page).getByRole("alert").last()).toContainText("No column is a motor’s power or volts");
});

test("long rows are sent in pieces that the server takes", async ({ page }) => {
  const code = tag();
  // Three bytes a letter, and nearly every field: 400 of these rows are over what one request may carry.
  const long = "Ω".repeat(36);
  const fields = {
    power: "1/2 HP, 1/3 HP, 1/4 HP, 1/5 HP, 1/6 HP",
    speed: "1075 rpm / 3 speeds",
    rotation: "counter clockwise, lead end",
    volts: "208-230 volts",
    hertz: "50/60 hertz",
    amps: "2.6 / 1.3",
    lockedRotorAmps: "14 A",
    serviceFactor: "1.35",
    serviceFactorAmps: "3.1",
    runCapacitor: "7.5 microfarads 370 V",
    bodyDiameter: "5-5/8 inches",
    bodyLength: "6-1/4 inches",
    shaftDiameter: "1/2 inch",
    shaftLength: "5-1/2 inches",
    boltCircle: "7-1/2 inches",
    mount: "band, studs, side-screws, torsion, resilient-base",
    position: "up, down, level",
    enclosure: "totally enclosed, air over it",
    ambient: "140 F",
    leadColours: "WH BK BN BN/WH RD BU YE OG VT GY PK TQ",
    altitude: "3000 feet",
    shaftForm: "one flat",
    shafts: "one shaft",
    bearings: "ball bearings",
    protector: "protector that resets itself",
    duty: "continuous duty",
    weepPlugs: "drain holes with plugs",
    insulationClass: "class F",
    frame: "NEMA 48YZ",
    codeLetter: "code K",
    leadLength: "24 inches",
    "motor kind": "electronic motor made to replace a plain one",
  };
  const cells = Object.values(fields).map((cell) => `"${cell}"`);
  const rows = Array.from({ length: 900 }, (_, i) =>
    [`${code} ${i} ${long}${long.slice(0, 18)}`, `${code}-${i}`, long, ...cells].join(","),
  );
  const sent: number[] = [];
  page.on("request", (request) => {
    const body = request.postDataBuffer();
    if (body && request.url().includes("/stock/imports/")) sent.push(body.length);
  });
  const wide = [["name", "part", "place", ...Object.keys(fields)].join(","), ...rows].join("\n");
  await importFile(page, "wide.csv", wide);
  await panel(page).getByRole("button", { name: "Check the rows" }).click();
  await panel(page).getByRole("button", { name: "Import 900 rows" }).click();
  await expect(panel(page)).toContainText("900 added, 0 changed", { timeout: 30_000 });
  expect(Math.max(...sent)).toBeLessThan(512 * 1024);
  // All of it over as many requests as the count of rows alone would make would not have gone through.
  expect(sent.reduce((sum, bytes) => sum + bytes, 0) / 900).toBeGreaterThan((512 * 1024) / 400);
});

test("an import given up leaves nothing behind, and half an import is none", async ({ page }) => {
  const code = tag();
  const item = {
    kind: "capacitor",
    id: "019a0000-0000-7000-8000-0000000000c1",
    name: code,
    count: 1,
    label: "5 MFD 370",
  };
  const address = `/api/v1/stock/imports/019a0000-0000-7000-8000-${String(Date.now()).slice(-12)}`;
  expect((await page.request.post(address, { data: { firstRow: 0, items: [item] } })).status()).toBe(200);
  expect((await page.request.post(address, { data: { finish: { rows: 2 } } })).status()).toBe(409);
  const found = await (await page.request.get(`/api/v1/stock?search=${code}`)).json();
  expect(found.total).toBe(0);
  expect((await page.request.delete(address)).status()).toBe(200);
  expect((await page.request.post(address, { data: { finish: { rows: 1 } } })).status()).toBe(409);
  const bad = { ...item, label: "five" };
  expect((await page.request.post(address, { data: { firstRow: 0, items: [bad] } })).status()).toBe(422);
  expect((await page.request.put(`/api/v1/stock/${item.id}`, { data: bad })).status()).toBe(422);
});

test("the truck plan covers the wanted share, says how good it is, and can be given up", async ({ page }) => {
  await page.goto("/truck");
  await page.getByLabel("Cover at least").selectOption("70");
  await page.getByRole("button", { name: "Work it out" }).click();
  await page.getByRole("button", { name: "Cancel" }).click();
  await expect(page.getByText("Given up. Nothing was changed.")).toBeVisible();
  await page.getByRole("button", { name: "Work it out" }).click();
  const plan = page.getByRole("region", { name: "The plan" });
  await expect(plan).toBeVisible({ timeout: 55_000 });
  const heading = await plan.getByRole("heading", { level: 2 }).first().textContent();
  const [, parts, covered, needs] = /^(\d+) parts cover (\d+) of (\d+)/.exec(heading ?? "") ?? [];
  expect(Number(covered) / Number(needs)).toBeGreaterThanOrEqual(0.7);
  await expect(plan.getByRole("table", { name: "Parts to carry" }).getByRole("row")).toHaveCount(
    Number(parts) + 1,
  );
  await expect(plan).toContainText(/Proved the least|at most \d+\.\d % above/);
  await expect(plan.locator("svg.recharts-surface").first()).toBeVisible();
});

test("a list that cannot be had says so and is had again by a touch", async ({ page }) => {
  const lists = /\/api\/v1\/stock\?/;
  await page.goto("/stock");
  await expect(page.getByRole("table", { name: "Stock" })).toBeVisible();
  await page.route(lists, (route) => route.abort());
  await page.getByLabel("Find").fill("larkhull");
  await expect(page.getByText("The stock cannot be had from the server just now.")).toBeVisible();
  await expect(page.getByLabel("Find")).toHaveValue("larkhull");
  await page.unroute(lists);
  await page.getByRole("button", { name: "Try again" }).click();
  await expect(page.getByText(/lines? found\./)).toBeVisible();
});
