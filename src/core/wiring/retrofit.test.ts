import { describe, expect, it } from "vitest";
import { checkRetrofit } from "./check/retrofit";
import type { Compartment } from "./compartment";
import { compartmentById } from "./equipment";
import { CAPPED } from "./place";
import type { ModulePlan } from "./plan";
import { planRetrofit } from "./retrofit";
import { planSteps } from "./steps";

const at = (id: string): Compartment => {
  const made = compartmentById(id);
  if (!made) throw new Error(id);
  return made;
};
const planFor = (made: Compartment): ModulePlan => {
  const planned = planRetrofit(made);
  if (!planned.ok) throw new Error(planned.faults[0]?.says);
  const [plan] = planned.plans;
  if (!plan) throw new Error("no plan");
  return plan;
};
const stops = (plan: ModulePlan) =>
  checkRetrofit(plan)
    .findings.filter(({ weight }) => weight === "stop")
    .map(({ code }) => code);
const moved = (plan: ModulePlan, landings: Record<string, string>): ModulePlan => ({
  ...plan,
  landings: { ...plan.landings, ...landings },
});

describe("an electronic retrofit's three harnesses", () => {
  it("board and strip, two calls and two stages, with a fan terminal", () => {
    const plan = planFor(at("electronic-board"));
    expect(plan.landings).toMatchObject({
      "power-1": "board.LINE",
      "power-2": "board.NEUTRAL",
      run: "board.COOL",
      "low-common": "strip.C",
      "low-cool": "strip.Y",
      "low-heat": "strip.W",
      "low-heat-2": "strip.W2",
      "low-fan": "strip.G",
    });
    expect(plan.jumpers.map(({ from, to }) => [from, to])).toEqual([["board.COOL", "board.HEAT"]]);
    expect(stops(plan)).toEqual([]);
  });

  it("one call: its terminal alone, no jumper; a strip without W leaves the heating leads capped", () => {
    const plan = planFor(at("electronic-strip"));
    expect(plan.jumpers).toEqual([]);
    expect(plan.landings).toMatchObject({ run: "relay.NO", "low-heat": CAPPED, "low-heat-2": CAPPED });
    expect(stops(plan)).toEqual([]);
  });

  it("a strip without a fan terminal leaves the fan lead capped, and the calls still run it", () => {
    const made = at("electronic-board");
    const without = {
      ...made,
      devices: made.devices.map((device) =>
        device.id === "strip"
          ? {
              ...device,
              terminals: device.terminals.filter(({ name }) => name !== "G"),
              parts: device.parts.filter(({ to }) => to !== "strip.G"),
            }
          : device,
      ),
      calls: made.calls.filter(({ id }) => id !== "fan"),
    };
    const plan = planFor(without);
    expect(plan.landings["low-fan"]).toBe(CAPPED);
    expect(stops(plan)).toEqual([]);
  });

  it("equipment without a strip or without constant power is refused in words", () => {
    const { control: _, ...bare } = at("furnace-board").supply;
    expect(planRetrofit({ ...at("furnace-board"), supply: bare })).toMatchObject({
      ok: false,
      faults: [{ code: "no-strip" }],
    });
    expect(planRetrofit(at("bench-cord"))).toMatchObject({
      ok: false,
      faults: [{ code: "no-constant-power" }],
    });
  });
});

