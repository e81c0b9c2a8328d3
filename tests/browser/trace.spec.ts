import { expect, type Page, test } from "@playwright/test";
import sharp from "sharp";
import { startMotor } from "./bench";

/** A picture of a phone: lying on its side by its own mark. */
async function sidewaysPhoto(): Promise<Buffer> {
  return sharp({ create: { width: 640, height: 480, channels: 3, background: "#6f7478" } })
    .jpeg()
    .withMetadata({ orientation: 6 })
    .toBuffer();
}

async function trace(page: Page): Promise<void> {
  await startMotor(page, "BK YE BN");
  await page.getByRole("navigation", { name: "Stages" }).getByRole("link", { name: /Trace/ }).click();
  await expect(page.getByRole("region", { name: "Photos" })).toBeVisible();
}

test("a photo comes back upright with its pins, and goes away again", async ({ page, request, baseURL }) => {
  await trace(page);
  await page.setInputFiles('input[type="file"]', {
    name: "compartment.jpg",
    mimeType: "image/jpeg",
    buffer: await sidewaysPhoto(),
  });
  const photo = page.getByRole("img", { name: /Compartment, photo 1/ });
  await expect(photo).toBeVisible();
  await expect(photo).toHaveAttribute("width", "480");
  await expect(photo).toHaveAttribute("height", "640");
  await page.getByRole("button", { name: /Set a pin/ }).click({ position: { x: 60, y: 90 } });
  const pin = page.getByLabel("Pin 1", { exact: true });
  await pin.fill("BK on T1");
  await pin.press("Enter");
  const mark = page.getByRole("button", { name: /^Pin 1, BK on T1/ });
  const before = await mark.boundingBox();
  await mark.focus();
  for (let i = 0; i < 5; i++) await page.keyboard.press("ArrowRight");
  await expect(page.getByRole("button", { name: /Undo/ })).toBeEnabled();
  await page.reload({ waitUntil: "networkidle" });
  await expect(mark).toBeVisible();
  // What the server sent with the page may lag behind what this browser has kept and is still sending.
  await expect.poll(async () => ((await mark.boundingBox())?.x ?? 0) - (before?.x ?? 0)).toBeGreaterThan(10);
  const source = await photo.getAttribute("src");
  const kept = await request.get(`${baseURL}${source}`);
  expect(kept.headers()["content-type"]).toBe("image/jpeg");
  expect((await sharp(await kept.body()).metadata()).exif).toBeUndefined();
  await page.getByRole("button", { name: "Take the photo away" }).click();
  await expect(photo).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(photo).toBeVisible();
});

test("what is no picture is refused in words and can be left or sent again", async ({ page }) => {
  await trace(page);
  await page.setInputFiles('input[type="file"]', {
    name: "notes.jpg",
    mimeType: "image/jpeg",
    buffer: Buffer.from("not a picture at all"),
  });
  const trouble = page.getByRole("alert").filter({ hasText: "notes.jpg" });
  await expect(trouble).toContainText("no picture that can be read");
  await trouble.getByRole("button", { name: "Send again" }).click();
  await expect(trouble).toContainText("no picture that can be read");
  await trouble.getByRole("button", { name: "Leave it" }).click();
  await expect(trouble).toHaveCount(0);
});

test("a photo taken without signal waits in the browser, through other stages and a reload, until it is sent", async ({
  page,
}) => {
  await trace(page);
  await page.route("**/photos/*", (route) =>
    route.request().method() === "PUT" ? route.abort() : route.continue(),
  );
  await page.setInputFiles('input[type="file"]', {
    name: "dark-attic.jpg",
    mimeType: "image/jpeg",
    buffer: await sidewaysPhoto(),
  });
  const trouble = page.getByRole("alert").filter({ hasText: "dark-attic.jpg" });
  await expect(trouble).toContainText("kept in this browser");
  await expect(trouble.getByRole("img", { name: "dark-attic.jpg, as it was taken" })).toBeVisible();
  const stages = page.getByRole("navigation", { name: "Stages" });
  await stages.getByRole("link", { name: /Land/ }).click();
  await expect(page.getByRole("heading", { name: "Landed on" })).toBeVisible();
  await stages.getByRole("link", { name: /Trace/ }).click();
  await expect(trouble).toBeVisible();
  await page.reload({ waitUntil: "networkidle" });
  await expect(trouble).toBeVisible();
  await page.unroute("**/photos/*");
  // It goes by itself once there is a line again.
  await expect(page.getByRole("img", { name: /Compartment, photo 1/ })).toBeVisible({ timeout: 15_000 });
  await expect(trouble).toHaveCount(0);
  await page.reload({ waitUntil: "networkidle" });
  await expect(page.getByRole("img", { name: /Compartment, photo/ })).toHaveCount(1);
});

