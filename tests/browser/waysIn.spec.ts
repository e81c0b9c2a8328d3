import { expect, type Locator, type Page, test } from "@playwright/test";
import sharp from "sharp";
import { v7 as uuid } from "uuid";
import { type Network, ohmmeter, seededRandom } from "../../src/core/bench";
import { answered } from "./bench";

/** The calls that come every day, from the first page: counted in keys by keyboard, in taps by a thumb. */

const METER = { percent: 1, counts: 2, resolutionOhms: 0.1, probeOhms: 0 };

/** A condenser fan of three leads. */
const FAN: Network = {
  junctions: 3,
  sections: [
    { from: 0, to: 1, ohms: 14.1, winding: "main" },
    { from: 1, to: 2, ohms: 30.4, winding: "start" },
  ],
  leadAt: new Map([
    ["WH", 0],
    ["BK", 1],
    ["BN", 2],
  ]),
};

/** The same with its shared lead brought out twice. */
const FOUR_LEADS: Network = { ...FAN, leadAt: new Map([...FAN.leadAt, ["BN/WH", 0]]) };

/** A hand at the keyboard that counts its keys. */
class Keys {
  pressed = 0;

  constructor(readonly page: Page) {}

  async press(...keys: string[]): Promise<void> {
    for (const key of keys) {
      await this.page.keyboard.press(key);
      this.pressed += 1;
    }
  }

  async type(text: string): Promise<void> {
    await this.page.keyboard.type(text);
    this.pressed += text.length;
  }

  /** Tabs on until what is meant has the focus. */
  async tabTo(name: RegExp | string): Promise<void> {
    for (let tabs = 0; tabs < 25; tabs++) {
      const here = await this.page.evaluate(() => {
        const here = document.activeElement;
        return here === document.body ? "" : (here?.getAttribute("aria-label") ?? here?.textContent ?? "");
      });
      if (typeof name === "string" ? here.includes(name) : name.test(here)) return;
      await this.press("Tab");
    }
    throw new Error(`no ${name} within 25 tabs`);
  }
}

/** The least that a thumb in a glove hits, pixels. */
const LEAST_TARGET = 44;

/** A thumb that counts its taps, on what is on the screen and large enough; what the phone's own keys write is not counted, their Enter is. */
class Thumb {
  tapped = 0;

  constructor(readonly page: Page) {}

  async tap(target: Locator): Promise<void> {
    await expect(target).toBeInViewport();
    // A field's frame takes the touch for it.
    const height = await target.evaluate((one) =>
      Math.round((one.closest(".MuiInputBase-root") ?? one).getBoundingClientRect().height),
    );
    expect(height).toBeGreaterThanOrEqual(LEAST_TARGET);
    await target.tap();
    this.tapped += 1;
  }

  /** Writes into the field that has the cursor, or into one that is tapped first. */
  async write(field: Locator, text: string): Promise<void> {
    if (!(await field.evaluate((one) => one === document.activeElement))) await this.tap(field);
    await this.page.keyboard.type(text);
    await this.page.keyboard.press("Enter");
    this.tapped += 1;
  }
}

/** Takes every reading that is asked for, at the field that is in view beside what is asked. */
async function readAsAsked(
  page: Page,
  motor: Network,
  enter: (field: Locator, shown: string) => Promise<void>,
): Promise<void> {
  const meter = ohmmeter(motor, METER, seededRandom(4));
  const section = page.getByRole("region", { name: "Reading", exact: true });
  const field = page.getByLabel("Reading in ohms, or OL for open");
  for (let readings = 0; readings < 12; readings++) {
    await answered(page);
    const asked = (await section.locator("[aria-live]").allInnerTexts()).join(" ");
    if (!asked.startsWith("Touch")) break;
    await expect(field).toBeInViewport();
    const [a = "", b = ""] = [...asked.matchAll(/\b[A-Z]{2}(?:\/[A-Z]{2})?(?![A-Z])/g)].map(
      ([found]) => found,
    );
    const shown = /shell/.test(asked) ? null : meter(a, b);
    await enter(field, shown && "ohms" in shown ? shown.ohms.toFixed(1) : "OL");
  }
}

