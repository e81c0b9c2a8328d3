import { expect, type Page, test } from "@playwright/test";
import { v7 as uuidv7 } from "uuid";

/** A job of its own with the facts of the demo's condenser fan, so that no test meets what another entered. */
async function openIceHouse(page: Page, stage: "safe" | "prove"): Promise<void> {
  const { jobs } = await (await page.request.get("/api/v1/jobs")).json();
  const demo = jobs.find(({ title }: { title: string }) => /^Ice house/.test(title));
  const { facts } = await (await page.request.get(`/api/v1/jobs/${demo.id}/facts`)).json();
  const id = uuidv7();
  const copied = facts.map(({ at, by, body }: { body: { kind: string }; at: string; by: string }) => ({
    id: uuidv7(),
    at,
    by,
    body: body.kind === "title" ? { ...body, title: "A copy of the condenser fan" } : body,
  }));
  const kept = await page.request.post(`/api/v1/jobs/${id}/facts`, { data: { facts: copied } });
  expect(kept.ok()).toBe(true);
  await page.goto(`/jobs/${id}/${stage}`, { waitUntil: "networkidle" });
}

const verdict = (page: Page) => page.getByRole("region", { name: "Verdict" });
const asked = (page: Page) => page.getByRole("region", { name: "Next check" });

/** The likely value of a band, as the page itself expects it. */
async function likely(page: Page, label: RegExp): Promise<string> {
  const line = page
    .getByRole("region", { name: "Expected" })
    .getByRole("listitem")
    .filter({ hasText: label });
  const says = (await line.first().getByRole("img").getAttribute("aria-label")) ?? "";
  return /likely ([\d.]+)/.exec(says)?.[1] ?? "";
}

/** Answers what is asked as a sound machine would; false when nothing is asked any more. */
async function answer(page: Page): Promise<boolean> {
  await expect(verdict(page)).toBeVisible();
  if (!(await asked(page).isVisible())) return false;
  const asks = (await asked(page).getByRole("heading").textContent()) ?? "";
  const lines = await page.getByRole("button", { name: /Strike line/ }).count();
  if (/Does it start/.test(asks)) await asked(page).getByRole("button", { name: "Starts by itself" }).click();
  else if (/which way/.test(asks))
    await asked(page).getByRole("button", { name: "CCW, seen from the lead end" }).click();
  else {
    const lead = /amps on (\S+)/.exec(asks)?.[1];
    const value = lead
      ? await likely(page, new RegExp(`^Amps, ${lead}`))
      : /speed/.test(asks)
        ? "1076"
        : /volts L1/.test(asks)
          ? "232"
          : /µF/.test(asks)
            ? /HERM/.test(asks)
              ? "35.1"
              : "6.02"
            : /amps into/.test(asks)
              ? await likely(page, /^Cap amps/)
              : /volts across/.test(asks)
                ? await likely(page, /^Cap volts/)
                : "OL";
    const field = asked(page).getByRole("textbox").first();
    await field.fill(value);
    await field.press("Enter");
  }
  await expect(page.getByRole("button", { name: /Strike line/ })).toHaveCount(lines + 1);
  await expect(page.locator('[aria-busy="true"]')).toHaveCount(0);
  return true;
}

test("simulated instruments on a virtual machine are read like real ones, and say when they are gone", async ({
  page,
}) => {
  await openIceHouse(page, "prove");
  const lines = page.getByRole("button", { name: /Strike line/ });
  await expect(asked(page)).toBeVisible();
  while ((await lines.count()) > 0) {
    const before = await lines.count();
    await lines.first().click();
    await expect(lines).toHaveCount(before - 1);
  }
  await page.getByRole("button", { name: /Instruments that are read/ }).click();
  await page.getByLabel("Simulated bench").selectOption("sound");
  const instrument = asked(page).getByRole("region", { name: "Instrument" });
  let taken = 0;
  for (let line = 0; line < 5; line++) {
    await expect(page.locator('[aria-busy="true"]')).toHaveCount(0);
    const asks = (await asked(page).getByRole("heading").textContent()) ?? "";
    if (/Does it start/.test(asks)) {
      await expect(instrument).toContainText("it starts by itself");
      await asked(page).getByRole("button", { name: "Starts by itself" }).click();
    } else if (/which way/.test(asks)) {
      await expect(instrument).toContainText(/turns C?CW seen from/);
      await asked(page)
        .getByRole("button", { name: /^CCW, seen from the lead end/ })
        .click();
    } else {
      await expect(instrument).toContainText("steady");
      await expect(instrument.getByRole("status", { name: "Display" })).toHaveText(
        /^(?:[\d.]+ (?:A|V|rpm|µF|Ω)|OL)$/,
      );
      await instrument.getByRole("button", { name: "Take it" }).click();
      taken += 1;
    }
    await expect(lines).toHaveCount(line + 1);
  }
  expect(taken).toBeGreaterThan(0);
  await page.getByLabel("Simulated bench").selectOption("none");
  await expect(instrument).toHaveCount(0);
  // A real instrument that nothing answers for: said, and typing goes on.
  await page.getByLabel("Clamp meter", { exact: true }).fill("127.0.0.1");
  await page.getByLabel("Clamp meter", { exact: true }).press("Enter");
  await page.getByLabel("Port of the clamp meter").fill("1999");
  await page.getByLabel("Port of the clamp meter").press("Enter");
  await page.getByRole("button", { name: /Something else/ }).click();
  await page.getByRole("combobox", { name: "What", exact: true }).selectOption("line-amps");
  await expect(page.getByRole("alert").filter({ hasText: "Nothing answers as a meter" })).toBeVisible();
});

