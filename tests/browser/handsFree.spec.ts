import { expect, type Page, test } from "@playwright/test";
import { scpiMeter, seededRandom } from "../../src/core/bench";
import { serveInstrument } from "../../src/server/instrument/standIn";
import { startMotor } from "./bench";

/** Records what the browser's own voice is given to say. */
async function listen(page: Page): Promise<() => Promise<string[]>> {
  await page.addInitScript(() => {
    const said: string[] = [];
    Object.assign(window, { said });
    window.speechSynthesis.speak = (words) => void said.push(words.text);
  });
  return () => page.evaluate(() => (window as unknown as { said: string[] }).said);
}

const readings = (page: Page) => page.getByRole("button", { name: /, reads / });

test("hands free: values take themselves, are said back, and one key strikes a wrong catch", async ({
  page,
}) => {
  test.setTimeout(240_000);
  const said = await listen(page);
  await startMotor(page, "WH BK BN");
  await page.getByRole("button", { name: "Simulated meter" }).click();
  const meter = page.getByRole("region", { name: "Simulated meter" });
  await meter.getByRole("button", { name: "Hands free" }).click();
  await meter.getByRole("button", { name: "Say it aloud" }).click();
  await expect.poll(said).toContainEqual(expect.stringMatching(/to the shell\.$/));
  // The shell reads open: the simulated hand gives the sign by its tips, and the value is taken without a key.
  await expect(page.getByRole("button", { name: /to the shell, reads OL/ }).first()).toBeVisible({
    timeout: 20_000,
  });
  await expect(readings(page).first()).toBeVisible({ timeout: 20_000 });
  await expect.poll(said).toContainEqual(expect.stringMatching(/^Open\. \w+ to \w+\.$/));
  const before = await readings(page).count();
  await page.keyboard.press("Backspace");
  await expect(readings(page)).toHaveCount(before - 1);
  await expect(page.getByRole("region", { name: "Verdict" })).toContainText(/Settled|answers left/, {
    timeout: 60_000,
  });
  await expect.poll(said).toContainEqual(expect.stringContaining("Nothing more to touch."));
});

test("a meter by its address is read as it streams; a wrong address is said, and nothing is lost", async ({
  page,
}) => {
  const network = {
    junctions: 3,
    sections: [
      { from: 0, to: 1, ohms: 12, winding: "main" as const },
      { from: 1, to: 2, ohms: 19, winding: "start" as const },
    ],
    leadAt: new Map([
      ["a", 0],
      ["b", 1],
      ["c", 2],
    ]),
  };
  const usual = { percent: 1, counts: 2, resolutionOhms: 0.1, probeOhms: 0 };
  const virtual = scpiMeter(network, usual, seededRandom(3));
  const real = await serveInstrument(virtual);
  try {
    await startMotor(page, "WH BK BN");
    const fold = page.getByRole("region", { name: "Meter", exact: true });
    await fold.getByRole("button").first().click();
    await fold.getByLabel("Meter’s address").fill("not an address");
    await fold.getByLabel("Port").click();
    await expect(fold).toContainText("such as 192.168.1.40");
    await fold.getByLabel("Meter’s address").fill("127.0.0.1");
    await fold.getByLabel("Port").fill("1999");
    await fold.getByLabel("Meter’s address").click();
    await page.getByRole("button", { name: "Attach the meter" }).click();
    const meter = page.getByRole("region", { name: "Meter at its address" });
    await expect(meter.getByRole("alert")).toContainText(
      "Nothing answers as a meter at 127.0.0.1, port 1999",
    );
    await page.getByRole("button", { name: "Detach the meter" }).click();
    await fold.getByLabel("Port").fill(String(real.port));
    await fold.getByLabel("Meter’s address").click();
    await page.reload();
    await page.getByRole("button", { name: "Attach the meter" }).click();
    await expect(meter).toContainText("VIRTUAL OHMMETER");
    await meter.getByRole("button", { name: "Hands free" }).click();
    // Hands that are not the page's: open in the air says nothing, a key gives the sign.
    await page.waitForTimeout(3000);
    await expect(readings(page)).toHaveCount(0);
    await page.getByLabel("Reading in ohms, or OL for open").focus();
    await page.keyboard.press("PageDown");
    await expect(page.getByRole("button", { name: /to the shell, reads OL/ }).first()).toBeVisible();
    await page.waitForTimeout(1000);
    virtual.answer('ROUT:TOUC "a","b"', Date.now());
    await expect(page.getByRole("button", { name: /, reads 1[12]\.\d/ }).first()).toBeVisible();
  } finally {
    real.close();
  }
});
