import { expect, type Locator, type Page, test } from "@playwright/test";
import type { Network } from "../../src/core/bench";
import { ohmmeter, seededRandom } from "../../src/core/bench";
import { followProbes, openChoices, startMotor, typePlate } from "./bench";
import { hasAnswered, holdable, release, setHold } from "./heldWorkers";

const METER = { percent: 1, counts: 2, resolutionOhms: 0.1, probeOhms: 0 };

const network = (junctions: readonly (readonly string[])[], sections: Network["sections"]): Network => ({
  junctions: junctions.length,
  sections,
  leadAt: new Map(junctions.flatMap((wires, j) => wires.map((wire) => [wire, j] as const))),
});

/** A condenser fan with its run end out twice. */
const FAN = network(
  [["YE", "BN/WH"], ["BK"], ["BN"]],
  [
    { from: 0, to: 1, ohms: 14.1, winding: "main" },
    { from: 1, to: 2, ohms: 30.4, winding: "start" },
  ],
);

/** A blower of four speeds with its run end out twice. */
const BLOWER = network(
  [["WH", "BN/WH"], ["BK"], ["BU"], ["YE"], ["RD"], ["BN"]],
  [
    { from: 0, to: 1, ohms: 6.2, winding: "main" },
    { from: 1, to: 2, ohms: 1.2, winding: "speed" },
    { from: 2, to: 3, ohms: 1.5, winding: "speed" },
    { from: 3, to: 4, ohms: 1.9, winding: "speed" },
    { from: 4, to: 5, ohms: 15.8, winding: "start" },
  ],
);

const PUMP = network(
  [["BU"], ["WH"], ["OG"], ["YE"], ["RD"], ["BK"]],
  [
    { from: 0, to: 1, ohms: 3.2, winding: "half" },
    { from: 2, to: 3, ohms: 3.2, winding: "half" },
    { from: 4, to: 5, ohms: 9.6, winding: "start" },
  ],
);

/** Plates that go with these windings: a plan stands on none that is missing. */
const PLATES = {
  fan: "1/4 HP 1075 RPM 208-230V 60HZ 1PH 1.5A 5MFD 370V",
  fan115: "1/15 HP 1075 RPM 115V 60HZ 1PH .8A 5MFD 370V",
  blower: "1/8 HP 1075/4SPD 115V 60HZ 1PH 1.6A 10MFD 370V",
  pump: "1/2 HP 1725 RPM 115/230V 60HZ 1PH 6.6/3.3A",
} as const;

async function go(page: Page, stage: RegExp): Promise<void> {
  await page.getByRole("navigation", { name: "Stages" }).getByRole("link", { name: stage }).click();
}

/** A settled motor on its equipment. */
async function landed(
  page: Page,
  leads: string,
  of: Network,
  equipment: string,
  plate: string,
  tell: (page: Page) => Promise<void> = async () => {},
): Promise<void> {
  await startMotor(page, leads);
  await tell(page);
  await followProbes(page, ohmmeter(of, METER, seededRandom(9)));
  await expect(page.getByRole("region", { name: "Verdict" })).toContainText("Settled");
  await typePlate(page, plate);
  await go(page, /Land/);
  await page.getByRole("combobox", { name: "Equipment", exact: true }).selectOption({ label: equipment });
  await expect(page.getByRole("region", { name: "Landing list" })).toBeVisible();
}

const list = (page: Page) => page.getByRole("region", { name: "Landing list" });
const line = (page: Page, wire: string): Locator =>
  list(page)
    .getByRole("listitem")
    .filter({ has: page.getByText(wire, { exact: true }) });
const check = (page: Page) => page.getByRole("region", { name: "Check" });

