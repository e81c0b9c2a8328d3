import { expect, type Locator, type Page, test } from "@playwright/test";
import { axeFinds, WCAG } from "./axe";

const DEMO = /fan coil/;
/** Its address once the first page told it. */
let demo = "";

/** The main views of a job, from the demo data. */
async function openDemo(page: Page, stage: "probe" | "land" | "safe" | "prove" | "record"): Promise<void> {
  if (demo === "") {
    await page.goto("/");
    const href = await page.getByRole("link", { name: DEMO }).getAttribute("href");
    demo = (href ?? "").replace(/\/\w+$/, "");
  }
  await page.goto(`${demo}/${stage}`);
  await expect(page.getByRole("region", { name: /Loom/ })).toBeVisible();
}

/** Opens everything that is folded on a page. */
async function unfold(page: Page): Promise<void> {
  const folded = page.locator('main button[aria-expanded="false"]');
  while ((await folded.count()) > 0) await folded.first().click();
}

/** What of axe's rules the colors of a scheme decide; all else is the same in both. */
const OF_COLOR = ["color-contrast", "link-in-text-block"];

/** A phone, a desk, and the smallest screen there is. */
const SIZES = [
  { width: 390, height: 844 },
  { width: 1280, height: 800 },
  { width: 320, height: 640 },
] as const;

/** What axe finds at every size, and what runs off the page to the right; back at the first size in the end. */
async function mindsItsManners(page: Page): Promise<void> {
  for (const size of SIZES) {
    await page.setViewportSize(size);
    await mindsItsMannersAsItIs(page);
  }
  await page.setViewportSize(SIZES[0]);
}

/** What axe finds in either scheme, and what runs off the page to the right. */
async function mindsItsMannersAsItIs(page: Page): Promise<void> {
  // The bars at the foot lie over what scrolls under them; a target half under one is whole after a scroll.
  await page.evaluate(() => {
    for (const bar of document.querySelectorAll<HTMLElement>("nav")) bar.style.position = "static";
  });
  expect(await axeFinds(page, { type: "tag", values: WCAG })).toEqual([]);
  await expectNoOverflow(page);
  const day = await inScheme(page, "dark");
  expect(await axeFinds(page, { type: "rule", values: OF_COLOR }), "in Attic").toEqual([]);
  await inScheme(page, day);
}

/** Shows the page in the colors of a scheme, and gives the one that it was in. */
async function inScheme(page: Page, scheme: string): Promise<string> {
  // Else colors change over a while, and a look finds them halfway.
  await page.emulateMedia({ reducedMotion: "reduce" });
  return page.evaluate((to) => {
    const root = document.documentElement;
    const was = root.getAttribute("data-scheme") ?? "";
    root.setAttribute("data-scheme", to);
    return was;
  }, scheme);
}

/** Nothing is wider than the screen. */
async function expectNoOverflow(page: Page): Promise<void> {
  const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(overflow, page.url()).toBeLessThanOrEqual(0);
}

test("no page asks anything of anyone but the server itself, nor breaks its own policy", async ({
  page,
  baseURL,
}) => {
  const strangers: string[] = [];
  const complaints: string[] = [];
  page.on("request", (request) => {
    const url = new URL(request.url());
    if (url.origin !== baseURL && !["data:", "blob:"].includes(url.protocol)) strangers.push(request.url());
  });
  page.on("console", (message) => {
    if (message.type() === "error") complaints.push(message.text());
  });
  page.on("pageerror", (error) => complaints.push(error.message));
  for (const stage of ["probe", "land", "safe", "prove", "record"] as const) {
    await openDemo(page, stage);
    await page.waitForLoadState("networkidle");
  }
  await page.getByRole("button", { name: /Day scheme/ }).click();
  expect(strangers).toEqual([]);
  expect(complaints).toEqual([]);
});

test("the content-security-policy is strict and its nonce fresh", async ({ request }) => {
  const policies = await Promise.all(
    [1, 2].map(async () => (await request.get("/")).headers()["content-security-policy"] ?? ""),
  );
  for (const policy of policies) {
    expect(policy).toContain("default-src 'none'");
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy).not.toMatch(/script-src[^;]*unsafe/);
  }
  expect(policies[0]).not.toBe(policies[1]);
});