/** By keyboard the cursor is where the reading goes. */
const byKeys = (keys: Keys) => async (field: Locator, shown: string) => {
  await expect(field).toBeFocused();
  await keys.type(shown);
  await keys.press("Enter");
};

/** From the first page to the last reading, by thumb. */
async function probedByThumb(page: Page, colors: string, motor: Network): Promise<Thumb> {
  await page.goto("/", { waitUntil: "networkidle" });
  const thumb = new Thumb(page);
  await thumb.tap(page.getByRole("button", { name: /Start with a motor/ }));
  const row = page.getByLabel("Lead colors, in a row");
  await expect(row).toBeVisible();
  await thumb.write(row, colors);
  await readAsAsked(page, motor, (field, shown) => thumb.write(field, shown));
  return thumb;
}

const next = (page: Page) => page.getByRole("navigation", { name: "Next" }).getByRole("link");

test("which capacitor: the old label to what is on the truck in at most 20 keys", async ({ page }) => {
  await page.goto("/", { waitUntil: "networkidle" });
  const keys = new Keys(page);
  await keys.tabTo("Which capacitor");
  await keys.press("Enter");
  const field = page.getByLabel("Capacitor there now, as printed");
  await expect(field).toBeFocused();
  await keys.type("45/5 440");
  await keys.press("Enter");
  const answer = page.getByRole("region", { name: "Which capacitor" });
  await expect(answer).toContainText("Use a dual of 45 + 5 µF, 440 V or higher");
  await expect(answer.getByRole("region", { name: "Like for like" })).toContainText("45+5 µF 440 V");
  expect(keys.pressed).toBeLessThanOrEqual(20);
});