test("a newcomer replaces a three-lead fan by a four-lead one, both ways, by the screen alone", async ({
  page,
}) => {
  await startMotor(page, "YE BK BN BN/WH");
  await followProbes(page, ohmmeter(FAN, METER, seededRandom(3)));
  await go(page, /Trace/);
  await page
    .getByRole("combobox", { name: "Equipment", exact: true })
    .selectOption({ label: "Condenser, dual capacitor" });
  await page.getByLabel("Old leads, by color").fill("BK WH BN");
  await page.keyboard.press("Enter");
  await page.getByLabel("BK was on").selectOption({ label: "T1" });
  await page.getByLabel("WH was on").selectOption({ label: "T2" });
  await page.getByLabel("BN was on").selectOption({ label: "FAN" });
  const old = page.getByRole("region", { name: "Old wiring" });
  await expect(old).toContainText("On a dual capacitor the fan’s start end is on FAN.");

  await go(page, /Land/);
  await expect(line(page, "BN")).toContainText("FAN, dual capacitor");
  await expect(line(page, "BN/WH")).toContainText("capped on its own");
  await expect(line(page, "BK")).toContainText("T1, contactor");
  await expect(line(page, "YE")).toContainText("T2, contactor");
  // Nothing is typed of the plate yet: what it is for, and its capacitor, would be a guess.
  await expect(check(page)).toContainText("Nobody has said what volts this motor is for");
  await expect(check(page)).toContainText("Nobody has said what run capacitor this motor takes");
  await expect(page.getByRole("button", { name: "Mark the plan ready" })).toHaveCount(0);
  await typePlate(page, PLATES.fan);
  await go(page, /Land/);
  await expect(list(page)).toContainText("use 5 µF, 370 V or higher on its FAN side. Read its label");

  await openChoices(page);
  await page
    .getByRole("combobox", { name: "Keep the dual, or a separate capacitor", exact: true })
    .selectOption({ label: "A separate capacitor for the fan" });
  await expect(line(page, "BN")).toContainText("2, fan’s own capacitor");
  await expect(line(page, "BN/WH")).toContainText("1, fan’s own capacitor");
  await expect(list(page)).toContainText("Becomes empty: FAN, dual capacitor");
  const now = list(page).getByRole("region", { name: "Now", exact: true });
  const then = list(page).getByRole("list", { name: "Then" }).getByRole("listitem");
  await expect(now).toContainText("ground stud");
  await expect(then.nth(-2)).toContainText("Take a look before power.");
  await expect(then.last()).toContainText("Bump it for a second");

  await now.getByRole("button", { name: "Done" }).click();
  await then.first().getByRole("checkbox").click();
  await expect(list(page)).toContainText("2 of 9 done");
  await page.reload({ waitUntil: "networkidle" });
  await expect(list(page)).toContainText("2 of 9 done");
  await list(page)
    .getByRole("button", { name: /^Done 2 of 9/ })
    .click();
  const done = list(page).getByRole("list", { name: "Done" });
  await expect(done.getByRole("checkbox").first()).toBeChecked();
  // The rest one wire a screen; a touch too many goes back.
  await page.getByRole("button", { name: "One wire a screen" }).click();
  const alone = page.getByRole("dialog", { name: "One wire a screen" });
  await alone.getByRole("button", { name: "Done" }).click();
  await expect(alone).toContainText("4 of 9");
  await alone.getByRole("button", { name: "Back one" }).click();
  await expect(alone).toContainText("3 of 9");
  await alone.getByRole("button", { name: "Whole list" }).click();
  await expect(list(page)).toContainText("2 of 9 done");
  await expect(check(page)).not.toContainText("Stop");
  await page.getByRole("button", { name: "Mark the plan ready" }).click();
  await expect(check(page)).toContainText("Marked ready on");
  await openChoices(page);
  await page
    .getByRole("combobox", { name: "Keep the dual, or a separate capacitor", exact: true })
    .selectOption({ label: "Keep the dual capacitor" });
  await expect(page.getByRole("button", { name: "Mark the plan ready" })).toBeVisible();
});

test("a four-speed blower on a two-stage board: a tap for each call, changed by choice", async ({ page }) => {
  await landed(page, "WH BK BU YE RD BN BN/WH", BLOWER, "Furnace board, two-stage", PLATES.blower);
  await expect(line(page, "BK")).toContainText("COOL-HIGH, board");
  await expect(line(page, "BU")).toContainText("COOL-LOW, board");
  await expect(line(page, "YE")).toContainText("HEAT-HIGH, board");
  await expect(line(page, "RD")).toContainText("HEAT-LOW, board");
  await expect(line(page, "WH")).toContainText("NEUTRAL, board");
  await openChoices(page);
  await page.getByLabel("Speed for cooling, low").selectOption("3");
  await page.getByLabel("Speed for heating, high").selectOption("2");
  await expect(line(page, "YE")).toContainText("COOL-LOW, board");
  await expect(line(page, "BU")).toContainText("HEAT-HIGH, board");
  await expect(check(page)).toContainText("Heating, low: starts, turns as the plate’s drawing has it");
  await page.getByLabel("Speed for heating, high").selectOption("3");
  await expect(list(page)).toContainText("A jumper from");
  await expect(line(page, "BU")).toContainText("PARK1, board");
});

