import { expect, type Page, test } from "@playwright/test";

/** A new job at one of its stages. */
async function begin(page: Page, stage: string): Promise<void> {
  await page.goto("/");
  await page.getByRole("button", { name: "Start with a motor" }).click();
  await page.waitForURL(/\/probe$/);
  await page.getByRole("link", { name: new RegExp(`^${stage}`, "i") }).click();
  await page.waitForURL(new RegExp(`/${stage.toLowerCase()}$`));
}

async function wholePlate(page: Page, line: string): Promise<void> {
  await page.getByLabel(/The whole plate in one line/).fill(line);
  await page.getByRole("button", { name: "Enter", exact: true }).click();
}

const OLD = "1/3 HP 1075 RPM 208-230V 60HZ 1PH 2.6A 5MFD 370V CWLE";

test("on a phone: a plate in one line, a motor chosen with its reasons and its capacitor on one page", async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await begin(page, "Plate");
  await wholePlate(page, OLD);
  await expect(page.getByRole("status").filter({ hasText: "Taken:" })).toContainText(
    "power, speed, rotation, volts",
  );
  await page.getByRole("link", { name: /^Match/ }).click();
  const first = page.getByRole("region", { name: "Candidates" }).getByRole("listitem").first();
  await expect(first).toContainText("1/3 hp, the same power.");
  await first.getByRole("button", { name: /^Choose: / }).click();
  const chosen = page.getByRole("region", { name: "Chosen motor" });
  await expect(chosen).toContainText("Chosen: ");
  await expect(chosen).toContainText("µF, 370 V or higher, as the new motor’s plate says.");
  await expect(chosen).toContainText("Band between the vents");
  await chosen.getByRole("checkbox", { name: /lowest drain plug/ }).check();
  await expect(page.getByText("Saved")).toBeVisible();
  await page.reload();
  await expect(page.getByRole("region", { name: "Chosen motor" })).toContainText("Chosen: ");
  await expect(chosen.getByRole("checkbox", { name: /lowest drain plug/ })).toBeChecked();
  await expect(chosen.getByRole("checkbox", { name: /Turn it by hand/ })).not.toBeChecked();
});

test("every field is kept as typed and said in full; what is not understood says why and loses nothing", async ({
  page,
}) => {
  await begin(page, "Plate");
  const field = (name: string) => page.getByLabel(`${name}, old motor`);
  await field("Power").fill("0.25 kW");
  await field("Power").press("Enter");
  await expect(page.getByText("0.335 hp (250 W)").first()).toBeVisible();
  await field("Rotation").fill("CW");
  await field("Rotation").press("Enter");
  await expect(page.getByRole("main").getByRole("alert")).toContainText("from which end");
  await expect(field("Rotation")).toHaveValue("CW");
  await expect(page.getByRole("link", { name: /^Plate/ })).toContainText("look again");
  await field("Rotation").fill("CCW SE");
  await field("Rotation").press("Enter");
  await expect(
    page.getByText("clockwise from the lead end, counter-clockwise from the shaft end").first(),
  ).toBeVisible();
  // What matters and is missing is asked for one at a time, what decides first.
  const missing = page.getByRole("region", { name: "Missing" });
  await missing.getByLabel("Kind, asked for").selectOption("plain");
  await expect(missing).toContainText("Speed: From the schematic");
  await missing.getByRole("button", { name: "Cannot be had: ask the next" }).click();
  await expect(missing).toContainText("Volts: Measure the supply");
  await missing.getByLabel("Volts, asked for").fill("208-230");
  await missing.getByLabel("Volts, asked for").press("Enter");
  await expect(field("Volts")).toHaveValue("208-230");
  await expect(missing).not.toContainText("Volts:");
  for (let i = 0; i < 2; i++) await page.getByRole("button", { name: "Undo" }).click();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(field("Rotation")).toHaveValue("CW");
});

test("the needed turn is worked out from the blade, and rules out what turns the other way", async ({
  page,
}) => {
  await begin(page, "Plate");
  await wholePlate(page, "1/3 HP 1075 RPM 208-230V 60HZ 1PH");
  await page.getByRole("button", { name: /The turn the fan wants/ }).click();
  await page.getByLabel(/its edge nearer to you/).selectOption("left");
  await page.getByLabel(/the motor’s leads come out/).selectOption("away-from-me");
  await expect(
    page.getByText(/counter-clockwise from the lead end, clockwise from the shaft end\)\./).first(),
  ).toBeVisible();
  await page.getByRole("button", { name: "Take this turn" }).click();
  await page.getByRole("link", { name: /^Match/ }).click();
  await page.getByRole("button", { name: /^Ruled out/ }).click();
  await expect(page.getByRole("region", { name: "Ruled out" })).toContainText(
    "needed is CCWLE (counter-clockwise from the lead end",
  );
});