test.describe("by thumb", () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test("which capacitor: taken from the truck in at most 8 taps, and what follows is on the screen", async ({
    page,
  }) => {
    await page.goto("/", { waitUntil: "networkidle" });
    const thumb = new Thumb(page);
    await thumb.tap(page.getByRole("button", { name: /Which capacitor/ }));
    const there = page.getByLabel("Capacitor there now, as printed");
    await expect(there).toBeVisible();
    await thumb.write(there, "35+5 MFD 370/440 VAC");
    const like = page.getByRole("region", { name: "Like for like" });
    await thumb.tap(like.getByRole("button", { name: /^Take/ }).first());
    await expect(next(page)).toContainText("Does it run as it should");
    await expect(next(page)).toBeInViewport();
    expect(thumb.tapped).toBeLessThanOrEqual(8);
  });

  test("a fan to its label in at most 30 taps, the next step on the screen at every step", async ({
    page,
  }) => {
    const thumb = await probedByThumb(page, "WH BK BN", FAN);
    const settles = page.getByRole("region", { name: "What settles it" });
    if (await settles.isVisible())
      await thumb.tap(settles.getByRole("button", { name: /^two windings joined inside/ }));
    await expect(next(page)).toContainText("Where each lead goes");
    await expect(next(page)).toBeInViewport();
    await thumb.tap(page.getByRole("navigation", { name: "Stages" }).getByRole("link", { name: /^Record/ }));
    await expect(page).toHaveURL(/\/record$/);
    await expect(page.getByRole("img", { name: /Label/ })).toContainText("COM (joint)");
    expect(thumb.tapped).toBeLessThanOrEqual(30);
  });

  test("a motor of four leads in place of one of three: its plan is ready in at most 60 taps", async ({
    page,
  }) => {
    const thumb = await probedByThumb(page, "WH BK BN BN/WH", FOUR_LEADS);
    await expect(next(page)).toContainText("Where each lead goes");
    await thumb.tap(next(page).first());
    await expect(page).toHaveURL(/\/land$/);
    const equipment = page.getByLabel("Equipment");
    await thumb.tap(equipment);
    await equipment.selectOption("condenser-dual");
    thumb.tapped += 1;
    await expect(next(page)).toContainText("The plate’s volts and µF");
    await thumb.tap(next(page).first());
    await expect(page).toHaveURL(/\/plate$/);
    await thumb.write(
      page.getByLabel(/The whole plate in one line/),
      "1/4HP 1075RPM 208-230V 1.6A 5MFD 440V",
    );
    await expect(next(page)).toContainText("Where each lead goes");
    await thumb.tap(next(page).first());
    await expect(page.getByRole("region", { name: "Landing list" })).toContainText(
      "5 µF, 440 V or higher on its FAN side",
    );
    await expect(page.getByRole("status").filter({ hasText: "Stop" })).toHaveCount(0);
    expect(thumb.tapped).toBeLessThanOrEqual(60);
  });

  test("leads from a photo: a touch on white, then on each wire, each color confirmed", async ({ page }) => {
    await page.goto("/", { waitUntil: "networkidle" });
    await page.getByRole("button", { name: /Start with a motor/ }).tap();
    await page.getByLabel("Photo of the lead bundle").setInputFiles({
      name: "leads.png",
      mimeType: "image/png",
      buffer: await bundle(),
    });
    const photo = page.getByRole("button", { name: /^Photo of the leads/ });
    await expect(photo).toBeVisible();
    const touch = async (x: number, y: number) => {
      const box = await photo.boundingBox();
      if (!box) throw new Error("no photo");
      await photo.tap({ position: { x: x * box.width, y: y * box.height } });
    };
    await touch(0.1, 0.1);
    const offered = page.getByRole("group", { name: "Which color it is" });
    for (const [i, letters] of ["BN", "BU", "YE"].entries()) {
      await touch(0.3 + 0.2 * i, 0.6);
      await expect(offered.getByRole("button").first()).toContainText(letters);
      await offered.getByRole("button").first().tap();
    }
    // A stripe is a second touch.
    await touch(0.3, 0.6);
    await offered.getByRole("button", { name: /with a stripe/ }).tap();
    await touch(0.7, 0.6);
    await offered.getByRole("button", { name: /BN\/YE/ }).tap();
    for (const lead of ["BN", "BU", "YE", "BN/YE"])
      await expect(page.getByRole("button", { name: `Take ${lead} off the sheet` })).toBeVisible();
    await page.getByLabel("Photo of the lead bundle").setInputFiles({
      name: "notes.txt",
      mimeType: "text/plain",
      buffer: Buffer.from("no picture"),
    });
    await expect(page.getByRole("alert").filter({ hasText: "is no picture" })).toBeVisible();
  });
});

test("a fan to its label in at most 60 keys, the next step on the screen at every step", async ({ page }) => {
  await page.goto("/", { waitUntil: "networkidle" });
  const keys = new Keys(page);
  await keys.tabTo("Start with a motor");
  await keys.press("Enter");
  await expect(page.getByLabel("Lead colors, in a row")).toBeFocused();
  await keys.type("WH BK BN");
  await keys.press("Enter");
  await readAsAsked(page, FAN, byKeys(keys));
  // To the meter a lone main with a tap reads the same: its one question is under the verdict.
  const settles = page.getByRole("region", { name: "What settles it" });
  if (await settles.isVisible()) {
    await keys.tabTo(/^two windings joined inside/);
    await keys.press("Enter");
  }
  await expect(next(page)).toContainText("Where each lead goes");
  await expect(next(page)).toBeInViewport();
  await keys.press("Alt+9");
  await expect(page).toHaveURL(/\/record$/);
  await expect(page.getByRole("img", { name: /Label/ })).toContainText("COM (joint)");
  expect(keys.pressed).toBeLessThanOrEqual(60);
});