/** A landed condenser fan, its start end about to be moved by hand from the capacitor to the line. */
async function wrongTerminalChosen(page: Page): Promise<void> {
  await landed(page, "YE BK BN BN/WH", FAN, "Condenser, dual capacitor", PLATES.fan);
  await page.getByRole("button", { name: /Change by hand/ }).click();
  await page
    .getByRole("combobox", { name: "Lead", exact: true })
    .selectOption({ label: "BN: FAN, dual capacitor" });
  await page
    .getByRole("combobox", { name: "To", exact: true })
    .first()
    .selectOption({ label: "T1, contactor" });
}

test("a lead moved to the wrong terminal is a stop at once; ready needs a reason then", async ({ page }) => {
  await wrongTerminalChosen(page);
  await page.getByRole("button", { name: "Move it", exact: true }).click();
  await expect(page.getByRole("alert").filter({ hasText: "Stop: do not power this" })).toBeVisible();
  await expect(page.getByRole("button", { name: "Mark the plan ready" })).toHaveCount(0);
  await page.getByRole("button", { name: "Record the override" }).click();
  await expect(page.getByRole("alert").filter({ hasText: "Write the reason" })).toBeVisible();
  await page.getByLabel("Reason").fill("Bench run, start winding isolated");
  await page.getByRole("button", { name: "Record the override" }).click();
  await expect(page.getByRole("alert").filter({ hasText: "Who goes on?" })).toBeVisible();
  await page.getByLabel("Your name, kept on this device").fill("Ilo Brandt");
  await page.getByRole("button", { name: "Record the override" }).click();
  await expect(check(page)).toContainText("against the check: Bench run, start winding isolated");
  await expect(check(page)).toContainText("by Ilo Brandt");
  await page.getByRole("button", { name: "Take “ready” back" }).click();
  await openChoices(page);
  await page.getByRole("button", { name: "Take back every change by hand" }).click();
  await expect(line(page, "BN")).toContainText("FAN, dual capacitor");
  await expect(page.getByRole("alert").filter({ hasText: "Stop" })).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(line(page, "BN")).toContainText("T1, contactor");
});

test("of two speeds that are chosen in the same breath neither is lost", async ({ page }) => {
  await landed(page, "WH BK BU YE RD BN BN/WH", BLOWER, "Furnace board, two-stage", PLATES.blower);
  await openChoices(page);
  await expect(page.getByLabel("Speed for heating, high")).toBeVisible();
  await page.evaluate(() => {
    for (const [call, speed] of [
      ["cooling, low", "3"],
      ["heating, high", "2"],
    ]) {
      const label = [...document.querySelectorAll("label")].find(
        (one) => one.textContent === `Speed for ${call}`,
      );
      const list = label?.htmlFor ? document.getElementById(label.htmlFor) : label?.querySelector("select");
      if (!(list instanceof HTMLSelectElement)) throw new Error(`no list for ${call}`);
      list.value = speed ?? "";
      list.dispatchEvent(new Event("change", { bubbles: true }));
    }
  });
  await expect(line(page, "YE")).toContainText("COOL-LOW, board");
  await expect(line(page, "BU")).toContainText("HEAT-HIGH, board");
});

test("a plan is not marked ready by the check of the wires before the one that is moved in the same breath", async ({
  page,
}) => {
  await wrongTerminalChosen(page);
  await expect(page.getByRole("button", { name: "Mark the plan ready" })).toBeEnabled();
  await page.evaluate(() => {
    for (const name of ["Move it", "Mark the plan ready"])
      [...document.querySelectorAll("button")].find(({ textContent }) => textContent === name)?.click();
  });
  await expect(page.getByRole("alert").filter({ hasText: "Stop: do not power this" })).toBeVisible();
  // The move alone was entered: one step back and the lead is where it was, with nothing marked.
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(line(page, "BN")).toContainText("FAN, dual capacitor");
  await expect(page.getByRole("button", { name: "Mark the plan ready" })).toBeEnabled();
});