test("an electronic original is offered nothing but its like", async ({ page }) => {
  await begin(page, "Plate");
  await wholePlate(page, OLD);
  await page.getByLabel("Kind, old motor").selectOption("electronic");
  await page.getByRole("link", { name: /^Match/ }).click();
  await expect(page.getByText("None of the stock serves.")).toBeVisible();
  await page.getByRole("button", { name: /^Ruled out/ }).click();
  await expect(page.getByRole("region", { name: "Ruled out" })).toContainText("The original is electronic");
});

test("a dual keeps its compressor side; a part taken leaves the truck, and comes back by undo", async ({
  page,
}) => {
  await begin(page, "Plate");
  await page.getByRole("button", { name: "New motor", exact: true }).click();
  await wholePlate(page, "1/4 HP 1075 RPM 208-230V 60HZ 6MFD 370V");
  await page.getByRole("link", { name: /^Cap/ }).click();
  const run = page.getByRole("region", { name: "Run capacitor" });
  await run.getByLabel("Capacitor there now, as printed").fill("35+5 440");
  await run.getByLabel("Capacitor there now, as printed").press("Enter");
  await expect(run).toContainText("the compressor’s side stays 35 µF");
  const own = page.getByRole("region", { name: "Give the new motor its own capacitor" });
  await expect(own).toContainText("FAN of the dual stays empty");
  await own.getByRole("button", { name: "Take from the truck: 6 µF 440 V round" }).first().click();
  await expect(run).toContainText("Taken for this job: 6 µF 440 V round.");
  await expect(page.getByText("Saved")).toBeVisible();
  const onHand = async () => {
    const { lines } = await (await page.request.get("/api/v1/stock?search=RC60-440")).json();
    return lines[0];
  };
  await expect.poll(async () => (await onHand()).inUse).toBeGreaterThanOrEqual(1);
  const taken = (await onHand()).onHand;
  await page.getByRole("button", { name: "Undo" }).first().click();
  await expect(run).not.toContainText("Taken for this job");
  await expect.poll(async () => (await onHand()).onHand).toBe(taken + 1);
});

test("a capacitor is judged by meter and by amps at work, with how sure that is", async ({ page }) => {
  await begin(page, "Cap");
  const form = page.getByRole("form", { name: "A test" });
  await form.getByLabel("Its label").fill("35+5 440");
  await form.getByLabel("Measured, µF").fill("4.1");
  await form.getByRole("button", { name: "Judge it" }).click();
  const list = page.getByRole("list", { name: "Tests so far" });
  await expect(list).toContainText("4.1 µF against 5 on the label, −18.0 %: weak");
  await form.getByLabel("How").selectOption("under-load");
  await form.getByLabel("Amps in its lead").fill("0.69");
  await form.getByLabel("Volts across it").fill("nonsense");
  await form.getByRole("button", { name: "Judge it" }).click();
  await expect(form.getByRole("alert")).toContainText("Give a number");
  await form.getByLabel("Volts across it").fill("368");
  await form.getByRole("button", { name: "Judge it" }).click();
  await expect(list).toContainText(/4\.97 µF ± 0\.\d+ against 5/);
});

test("a discharge counts down touch by touch for the tool at hand", async ({ page }) => {
  await begin(page, "Cap");
  await page.getByRole("button", { name: /^Discharge/ }).click();
  await page.getByLabel("The capacitor").fill("35+5 440");
  await page.getByLabel("Tool, kΩ").fill("5");
  await expect(page.getByText(/Up to 622 V and 6\.8 J/)).toBeVisible();
  const countdown = page.getByRole("region", { name: "Countdown" });
  await expect(countdown.getByRole("listitem")).toHaveText([
    /C and HERM: hold/,
    /C and FAN: hold/,
    /HERM and FAN: hold/,
  ]);
  await countdown.getByRole("button", { name: "Tool is on: start" }).click();
  for (const next of ["Next touch", "Next touch", "Finish"]) {
    await countdown.getByRole("button", { name: next }).click({ timeout: 15_000 });
  }
  await expect(countdown.getByRole("status")).toContainText("Now measure volts across every pair");
});

test("what is asked of the match must hold together", async ({ request }) => {
  for (const bad of [
    { old: { power: "1/3" } },
    { old: { wings: "2" }, place: {} },
    { old: {}, place: { supplyVolts: -1 } },
  ]) {
    const response = await request.post("/api/v1/match", { data: bad });
    expect(response.status()).toBe(422);
    expect((await response.json()).faults.length).toBeGreaterThan(0);
  }
});