test("the first page brings at most 200 kB of compressed JavaScript", async ({ page }) => {
  const client = await page.context().newCDPSession(page);
  await client.send("Network.enable");
  const scripts = new Set<string>();
  let bytes = 0;
  client.on("Network.responseReceived", ({ requestId, type }) => {
    if (type === "Script") scripts.add(requestId);
  });
  client.on("Network.loadingFinished", ({ requestId, encodedDataLength }) => {
    if (scripts.has(requestId)) bytes += encodedDataLength;
  });
  await page.goto("/", { waitUntil: "networkidle" });
  expect(bytes).toBeGreaterThan(10_000);
  expect(bytes).toBeLessThan(200_000);
});

test("no stage brings more than 300 kB of compressed JavaScript to the page", async ({ page }) => {
  await openDemo(page, "probe");
  for (const stage of ["safe", "trace", "plate", "match", "probe", "cap", "land", "prove", "record"]) {
    await page.goto(page.url().replace(/\w+$/, stage), { waitUntil: "networkidle" });
    const bytes = await page.evaluate(() =>
      performance
        .getEntriesByType("resource")
        .filter(({ name }) => /\.js(\?|$)/.test(name))
        .reduce((sum, one) => sum + (one as PerformanceResourceTiming).encodedBodySize, 0),
    );
    expect(bytes, stage).toBeGreaterThan(100_000);
    expect(bytes, stage).toBeLessThan(300_000);
  }
});

/** Opens the first page as a phone has it; the other sizes are looked at where it stands then. */
async function begin(page: Page): Promise<void> {
  await page.setViewportSize(SIZES[0]);
  await page.goto("/");
}

test("axe finds nothing, and nothing runs off the page of a job", async ({ page }) => {
  await begin(page);
  await mindsItsManners(page);
  for (const stage of ["probe", "land", "safe", "prove", "record"] as const) {
    await openDemo(page, stage);
    await mindsItsManners(page);
  }
});

test("nor in Plate, Match, Cap, the stock and the truck plan", async ({ page }) => {
  await begin(page);
  await page.getByRole("link", { name: /Ice house condenser/ }).click();
  await page.waitForURL(/\/probe$/);
  for (const stage of ["plate", "match", "cap"] as const) {
    await page.goto(page.url().replace(/\w+$/, stage));
    await expect(page.getByRole("region", { name: /Loom/ })).toBeVisible();
    await unfold(page);
    await mindsItsManners(page);
  }
  await page.goto("/stock");
  await expect(page.getByRole("table", { name: "Stock" })).toBeVisible();
  await page.getByRole("button", { name: "Add a line" }).click();
  await mindsItsManners(page);
  await page.getByRole("button", { name: "Import CSV" }).click();
  await page.goto("/truck");
  await mindsItsManners(page);
});

test("nor in a unit, the files, the words, and what the first page finds", async ({ page }) => {
  await begin(page);
  await page.getByLabel("Find a job").fill("fan");
  await expect(page.getByRole("region", { name: "Found" })).toHaveAttribute("aria-busy", "false");
  await page
    .getByRole("button", { name: /^More for/ })
    .first()
    .click();
  await expect(page.getByRole("menu")).toBeVisible();
  await mindsItsManners(page);
  const { units } = await (await page.request.get("/api/v1/units?search=chart%20room")).json();
  await page.goto(`/units/${units[0].id}`);
  await expect(page.getByRole("region", { name: "In it now" })).toBeVisible();
  await mindsItsManners(page);
  for (const path of ["/files", "/words#joint"]) {
    await page.goto(path);
    await mindsItsManners(page);
  }
});

test("nor in Trace, nor in Land with everything unfolded, nor in the practice of wiring", async ({
  page,
}) => {
  await begin(page);
  await page.getByRole("link", { name: /circulation pump/ }).click();
  await page.waitForURL(/\/probe$/);
  for (const stage of ["trace", "land"] as const) {
    await page.goto(page.url().replace(/\w+$/, stage));
    await expect(page.getByRole("region", { name: /Loom/ })).toBeVisible();
    await unfold(page);
    await mindsItsManners(page);
  }
  await page.goto("/practice/wiring");
  await page.getByLabel("Your name, to keep results by").fill("Dov Hask");
  await page.getByRole("button", { name: "Lay it out" }).click();
  await expect(page.getByRole("region", { name: "The motor" })).toBeVisible();
  await mindsItsManners(page);
});