test("by keyboard alone: a lead is picked up in the drawing, taken to another terminal, and left again", async ({
  page,
}) => {
  await landed(page, "YE BK BN BN/WH", FAN, "Condenser, dual capacitor", PLATES.fan);
  const handle = page.getByRole("button", { name: /^BN\/WH: capped/ });
  await handle.focus();
  await page.keyboard.press("Enter");
  await page.keyboard.press("ArrowDown");
  await page.keyboard.press("ArrowDown");
  await expect(page.getByRole("button", { name: /to T1, contactor\? Enter lands it/ })).toBeFocused();
  await page.keyboard.press("Escape");
  await expect(line(page, "BN/WH")).toContainText("capped on its own");
  await page.keyboard.press("Enter");
  for (let i = 0; i < 2; i++) await page.keyboard.press("ArrowDown");
  await page.keyboard.press("Enter");
  await expect(line(page, "BN/WH")).toContainText("T1, contactor");
  await expect(check(page)).toContainText("the breaker trips");
});

test("where a held lead would land is checked before it is let go, and nothing of it is said until then", async ({
  page,
}) => {
  await holdable(page);
  await landed(page, "YE BK BN BN/WH", FAN, "Condenser, dual capacitor", PLATES.fan);
  await page.getByRole("button", { name: /^BN\/WH: capped/ }).focus();
  await page.keyboard.press("Enter");
  for (let i = 0; i < 2; i++) await page.keyboard.press("ArrowDown");
  // The plan and its check, each by a worker of its own.
  await hasAnswered(page, ':"contactor.T1"}', 2);
  await expect(check(page)).not.toContainText("the breaker trips");

  // From here on no worker hears of anything.
  await setHold(page);
  await page.keyboard.press("Enter");
  await expect(line(page, "BN/WH")).toContainText("T1, contactor");
  await expect(check(page)).toContainText("the breaker trips");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(line(page, "BN/WH")).toContainText("capped on its own");
  await expect(check(page)).not.toContainText("the breaker trips");
  await expect(page.getByRole("button", { name: "Mark the plan ready" })).toBeEnabled();
  await release(page);
});

test("a lead dragged onto a terminal lands there", async ({ page }) => {
  await landed(page, "YE BK BN BN/WH", FAN, "Condenser, dual capacitor", PLATES.fan);
  const drawing = page.getByRole("img", { name: /^Wiring drawing/ });
  await drawing.scrollIntoViewIfNeeded();
  const [handle, sheet] = [
    await page.getByRole("button", { name: /^BN\/WH: capped/ }).boundingBox(),
    await drawing.boundingBox(),
  ];
  const target = await drawing.locator("text", { hasText: /^C$/ }).first().boundingBox();
  if (!handle || !sheet || !target) throw new Error("the drawing is not there");
  await page.mouse.move(handle.x + 20, handle.y + handle.height / 2);
  await page.mouse.down();
  await page.mouse.move(target.x + 40, target.y + 20, { steps: 5 });
  await page.mouse.move(target.x + target.width + 14, target.y + target.height / 2, { steps: 5 });
  await page.mouse.up();
  await expect(line(page, "BN/WH")).toContainText("C, dual capacitor");
});

test("the drawing is saved as SVG and as PDF", async ({ page }) => {
  await landed(page, "YE BK BN BN/WH", FAN, "Condenser, dual capacitor", PLATES.fan);
  const save = async (name: string) => {
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("button", { name }).click(),
    ]);
    const stream = await download.createReadStream();
    const parts: Buffer[] = [];
    for await (const part of stream) parts.push(part as Buffer);
    return { name: download.suggestedFilename(), bytes: Buffer.concat(parts) };
  };
  const svg = await save("Save SVG");
  expect(svg.name).toMatch(/\.svg$/);
  const text = svg.bytes.toString("utf8");
  expect(text).toContain("<svg");
  expect(text).toContain("dual capacitor");
  expect(text).toContain("BN/WH");
  expect(text).not.toContain("var(--");
  const pdf = await save("Save PDF");
  expect(pdf.name).toMatch(/\.pdf$/);
  expect(pdf.bytes.subarray(0, 5).toString()).toBe("%PDF-");
  // Printed on an ordinary sheet, not on the label's.
  const printed = (await page.pdf({ preferCSSPageSize: true })).toString("latin1");
  const box = /\/MediaBox\s*\[\s*0 0 ([\d.]+) ([\d.]+)/.exec(printed);
  expect(Number(box?.[1])).toBeGreaterThan(500);
  expect(Number(box?.[2])).toBeGreaterThan(700);
});