test("a photo too large, of another kind or for no job is refused by the server", async ({ request }) => {
  const id = () => crypto.randomUUID();
  const put = (job: string, data: Buffer, type: string) =>
    request.put(`/api/v1/jobs/${job}/photos/${id()}`, { data, headers: { "content-type": type } });
  expect((await put(id(), Buffer.from("{}"), "application/json")).status()).toBe(415);
  expect((await put("nobody", Buffer.from("x"), "image/jpeg")).status()).toBe(404);
  expect((await request.get(`/api/v1/jobs/${id()}/photos/${id()}`)).status()).toBe(404);
  // Last: what is refused unread ends its connection.
  expect((await put(id(), Buffer.alloc(16 * 1024 * 1024), "image/jpeg")).status()).toBe(413);
});

test("the single capacitor's one wire is told from its two, and a wrong colour is said", async ({ page }) => {
  await trace(page);
  await page
    .getByRole("combobox", { name: "Equipment", exact: true })
    .selectOption({ label: "Condenser, fan capacitor of its own" });
  await page.getByLabel("Old leads, by color").fill("BN QQ");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "QQ" })).toContainText("is no color we know");
  await page.getByLabel("Old leads, by color").fill("BN BN/WH");
  await page.keyboard.press("Enter");
  await page.getByLabel("BN was on").selectOption({ index: 5 });
  const old = page.getByRole("region", { name: "Old wiring" });
  const capacitor = page
    .getByLabel("BN was on")
    .locator("optgroup", { hasText: "2" })
    .filter({ hasText: "1" });
  await expect(capacitor.first()).toBeAttached();
  await page.getByLabel("BN was on").selectOption("capacitor.2");
  await page.getByLabel("BN/WH was on").selectOption("capacitor.1");
  await expect(old).toContainText(
    "This capacitor terminal holds one wire; the other has more and carries line.",
  );
  await expect(old).toContainText("run end, or its copy at the capacitor");
});

test("the equipment is edited, refused where it does not hold together, and kept", async ({ page }) => {
  await trace(page);
  await page
    .getByRole("combobox", { name: "Equipment", exact: true })
    .selectOption({ label: "Air handler, fan relay" });
  await page.getByRole("button", { name: "Edit this equipment" }).click();
  const volts = page.getByLabel("Supply, volts");
  await volts.fill("5000");
  await volts.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "left as it was" })).toBeVisible();
  await volts.fill("208");
  await volts.press("Enter");
  await expect(page.getByText("208 V, 60 Hz, edited here")).toBeVisible();
  await page.getByLabel("Add a device").selectOption({ label: "two places to park" });
  await page
    .getByRole("region", { name: "Edit the equipment" })
    .getByRole("button", { name: "Add", exact: true })
    .click();
  await page.getByRole("button", { name: /As text/ }).click();
  const text = page.getByLabel("The equipment as JSON");
  await expect(text).toHaveValue(/"parking"/);
  await text.fill("{");
  await page.getByRole("button", { name: "Take this over" }).click();
  await expect(page.getByRole("alert").filter({ hasText: "not valid JSON" })).toBeVisible();
  await page.reload({ waitUntil: "networkidle" });
  await expect(page.getByText("208 V, 60 Hz, edited here")).toBeVisible();
});