test("nor with everything unfolded, nor in practice", async ({ page }) => {
  await begin(page);
  await openDemo(page, "probe");
  await unfold(page);
  await mindsItsManners(page);
  await page.goto("/practice");
  await mindsItsManners(page);
  await page.getByLabel("Your name, to keep results by").fill("Ilo Brandt");
  await page.getByRole("button", { name: "Put it on the bench" }).click();
  await page.getByLabel("Kind of motor").selectOption({ index: 1 });
  await mindsItsManners(page);
});
test("Attic is one touch away, everywhere from then on, and says so", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("button", { name: /Day scheme/ }).click();
  await expect(page.locator("html")).toHaveAttribute("data-scheme", "dark");
  await openDemo(page, "probe");
  await expect(page.locator("html")).toHaveAttribute("data-scheme", "dark");
  await expect(page.getByRole("button", { name: /Attic scheme/ })).toBeVisible();
  await mindsItsMannersAsItIs(page);
});

test("nothing runs off a screen of 320 pixels", async ({ page }) => {
  test.setTimeout(240_000);
  await page.setViewportSize({ width: 320, height: 640 });
  await page.goto("/");
  await expectNoOverflow(page);
  await page
    .getByRole("link", { name: /Ice house condenser/ })
    .first()
    .click();
  await page.waitForURL(/\/probe$/);
  for (const stage of [
    "safe",
    "trace",
    "plate",
    "match",
    "probe",
    "cap",
    "land",
    "prove",
    "record",
  ] as const) {
    await page.goto(page.url().replace(/\w+$/, stage));
    await expect(page.getByRole("navigation", { name: "Stages" })).toBeVisible();
    await expectNoOverflow(page);
  }
});

test("the focus is seen on every kind of control", async ({ page }) => {
  await page.goto("/", { waitUntil: "networkidle" });
  const kinds = [
    page.getByLabel("Find a job"),
    page.getByRole("button", { name: /^Which capacitor/ }),
    page.getByRole("link", { name: "Stock" }),
    page.getByRole("button", { name: "Archived" }),
  ];
  await changesWhenFocused(page, kinds);
  await openDemo(page, "land");
  await page.getByRole("button", { name: /^Landed on/ }).click();
  await changesWhenFocused(page, [
    page.getByRole("combobox", { name: "Equipment", exact: true }),
    page.getByRole("list", { name: "Then" }).getByRole("checkbox").first(),
    page.getByRole("button", { name: /^Landed on/ }),
    page.getByRole("navigation", { name: "Stages" }).getByRole("link", { name: /Trace/ }),
  ]);
  await page.goto(page.url().replace(/\w+$/, "plate"));
  await changesWhenFocused(page, [
    page.getByLabel("Power, old motor"),
    page.getByLabel("Kind, old motor"),
    page.getByLabel(/The whole plate in one line/),
  ]);
});

/** Each looks otherwise with the focus of the keyboard than without it. */
async function changesWhenFocused(page: Page, kinds: readonly Locator[]): Promise<void> {
  for (const kind of kinds) {
    await kind.scrollIntoViewIfNeeded();
    const box = await kind.boundingBox();
    if (!box) throw new Error("not there");
    const room = 8;
    const clip = {
      x: Math.max(0, box.x - room),
      y: Math.max(0, box.y - room),
      width: box.width + 2 * room,
      height: box.height + 2 * room,
    };
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    const without = await page.screenshot({ clip });
    await kind.focus();
    // The ring is for the keyboard: a key says that one is used.
    await page.keyboard.press("Shift");
    const focused = await page.screenshot({ clip });
    expect(focused.equals(without), (await kind.getAttribute("aria-label")) ?? "").toBe(false);
  }
}

test("the chosen scheme stays after a reload", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("button", { name: /Day scheme/ }).click();
  await page.reload();
  await expect(page.getByRole("button", { name: /Attic scheme/ })).toBeVisible();
});