test("the circuit runs on screen: without its capacitor it does not turn", async ({ page }) => {
  await landed(page, "YE BK BN BN/WH", FAN, "Condenser, dual capacitor", PLATES.fan);
  await page.getByRole("button", { name: /Run it on screen/ }).click();
  const figures = page.getByRole("table", { name: "What it does" });
  await expect(figures.getByRole("row", { name: /Turns/ })).toContainText("forward");
  await page.getByRole("combobox", { name: "Capacitor", exact: true }).selectOption({ label: "not there" });
  await expect(figures.getByRole("row", { name: /Turns/ })).toContainText("does not turn");
  await page.getByRole("combobox", { name: "Capacitor", exact: true }).selectOption({ label: "as planned" });
  await page.getByRole("combobox", { name: "Call", exact: true }).selectOption({ label: "No call (off)" });
  await expect(page.getByText("No lead of the motor is live.")).toBeVisible();
});

test("a pump set for the wrong voltage: the fewest moves, and the reading that proves it", async ({
  page,
}) => {
  const tell = async () => {
    await page.getByLabel("Two voltages on the plate").selectOption({ label: "yes" });
  };
  await landed(
    page,
    "BU:T1 WH:T2 OG:T3 YE:T4 RD:T8 BK:T5",
    PUMP,
    "Pump on a pressure switch",
    PLATES.pump,
    tell,
  );
  await page.getByRole("button", { name: /Voltage setting/ }).click();
  await page.getByLabel("As it is joined now").selectOption({ label: "all as for the low volts" });
  const moves = page.getByRole("list", { name: "Moves" });
  await expect(moves.getByRole("listitem")).toHaveCount(3);
  await expect(page.getByText(/Power off, line to line, mains only: about 6\.[34] Ω/)).toBeVisible();
  await page.getByLabel("As it is joined now").selectOption({ label: "all as for the high volts" });
  await expect(page.getByText("It is joined so already.")).toBeVisible();
  await page.getByLabel("Set by").selectOption({ label: "a plug" });
  await expect(page.getByText(/One move: the plug to 230 V/)).toBeVisible();
});

test("an electronic retrofit is landed on board and strip by its three harnesses", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("link", { name: /electronic retrofit/ }).click();
  await page.waitForURL(/\/probe$/);
  await go(page, /Land/);
  await expect(list(page)).toContainText("run signal");
  await expect(list(page).getByRole("listitem").filter({ hasText: "power, line" })).toContainText(
    "LINE, board",
  );
  await expect(check(page)).toContainText("Nobody has said what its jumper or plug is set for");
  await page.getByRole("button", { name: "Its jumper stands at 230 V" }).click();
  await expect(page.getByRole("alert").filter({ hasText: "Stop" })).toContainText("jumper is set for 230 V");
  await page.getByRole("button", { name: "Its jumper stands at 115 V" }).click();
  await expect(check(page)).toContainText("Good in every state");
  await expect(check(page)).toContainText("Constant power: 115 V in every state.");
});

test("a wish the motor cannot follow is refused in words, with a way back; a new reading takes ready back", async ({
  page,
}) => {
  await landed(page, "YE BK BN BN/WH", FAN, "Condenser, dual capacitor", PLATES.fan);
  await page.getByRole("button", { name: "Mark the plan ready" }).click();
  await expect(check(page)).toContainText("Marked ready on");
  await openChoices(page);
  await page.getByRole("combobox", { name: "Turns" }).selectOption({ label: "the other way, by its leads" });
  await expect(page.getByRole("status").filter({ hasText: "Not yet" })).toContainText(
    "cannot be turned round",
  );
  await page.getByRole("button", { name: "Back to the usual speeds and turn" }).click();
  await expect(line(page, "BN")).toContainText("FAN, dual capacitor");
  await page.getByRole("button", { name: "Mark the plan ready" }).click();
  await go(page, /Probe/);
  const field = page.getByLabel("Reading in ohms, or OL for open");
  await field.fill("YE BK 14.1");
  await field.press("Enter");
  await go(page, /Land/);
  await expect(page.getByRole("button", { name: "Mark the plan ready" })).toBeVisible();
});

