import { expect, test } from "@playwright/test";
import { axeFinds } from "./axe";
import { answered, enter, startMotor } from "./bench";

const verdict = { name: "Verdict" };

test("a table pasted from a spreadsheet is seen through first, then entered as a whole", async ({ page }) => {
  await startMotor(page, "WH BK RD BN");
  await page.getByRole("button", { name: "Paste a table" }).click();
  const pasted = page.getByLabel("Pasted table");
  await pasted.fill("lead,lead,ohms\nWH,BK,10.1\nWH,VT,13\nWH,BN,34.0");
  const place = page.getByRole("region", { name: "Paste a table" });
  await expect(place).toContainText("2 readings understood, 1 not");
  await expect(place).toContainText("Line 3: “VT” is no lead of this motor.");
  await expect(place.getByRole("button", { name: /^Enter/ })).toBeDisabled();
  await pasted.fill("\tWH\tBK\tRD\nBK\t10.1\nRD\t13.0\t3.0\nBN\t34.0\t24.1\t21.0");
  await expect(place).toContainText("6 readings understood");
  await place.getByRole("button", { name: "Enter 6 readings" }).click();
  await expect(page.getByRole("button", { name: /WH to BN, reads 34\.0/ })).toBeVisible();
  await expect(page.getByRole("region", verdict)).toContainText(/two windings joined inside/i);
});

test("several lines pasted into the reading's own field open the place for a table", async ({ page }) => {
  await startMotor(page, "WH BK BN");
  const field = page.getByLabel("Reading in ohms, or OL for open");
  await field.evaluate((input) => {
    const data = new DataTransfer();
    data.setData("text", "WH BK 8.2\nBK BN 13.9");
    input.dispatchEvent(
      new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }),
    );
  });
  await expect(page.getByRole("region", { name: "Paste a table" })).toContainText("2 readings understood");
});

test("a thumb enters a reading by the keypad alone", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await startMotor(page, "WH BK BN");
  await page.getByRole("button", { name: "Keypad", exact: true }).click();
  const keys = page.getByRole("group", { name: "Keypad" });
  // A hand looks at what is asked before it types.
  await answered(page);
  await keys.getByRole("button", { name: "OL" }).click();
  await keys.getByRole("button", { name: "Enter" }).click();
  await expect(page.getByRole("button", { name: /WH to the shell, reads OL/ })).toBeVisible();
  await answered(page);
  for (const key of ["8", "Decimal point", "3", "Delete the last digit", "2"])
    await keys.getByRole("button", { name: key, exact: true }).click();
  await keys.getByRole("button", { name: "Enter" }).click();
  await expect(page.getByRole("button", { name: /WH to BK, reads 8\.2/ })).toBeVisible();
  const box = await keys.getByRole("button", { name: "5" }).boundingBox();
  expect(box?.height).toBeGreaterThanOrEqual(48);
  expect(await axeFinds(page)).toEqual([]);
});

test("a tie lists every answer, and another one is drawn at a touch; told enough it is settled", async ({
  page,
}) => {
  await startMotor(page, "WH BK BN");
  for (const line of ["WH shell OL", "WH BK 8.2", "BK BN 19.9", "WH BN 28.0"]) await enter(page, line);
  const panel = page.getByRole("region", verdict);
  await expect(panel).toContainText("answers left: one question settles it");
  await expect(panel).toContainText("It could also be");
  const winding = page.getByRole("region", { name: "Winding", exact: true });
  await expect(winding.getByRole("img")).toHaveAttribute("aria-label", /start winding/);
  await winding.getByRole("button", { name: /Alternative 1/ }).click();
  await expect(winding.getByRole("img")).not.toHaveAttribute("aria-label", /start winding/);
  await expect(winding).toContainText("line-common");
  await page.getByLabel("Capacitor").selectOption("run");
  await expect(panel).toContainText("Settled");
});