describe("wrong moves on a retrofit", () => {
  const plan = planFor(at("electronic-board"));

  it.each([
    ["power behind a relay", { "power-1": "board.COOL" }, "power-interrupted"],
    ["power off", { "power-2": CAPPED }, "power-interrupted"],
    ["a speed lead on line volts", { "low-cool": "board.COOL" }, "control-volts"],
    ["run signal on constant power", { run: "board.LINE" }, "runs-uncalled"],
    ["run signal on nothing", { run: CAPPED }, "nothing-runs"],
    ["frame on nothing", { frame: CAPPED }, "frame-not-grounded"],
    ["line on the neutral", { "power-1": "board.NEUTRAL", "power-2": "board.NEUTRAL" }, "power-interrupted"],
  ] as const)("%s", (_, landings, code) => {
    expect(stops(moved(plan, landings))).toContain(code);
  });

  it.each([
    ["no common: no speed says anything", { "low-common": CAPPED }, "wrong-speed"],
    ["the common on R", { "low-common": "strip.R" }, "wrong-speed"],
    ["cooling and heating speeds exchanged", { "low-cool": "strip.W", "low-heat": "strip.Y" }, "wrong-speed"],
    ["a heating speed left off", { "low-heat": CAPPED }, "wrong-speed"],
    ["the second stage left off", { "low-heat-2": CAPPED }, "wrong-speed"],
    ["cooling on the fan’s screw", { "low-cool": "strip.G" }, "wrong-speed"],
    ["a speed lead on R", { "low-fan": "strip.R" }, "runs-uncalled"],
    ["the return on the ground", { "power-2": "G" }, "lead-on-ground"],
    [
      "power and return behind one relay",
      { "power-1": "board.HEAT", "power-2": "board.COOL" },
      "power-interrupted",
    ],
  ] as const)("%s", (_, landings, code) => {
    expect(stops(moved(plan, landings))).toContain(code);
  });

  it("its jumper for 115 V on 230, and for 230 on 115", () => {
    const on = (volts: number, setFor: number): ModulePlan => ({
      ...plan,
      compartment: { ...plan.compartment, supply: { ...plan.compartment.supply, volts } },
      lands: { kind: "module", setFor },
    });
    expect(stops(on(230, 115))).toContain("setting");
    expect(stops(on(115, 230))).toContain("setting");
    expect(stops(on(115, 115))).toEqual([]);
  });

  it("continuous fan needs no speed lead of its own, but says so where no run signal comes with it", () => {
    const check = checkRetrofit(moved(plan, { "low-fan": CAPPED }));
    expect(check.weight).not.toBe("stop");
    expect(check.findings.find(({ code }) => code === "call-unused")?.says).toContain("Continuous fan");
    expect(plan.wanted.map(({ call }) => call)).toEqual(["cool", "heat", "heat-2"]);
  });

  it.each(["furnace-board", "furnace-board-two-stage"])(
    "on a %s with its strip beside it: lands, and runs on every call, together too",
    (id) => {
      const landed = planFor(at(id));
      expect(checkRetrofit(landed).findings.filter(({ weight }) => weight === "stop")).toEqual([]);
      expect(landed.wanted).toHaveLength(at(id).calls.length);
    },
  );

  it("one of two calls without its jumper: that call does not run it", () => {
    const check = checkRetrofit({ ...plan, jumpers: [] });
    expect(check.findings.find(({ code }) => code === "nothing-runs")?.state).toBe("heat");
  });
});

describe("the supply a retrofit can be set for", () => {
  const plan = planFor(at("electronic-board"));
  const settings = (plated: readonly { low: number; high: number }[]) =>
    checkRetrofit(plan, plated).findings.filter(({ code }) => code === "setting");

  it("one of its two voltages fits, or its plate says nothing", () => {
    expect(
      settings([
        { low: 115, high: 115 },
        { low: 208, high: 230 },
      ]),
    ).toEqual([]);
    expect(settings([])).toEqual([]);
  });

  it("a 208–230 V module on 115 V is a stop, with both figures", () => {
    const [found] = settings([{ low: 208, high: 230 }]);
    expect(found?.weight).toBe("stop");
    expect(found?.says).toMatch(/115 V .* 208–230 V/);
  });

  it("the list says for which volts it is to be set", () => {
    expect(planSteps(plan, []).find(({ id }) => id === "part-module-volts")?.does).toContain("115 V");
  });

  it("with the door open no power reaches it; a supply taken before the door switch is a stop", () => {
    expect(
      checkRetrofit(plan).findings.some(({ says }) =>
        says.includes("when the door is open, the motor stops"),
      ),
    ).toBe(true);
    expect(stops(moved(plan, { "power-1": "L" }))).toEqual(["guard-defeated"]);
  });
});