test("a page that is not there says so", async ({ page }) => {
  const response = await page.goto("/jobs/nonsense/probe");
  expect(response?.status()).toBe(404);
  await expect(page.getByText("There is no such page.")).toBeVisible();
});

test("an address with nothing under it is said to be none; a title names the job", async ({ page }) => {
  await page.goto("/jobs/01920000-0000-7000-8000-000000000001/probe");
  await expect(
    page.getByRole("status").filter({ hasText: "No job is kept under this address" }),
  ).toBeVisible();
  await page.goto("/", { waitUntil: "networkidle" });
  await page.getByRole("button", { name: /^Start with a motor/ }).click();
  await page.waitForURL(/\/probe$/);
  await page.getByLabel("Name of this job").first().fill("Pier lamp store, vent fan");
  await page.getByLabel("Name of this job").first().press("Enter");
  await expect(page).toHaveTitle("Probe: Pier lamp store, vent fan · Odd Lead");
  await expect(page.getByText("No job is kept under this address")).toHaveCount(0);
  // What the server draws late names the stage alone: the job's name outlasts it.
  await page.getByRole("navigation", { name: "Stages" }).getByRole("link", { name: /^Land/ }).click();
  await page.waitForURL(/\/land$/);
  await page.reload({ waitUntil: "networkidle" });
  await expect(page).toHaveTitle("Land: Pier lamp store, vent fan · Odd Lead");
  await page.waitForTimeout(1000);
  await expect(page).toHaveTitle("Land: Pier lamp store, vent fan · Odd Lead");
});

test("every stage prints on an ordinary sheet with its job and day, and none of its buttons", async ({
  page,
}) => {
  await openDemo(page, "land");
  await page.emulateMedia({ media: "print" });
  for (const stage of ["probe", "plate", "cap", "land", "prove", "safe", "trace"] as const) {
    await page.goto(page.url().replace(/\w+$/, stage));
    await expect(page.getByText(/^Harbour office fan coil.*\d{4}-\d\d-\d\d/).first()).toBeVisible();
    await expect(page.getByRole("navigation")).toHaveCount(0);
    await expect(page.getByRole("button", { name: "Undo" })).toHaveCount(0);
    const pdf = (await page.pdf({ preferCSSPageSize: true })).toString("latin1");
    const box = /\/MediaBox\s*\[\s*0 0 ([\d.]+) ([\d.]+)/.exec(pdf);
    expect(Number(box?.[2]), stage).toBeGreaterThan(700);
  }
});

test("on paper ink is black, whichever scheme the screen is in", async ({ page }) => {
  const ink = () =>
    page.evaluate(() => {
      const { color, backgroundColor } = getComputedStyle(document.body);
      return [color, backgroundColor];
    });
  const paper = ["rgb(0, 0, 0)", "rgb(255, 255, 255)"];
  await openDemo(page, "land");
  for (const scheme of ["light", "dark"]) {
    await page.emulateMedia({ media: "screen" });
    await page.evaluate((name) => document.documentElement.setAttribute("data-scheme", name), scheme);
    expect(await ink(), scheme).not.toEqual(paper);
    await page.emulateMedia({ media: "print" });
    expect(await ink(), scheme).toEqual(paper);
    const divider = await page.evaluate(() =>
      getComputedStyle(document.documentElement).getPropertyValue("--mui-palette-divider"),
    );
    expect(divider, scheme).toBe("#999");
  }
});

test("scripts of the build come packed, and may be kept for ever", async ({ page, request }) => {
  await page.goto("/");
  const [script] = await page
    .locator("script[src^='/_next/static/']")
    .evaluateAll((found) => found.map((one) => one.getAttribute("src") ?? ""));
  const packed = await request.get(script ?? "", { headers: { "accept-encoding": "br" } });
  expect(packed.headers()["content-encoding"]).toBe("br");
  expect(packed.headers()["cache-control"]).toContain("immutable");
  expect(packed.headers()["x-content-type-options"]).toBe("nosniff");
  const plain = await request.get(script ?? "", { headers: { "accept-encoding": "identity" } });
  expect(plain.headers()["content-encoding"]).toBeUndefined();
  expect(await packed.text()).toBe(await plain.text());
});