test("an open lead waits for the motor to cool, across a reload, until it is read again", async ({
  page,
}) => {
  await startMotor(page, "WH BK BN");
  for (const line of ["WH shell OL", "BK BN 19.9", "WH BK OL", "WH BN OL"]) await enter(page, line);
  await expect(page.getByRole("region", verdict)).toContainText("Stop");
  await page.getByRole("button", { name: /Let it cool/ }).click();
  const cooling = page.getByRole("region", { name: "Cooling" });
  await expect(cooling).toContainText(/29:\d\d left/);
  await page.reload();
  await expect(cooling).toContainText(/29:\d\d left/);
  await cooling.getByRole("button", { name: /Read WH and/ }).click();
  await page.getByLabel("Reading in ohms, or OL for open").fill("8.2");
  await page.keyboard.press("Enter");
  await expect(cooling).toBeHidden();
});

test("the meter's accuracy and its probes' zero are kept with the job; nonsense is not", async ({ page }) => {
  await startMotor(page, "WH BK BN");
  const meter = page.getByRole("region", { name: "Meter" });
  await meter.getByRole("button").click();
  const zero = page.getByLabel("Probes’ zero, Ω");
  await zero.fill("-3");
  await zero.press("Enter");
  await expect(meter).toContainText("A number from 0 to 100");
  await zero.fill("0.4");
  await zero.press("Enter");
  for (const line of ["WH shell OL", "WH BK 8.6", "BK BN 14.3", "WH BN 22.4"]) await enter(page, line);
  await expect(page.getByRole("region", { name: "Winding", exact: true })).toContainText("8.2 Ω");
  await page.reload();
  await expect(meter).toContainText("probes 0.4 Ω");
});

test("the simulated meter comes to rest, and Hold or Enter takes its value pair by pair to an answer", async ({
  page,
}) => {
  await startMotor(page, "WH BK BN");
  await page.getByRole("button", { name: "Simulated meter" }).click();
  const meter = page.getByRole("region", { name: "Simulated meter" });
  await expect(meter).toContainText("made up");
  const steady = meter.getByText("steady");
  await expect(steady).toBeVisible();
  await expect(meter.getByRole("status", { name: "Display" })).toHaveText("OL");
  await meter.getByRole("button", { name: "Hold" }).click();
  await expect(page.getByRole("button", { name: /to the shell, reads OL/ }).first()).toBeVisible();
  const asked = page.getByRole("region", { name: "Reading", exact: true }).locator("[aria-live]").first();
  const readings = page.getByRole("button", { name: /, reads / });
  await answered(page);
  for (let touched = 0; touched < 8 && /^Touch/.test((await asked.textContent()) ?? ""); touched++) {
    const before = { readings: await readings.count(), asked: await asked.textContent() };
    // Enter while the display still moves is kept until it stands still.
    await page.getByLabel("Reading in ohms, or OL for open").press("Enter");
    await expect
      .poll(
        async () =>
          (await readings.count()) > before.readings || (await asked.textContent()) !== before.asked,
      )
      .toBe(true);
    await answered(page);
  }
  await expect(page.getByRole("region", verdict)).toContainText(/Settled|answers left/);
  await page.getByRole("button", { name: "Detach the meter" }).click();
  await expect(meter).toBeHidden();
});

test("the meter's routes refuse what does not hold together", async ({ request }) => {
  const post = (url: string, data: unknown) => request.post(url, { data });
  expect((await post("/api/v1/meter", { leads: ["a"], seed: 1 })).status()).toBe(422);
  expect((await post("/api/v1/meter", { leads: ["a", 'b",c'], seed: 1 })).status()).toBe(422);
  const made = await post("/api/v1/meter", { leads: ["a", "b"], seed: 1 });
  expect(made.status()).toBe(201);
  const { meter } = await made.json();
  expect((await post(`/api/v1/meter/${meter}/probes`, { between: ["a", "z"] })).status()).toBe(422);
  expect((await post(`/api/v1/meter/${meter}/probes`, { between: ["a", "b"] })).status()).toBe(200);
  await request.delete(`/api/v1/meter/${meter}`);
  expect((await post(`/api/v1/meter/${meter}/probes`, { lifted: true })).status()).toBe(404);
  expect((await request.get(`/api/v1/meter/${meter}/stream`)).status()).toBe(404);
});