test("a motor of four leads in place of one of three: its plan is ready in at most 120 keys", async ({
  page,
}) => {
  await page.goto("/", { waitUntil: "networkidle" });
  const keys = new Keys(page);
  await keys.tabTo("Start with a motor");
  await keys.press("Enter");
  await expect(page.getByLabel("Lead colors, in a row")).toBeFocused();
  await keys.type("WH BK BN BN/WH");
  await keys.press("Enter");
  await readAsAsked(page, FOUR_LEADS, byKeys(keys));
  await expect(next(page)).toContainText("Where each lead goes");
  await keys.press("Alt+7");
  await expect(page).toHaveURL(/\/land$/);
  await expect(page.getByRole("heading", { level: 1 })).toBeFocused();
  const equipment = page.getByLabel("Equipment");
  await expect(equipment).toBeVisible();
  await keys.press("Tab");
  await expect(equipment).toBeFocused();
  // The second letter picks on: the field stays while it is typed in.
  await keys.type("Con");
  await expect(equipment).toBeFocused();
  await expect(equipment).toHaveValue("condenser-dual");
  await keys.press("Enter");
  await expect(page.getByRole("button", { name: "Landed on" })).toBeFocused();
  await expect(next(page)).toContainText("The plate’s volts and µF");
  await keys.press("Alt+3");
  await expect(page).toHaveURL(/\/plate$/);
  await expect(page.getByRole("heading", { level: 1 })).toBeFocused();
  const plate = page.getByLabel(/The whole plate in one line/);
  for (let tabs = 0; tabs < 8 && !(await plate.evaluate((one) => one === document.activeElement)); tabs++)
    await keys.press("Tab");
  await keys.type("1/4HP 1075RPM 208-230V 1.6A 5MFD 440V");
  await keys.press("Enter");
  await expect(next(page)).toContainText("Where each lead goes");
  await keys.press("Alt+7");
  const list = page.getByRole("region", { name: "Landing list" });
  await expect(list).toContainText("5 µF, 440 V or higher on its FAN side");
  const line = (wire: string) =>
    list.getByRole("listitem").filter({ has: page.getByText(wire, { exact: true }) });
  await expect(line("BN")).toContainText("FAN, dual capacitor");
  await expect(line("BN/WH")).toContainText("capped on its own");
  await expect(page.getByRole("status").filter({ hasText: "Stop" })).toHaveCount(0);
  expect(keys.pressed).toBeLessThanOrEqual(120);
});

test("yesterday's job among three hundred in at most 10 keys", async ({ page }) => {
  test.setTimeout(240_000);
  const names = ["Slipway", "Net store", "Chart room", "Boiler house", "Sail loft"];
  const make = async (i: number): Promise<void> => {
    const title = i === 150 ? "Tidewater kiosk, exhaust fan" : `${names[i % names.length]} fan ${i}`;
    const made = await page.request.post(`/api/v1/jobs/${uuid()}/facts`, {
      data: { facts: [{ id: uuid(), at: new Date().toISOString(), by: "", body: { kind: "title", title } }] },
    });
    if (made.status() === 429) {
      // Three hundred at once are more than an address may ask.
      await page.waitForTimeout(1000 * Number(made.headers()["retry-after"]));
      return make(i);
    }
    expect(made.ok()).toBe(true);
  };
  for (let i = 0; i < 300; i += 10) await Promise.all(Array.from({ length: 10 }, (_, k) => make(i + k)));
  await page.goto("/", { waitUntil: "networkidle" });
  const keys = new Keys(page);
  await keys.press("/");
  await expect(page.getByLabel("Find a job")).toBeFocused();
  await keys.type("tidew");
  await keys.press("Enter");
  await expect(page).toHaveURL(/\/jobs\/[0-9a-f-]{36}\/probe$/);
  await expect(page.getByRole("heading", { level: 1 })).toContainText("Tidewater kiosk, exhaust fan");
  expect(keys.pressed).toBeLessThanOrEqual(10);

  // The list itself, followed to the first of them: what is far off the screen is not drawn.
  await page.goto("/");
  const list = page.getByRole("region", { name: /^(Today|Earlier)$/ }).first();
  const first = list.getByRole("link", { name: /Slipway fan 0\b/ });
  for (let turns = 0; turns < 120 && (await first.count()) === 0; turns++) {
    // Less than a screen: what is passed over in one step is never drawn.
    await page.mouse.wheel(0, 600);
    await page.waitForTimeout(100);
  }
  await expect(first).toBeVisible();
  expect(await list.getByRole("listitem").count()).toBeLessThan(120);
});