test("the plug for rotation turns a fan round that no lead reverses; the door stops a blower whatever calls", async ({
  page,
}) => {
  await landed(page, "YE BK BN BN/WH", FAN, "Furnace board, one stage", PLATES.fan115);
  await expect(check(page)).toContainText("when the door is open, the motor stops");
  await openChoices(page);
  await page.getByRole("combobox", { name: "Turns" }).selectOption({ label: "the other way, by its leads" });
  await page.getByRole("button", { name: "It has a plug for rotation: turn that" }).click();
  await expect(list(page)).toContainText("Turn the plug of the start winding over.");
  await expect(check(page)).toContainText("turns the other way than before, by its plug");
  await page.getByRole("button", { name: "Undo" }).first().click();
  await expect(page.getByRole("button", { name: "It has a plug for rotation: turn that" })).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).first().click();
  await expect(list(page)).not.toContainText("Turn the plug");

  await page.getByRole("button", { name: /Run it on screen/ }).click();
  await page.getByRole("combobox", { name: "Plug for rotation" }).selectOption({ label: "turned over" });
  await expect(page.getByRole("table", { name: "What it does" })).toContainText("backward");
  await page
    .getByRole("combobox", { name: "Call", exact: true })
    .selectOption({ label: "Cooling, the door is open" });
  await expect(page.getByText("No lead of the motor is live.")).toBeVisible();

  await page.getByRole("button", { name: /Change by hand/ }).click();
  const jumper = page.getByRole("group", { name: "Add a jumper" });
  await jumper.getByRole("combobox", { name: "From" }).selectOption({ label: "L, supply" });
  await jumper.getByRole("combobox", { name: "To" }).selectOption({ label: "LINE, board" });
  await page.getByRole("button", { name: "Add it", exact: true }).click();
  await expect(page.getByRole("alert").filter({ hasText: "Stop: do not power this" })).toContainText(
    "wired around",
  );
});

test("nine leads without numbers are not joined: battery kicks number them, the star first", async ({
  page,
}) => {
  await page.goto("/");
  await page.getByRole("link", { name: /Fish-hall extract fan/ }).click();
  await page.waitForURL(/\/probe$/);
  await go(page, /Land/);
  const kicks = page.getByRole("region", { name: "Battery kicks" });
  const anew = kicks.getByRole("button", { name: "Begin the tests anew" });
  // Folded away once the ends are proved, which comes with the verdict: opened until it was seen to say so.
  const fold = page.getByRole("button", { name: /^Numbers on the leads/ });
  const opened = (says: RegExp) =>
    expect(async () => {
      if ((await fold.getAttribute("aria-expanded")) === "false") await fold.click();
      await expect(kicks).toContainText(says, { timeout: 1500 });
    }).toPass();
  // A try that failed before this one has left its kicks in the demo job.
  await opened(/orders of the leads are left|The ends are proved|No motor of this kind kicks like that/);
  if (await anew.isVisible()) await anew.click();
  await expect(page.getByRole("status").filter({ hasText: "Stop" })).toContainText("is not told by ohms");
  await expect(list(page)).toHaveCount(0);
  await expect(kicks).toContainText("48 orders of the leads are left");
  await kicks.getByRole("button", { name: "kicks up" }).click();
  await expect(kicks).not.toContainText("48 orders");
  await expect(kicks.getByRole("list", { name: "Kicks seen" }).getByRole("listitem")).toHaveCount(1);
  // Whatever the needle shows next, the page asks on until one order is left, or says that it cannot be.
  for (let i = 0; i < 10; i++) {
    const up = kicks.getByRole("button", { name: "kicks up" });
    if (!(await up.isVisible())) break;
    // The last kick takes the buttons away a moment after it: a touch that comes too late is none.
    await up.click({ timeout: 2000 }).catch(() => undefined);
    await page.waitForTimeout(300);
  }
  await opened(/The ends are proved|No motor of this kind kicks like that/);
  await anew.click();
  await expect(kicks).toContainText("48 orders of the leads are left");
});

test("a motor set inside for one of two voltages: unknown is a stop, the reading before and after proves it", async ({
  page,
}) => {
  await landed(
    page,
    "YE BK BN BN/WH",
    FAN,
    "Air handler, fan relay",
    "1/4 HP 1075 RPM 115/230V 60HZ 1PH 3/1.5A 5MFD 370V",
  );
  await expect(check(page)).toContainText("nobody has said for which");
  await expect(page.getByRole("button", { name: "Mark the plan ready" })).toHaveCount(0);
  await page.getByLabel("Ohms as it stood").fill("3.5");
  await page.getByLabel("Ohms after turning").fill("3.4");
  await page.getByRole("button", { name: "Tell", exact: true }).click();
  await expect(page.getByText("not about four times apart")).toBeVisible();
  await page.getByRole("button", { name: "Its dial or plug stands at 115 V" }).click();
  await expect(check(page)).toContainText("burns in seconds");
  await page.getByRole("button", { name: "Undo" }).first().click();
  await page.getByRole("button", { name: "Its dial or plug stands at 230 V" }).click();
  await expect(page.getByRole("alert").filter({ hasText: "Stop" })).toHaveCount(0);
});