test.describe("on a phone", () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test("a newcomer makes it safe, proves it by what the screen asks, and signs", async ({ page }) => {
    await openIceHouse(page, "safe");
    const gate = page.getByRole("region", { name: "Gate" });
    await expect(gate).toContainText("to do");
    await page.getByLabel("Highest volts measured").fill("120");
    await page.getByLabel("Highest volts measured").press("Enter");
    await expect(page.getByRole("alert").filter({ hasText: "is not dead" })).toBeVisible();
    await page.getByLabel("Highest volts measured").fill("0.3");
    await page.getByLabel("Highest volts measured").press("Enter");
    for (const box of await page.getByRole("list", { name: "Steps" }).getByRole("checkbox").all())
      if (!(await box.isChecked())) await box.check();
    await expect(gate).toContainText("Safe to touch");
    await page.reload({ waitUntil: "networkidle" });
    await expect(gate).toContainText("Safe to touch");

    await page.goto(page.url().replace(/safe$/, "prove"));
    await expect(asked(page)).toContainText("bump it one second");
    const field = asked(page).getByRole("button").first();
    await expect(field).toBeInViewport();
    for (let check = 0; check < 14; check++) if (!(await answer(page))) break;
    await expect(verdict(page)).toContainText("Proved good");
    await page.getByLabel("Who signs").fill("Petra Quill");
    await page.getByRole("button", { name: "Sign off as Petra Quill" }).click();
    await expect(page.getByRole("region", { name: "Signed off" })).toContainText("Petra Quill");
    await page.getByRole("link", { name: "To the label" }).click();
    await expect(page.getByRole("img", { name: /Label/ })).toContainText("proved");
    // What was seen under power opened the gate again.
    await page.goto(page.url().replace(/record$/, "safe"));
    await expect(gate).toContainText("Power was on");
  });
});

test("a trip asks for the insulation before anything else; the simulated tester is read, the record keeps it", async ({
  page,
}) => {
  await openIceHouse(page, "prove");
  await expect(verdict(page)).toBeVisible();
  await page.getByRole("button", { name: "Something else" }).click();
  await page.getByRole("combobox", { name: "What", exact: true }).selectOption("sign");
  await page
    .getByRole("region", { name: "Something else" })
    .getByRole("button", { name: "Breaker tripped" })
    .click();
  await expect(verdict(page)).toContainText("Stop: power off");
  await expect(asked(page)).toContainText("insulation");
  const field = asked(page).getByRole("textbox");
  await field.fill("wet");
  await field.press("Enter");
  await expect(asked(page).getByRole("alert")).toContainText("no insulation reading");
  await field.fill(">1000");
  await field.press("Enter");
  const lines = page.getByRole("region", { name: "Lines of the proof" });
  await expect(lines).toContainText("over 1000 MΩ");
  await expect(lines).toContainText("it passes");
  await expect(page.getByRole("heading", { name: /insulation/ })).toHaveCount(0);
  await page.getByRole("button", { name: /Instruments that are read/ }).click();
  await page.getByLabel("Simulated bench").selectOption("sound");
  await page.getByRole("combobox", { name: "What", exact: true }).selectOption("insulation");
  const instrument = page
    .getByRole("region", { name: "Something else" })
    .getByRole("region", { name: "Instrument" });
  await expect(instrument.getByRole("status", { name: "Display" })).toHaveText(/^(?:[\d.]+ MΩ|OL)$/);
  await expect(instrument).toContainText("steady");
  await page.goto(page.url().replace(/prove$/, "probe"));
  // Folded, for it is good; open it says by how much.
  const insulation = page.getByRole("region", { name: "Insulation test" });
  await expect(insulation).toContainText("Good");
  await insulation.getByRole("button", { name: /^Insulation test/ }).click();
  await expect(insulation.getByText("it passes")).toBeVisible();
});