test("set the voltage: supply and plate say which setting, and a supply it cannot stand is a stop", async ({
  page,
}) => {
  await page.goto("/", { waitUntil: "networkidle" });
  await page.getByRole("button", { name: /Set the voltage/ }).click();
  const panel = page.getByRole("region", { name: "Set the voltage" });
  await panel.getByLabel("L1 to L2, or line to neutral").fill("238");
  await panel.getByRole("button", { name: "Keep 238 V" }).click();
  await panel.getByLabel(/The whole plate in one line/).fill("1/2 HP 115/230 V 7.4/3.7 A");
  await panel.getByLabel(/The whole plate in one line/).press("Enter");
  await expect(panel).toContainText("The high setting");
  await expect(panel).toContainText("Set low it burns within minutes");
  await panel.getByLabel("L1 to L2, or line to neutral").fill("480");
  await panel.getByRole("button", { name: "Keep 480 V" }).click();
  await expect(panel).toContainText("Stop: not on this supply");
});

test("what could replace it: its plate in one line, and what serves is there", async ({ page }) => {
  await page.goto("/", { waitUntil: "networkidle" });
  await page.getByRole("button", { name: /What could replace it/ }).click();
  const line = page.getByLabel(/The whole plate in one line/);
  await expect(line).toBeFocused();
  await line.fill("1/4 HP 1075 RPM 208-230V 60HZ 1PH 1.8A 5MFD 370V CCWLE 48 FRAME OAO 1/2 SHAFT");
  await line.press("Enter");
  await expect(page.getByRole("region", { name: "Candidates" })).toContainText("motors serve; best first");
});

test("the keys of a page are one key away, never while text is typed; focus goes to the heading of a new stage", async ({
  page,
}) => {
  await page.goto("/", { waitUntil: "networkidle" });
  await page
    .getByRole("link", { name: /^Ice house condenser/ })
    .first()
    .click();
  await page.waitForURL(/\/probe$/);
  await page.getByLabel("Reading in ohms, or OL for open").press("?");
  await expect(page.getByRole("dialog")).toHaveCount(0);
  await page.getByLabel("Reading in ohms, or OL for open").fill("");
  await page.getByRole("navigation", { name: "Stages" }).getByRole("link", { name: /Trace/ }).click();
  await expect(page).toHaveURL(/\/trace$/);
  await expect(page.getByRole("heading", { level: 1 })).toBeFocused();
  await page.keyboard.press("?");
  await expect(page.getByRole("dialog", { name: "Keys of this page" })).toContainText("Ctrl Enter");
  await page.keyboard.press("Escape");
  await expect(page.getByRole("dialog")).toHaveCount(0);
  await page.goto(page.url());
  await page.keyboard.press("Tab");
  await expect(page.getByRole("link", { name: "To the page" })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/#main$/);
});

/** A made-up photo in the light of a warm lamp: paper at the top left, three wires side by side. */
async function bundle(): Promise<Buffer> {
  const lamp = (hex: string) => {
    const light = [1, 0.75, 0.5];
    const channels = [1, 3, 5].map((i, n) => {
      const linear = (Number.parseInt(hex.slice(i, i + 2), 16) / 255) ** 2.2 * (light[n] ?? 1) * 0.9;
      return Math.round(255 * linear ** (1 / 2.2));
    });
    return `rgb(${channels.join(",")})`;
  };
  const wires = ["#7a4a26", "#2b62b8", "#e7c400"].map(
    (paint, i) => `<rect x="${170 + 120 * i - 20}" y="120" width="40" height="260" fill="${lamp(paint)}"/>`,
  );
  const picture = `<svg xmlns="http://www.w3.org/2000/svg" width="600" height="400"><rect width="600" height="400" fill="${lamp("#b9ac99")}"/><rect x="20" y="10" width="90" height="60" fill="${lamp("#f6f6f4")}"/>${wires.join("")}</svg>`;
  return sharp(Buffer.from(picture)).png().toBuffer();
}