test("a pump is judged by where its switch is set, typed once, and by both ways of turning", async ({
  page,
}) => {
  await openIceHouse(page, "prove");
  await page.getByLabel("It turns").selectOption("pump");
  const set = page.getByLabel("Its pressure switch: on and off");
  await set.fill("60/40");
  await set.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "starts at less pressure" })).toBeVisible();
  await set.fill("40/60");
  await set.press("Enter");
  await page.getByRole("button", { name: "Something else" }).click();
  await page.getByRole("combobox", { name: "What", exact: true }).selectOption("pressure");
  const more = page.getByRole("region", { name: "Something else" });
  await more.getByRole("textbox").fill("52 psi");
  await more.getByRole("textbox").press("Enter");
  const lines = page.getByRole("region", { name: "Lines of the proof" });
  await expect(lines).toContainText(
    "52 psi (3.6 bar), its switch is set 40 psi (2.8 bar) to 60 psi (4.1 bar)",
  );
  await more.getByRole("textbox").fill("1,5 bar");
  await more.getByRole("textbox").press("Enter");
  await expect(lines).toContainText("runs dry, or lost its prime");
  await expect(verdict(page)).toContainText("Stop: power off");
});

test("a hum and no amps in the start lead: found, mended, proved again; a struck line comes back by redo", async ({
  page,
}) => {
  await openIceHouse(page, "prove");
  await expect(verdict(page)).toBeVisible();
  await asked(page).getByRole("button", { name: "Hums, stands" }).click();
  await expect(page.getByRole("region", { name: "Lines of the proof" })).toContainText(
    "off within five seconds",
  );
  await page.getByRole("button", { name: "Something else" }).click();
  await page.getByRole("combobox", { name: "What", exact: true }).selectOption({ label: "µF, power off" });
  await page.getByRole("combobox", { name: "Where", exact: true }).selectOption({ label: "FAN" });
  const more = page.getByRole("region", { name: "Something else" }).getByRole("textbox");
  await more.fill("nothing");
  await more.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "no figure" })).toBeVisible();
  await more.fill("0");
  await more.press("Enter");
  // A tester shows no microfarads of one that is shorted either: ohms with the power off tell which.
  await expect(asked(page)).toContainText("Power off: ohms BN to YE");
  await asked(page).getByRole("textbox").fill("41.6");
  await asked(page).getByRole("textbox").press("Enter");
  await expect(verdict(page)).toContainText("Found");
  await expect(verdict(page)).toContainText("capacitor");
  await page.getByRole("button", { name: "Strike line 3" }).click();
  await expect(verdict(page)).not.toContainText("Found");
  await page.getByRole("button", { name: "Redo", exact: true }).click();
  await expect(verdict(page)).toContainText("Found");
  await page.getByLabel("What was mended").fill("new capacitor");
  await page.getByRole("button", { name: "Mended: prove again" }).click();
  await expect(asked(page)).toContainText("bump it one second");
  await page.reload({ waitUntil: "networkidle" });
  await expect(page.getByRole("region", { name: "Lines of the proof" })).toContainText("new capacitor");
});

test("a check-up without leads or equipment judges by plate and label in a minute", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("button", { name: "Start with a motor" }).click();
  await page.waitForURL(/\/jobs\//);
  await page.goto(page.url().replace(/[a-z]+$/, "prove"), { waitUntil: "networkidle" });
  const checkUp = page.getByRole("region", { name: "Check-up" });
  await expect(checkUp).toContainText("volts and amps say what is normal");
  await page.getByLabel("Capacitor, its label").fill("35+5 440");
  await page.getByLabel("Capacitor, its label").press("Enter");
  await page.getByLabel("µF measured").fill("3.9");
  await page.getByLabel("µF measured").press("Enter");
  const lines = page.getByRole("region", { name: "Lines of the proof" });
  await expect(lines).toContainText("3.9 µF, label 5 ± 6 %: replace it.");
  await page.getByRole("button", { name: /^Smoke, smell, noise/ }).click();
  await page.getByRole("button", { name: "Smoke", exact: true }).click();
  await expect(lines).toContainText("off at once");
  await page.getByLabel("Who signs").fill("Dov Hask");
  await expect(page.getByRole("button", { name: /Sign off/ })).toBeDisabled();
  await page.getByLabel("Reason for going on").fill("switched off, motor to be replaced");
  await page.getByRole("button", { name: /Sign off/ }).click();
  await expect(page.getByRole("region", { name: "Signed off" })).toContainText("motor to be replaced");
});

test("the route answers as the core does, and refuses in words", async ({ request }) => {
  const refused = await request.post("/api/v1/diagnose", { data: { format: "odd-lead/proving-sheet@1" } });
  expect(refused.status()).toBe(422);
  expect(await refused.json()).toMatchObject({ faults: expect.arrayContaining([expect.anything()]) });
  const api = await (await request.get("/api/v1/openapi.json")).json();
  const example = api.paths["/api/v1/diagnose"].post.requestBody.content["application/json"].example;
  const answered = await request.post("/api/v1/diagnose", { data: example });
  expect(answered.status()).toBe(200);
  expect(await answered.json()).toMatchObject({ format: "odd-lead/diagnosis@1", status: "needs-check" });
});
