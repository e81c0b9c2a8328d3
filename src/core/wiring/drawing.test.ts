import { describe, expect, it } from "vitest";
import {
  blower4,
  dualVoltage,
  fan3,
  fan4,
  fan5,
  plansFor,
  reversible,
  splitPhase,
  submersible,
  threePhase9Delta,
  threePhase9Wye,
  twoSpeed,
} from "../../../tests/material/motors";
import { countCrossings, wiringDrawing } from "./drawing";
import { COMPARTMENTS, compartmentById } from "./equipment";
import { CAPPED } from "./place";
import { FRAME } from "./plan";
import { planSteps } from "./steps";
import { symbolPath } from "./symbolPath";

const PAIRS = [
  ["condenser-dual", fan4],
  ["condenser-dual", fan5],
  ["condenser-single", fan4],
  ["furnace-board", blower4],
  ["furnace-board-two-stage", blower4],
  ["bench-cord", blower4],
  ["air-handler-relay", fan3],
  ["centrifugal-switch", splitPhase],
  ["pump-pressure-switch", dualVoltage],
  ["submersible-box", submersible],
  ["two-speed-switch", twoSpeed],
  ["reversing-switch", reversible],
  ["three-phase-starter", threePhase9Wye],
  ["three-phase-contactor", threePhase9Delta],
] as const;

const DRAWN = PAIRS.flatMap(([id, motor]) => {
  const made = compartmentById(id);
  return made ? plansFor(motor, made).map((plan) => ({ id, motor, plan })) : [];
});

describe.each(DRAWN)("the drawing of $plan.id in $id", ({ motor, plan }) => {
  const drawing = wiringDrawing(plan, motor.leads);

  it("runs every wire square, inside the sheet", () => {
    for (const { points } of drawing.wires) {
      expect(points.length).toBeGreaterThan(1);
      points.forEach((to, i) => {
        const from = points[i - 1] ?? to;
        expect(from.x === to.x || from.y === to.y).toBe(true);
        expect(to.x).toBeGreaterThanOrEqual(0);
        expect(to.x).toBeLessThanOrEqual(drawing.width);
        expect(to.y).toBeGreaterThanOrEqual(0);
        expect(to.y).toBeLessThanOrEqual(drawing.height);
      });
    }
  });

  it("brings every landed lead to its own terminal and shows each lead once", () => {
    const terminals = new Map(drawing.devices.flatMap((d) => d.terminals.map((t) => [t.id, t.at] as const)));
    expect(drawing.leads.map(({ id }) => id).sort()).toEqual([FRAME, ...motor.leads].sort());
    for (const [lead, place] of Object.entries(plan.landings)) {
      const end = terminals.get(place);
      const last = drawing.wires.find(({ id }) => id === `wire-${lead}`)?.points.at(-1);
      if (end) {
        expect(last?.x).toBe(end.x);
        expect(Math.abs((last?.y ?? 1e9) - end.y)).toBeLessThan(13);
      }
      expect(drawing.leads.find(({ id }) => id === lead)?.capped).toBe(place === CAPPED);
    }
  });

  it("writes each capacitor's value on its device", () => {
    for (const { id, note } of drawing.devices) {
      const has = plan.compartment.devices
        .find((d) => d.id === id)
        ?.parts.some((p) => p.kind === "capacitor");
      // A value that somebody stated or the plan fits; else it says that nobody has read it.
      expect(/^(?:[\d.]+( \+ [\d.]+)? µF, (?:≥ )?\d+ V|label not read)$/.test(note)).toBe(has === true);
    }
  });

  it("crosses nowhere between the motor's leads", () => {
    expect(countCrossings(drawing.wires.filter(({ kind }) => kind === "lead"))).toBe(0);
  });

  it("lays no two upright runs over each other", () => {
    const upright = drawing.wires.flatMap(({ id, points }) =>
      points.slice(1).flatMap((to, i) => {
        const from = points[i];
        return from && from.x === to.x && from.y !== to.y
          ? [{ id, x: to.x, low: Math.min(from.y, to.y), high: Math.max(from.y, to.y) }]
          : [];
      }),
    );
    for (const one of upright)
      for (const other of upright)
        if (one.id < other.id && one.x === other.x)
          expect(one.high <= other.low || other.high <= one.low).toBe(true);
  });
});

describe.each(DRAWN)("the steps of $plan.id in $id", ({ motor, plan }) => {
  const steps = planSteps(plan, motor.leads);

  it("begin with the ground, end with a look, and take every lead once", () => {
    expect(steps[0]?.kind).toBe("ground");
    expect(steps.at(-1)?.kind).toBe("look");
    const leads = steps.flatMap(({ lead }) => (lead === null ? [] : [lead]));
    expect(leads.sort()).toEqual([FRAME, ...motor.leads].sort());
    expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
  });

  it("land the switched lines after everything else that is landed", () => {
    const hots = new Set([
      ...plan.compartment.offers.feeds.map(({ hot }) => hot),
      ...(plan.compartment.offers.lines ?? []),
    ]);
    const landed = steps.filter(({ kind }) => kind === "land").map(({ to }) => hots.has(to ?? ""));
    expect(landed).toEqual([...landed].sort((a, b) => Number(a) - Number(b)));
  });
});

describe("symbols", () => {
  it("a relay’s contact is drawn as it rests: the one that a call closes open, the one it breaks closed", () => {
    const made = compartmentById("air-handler-relay");
    const [plan] = made ? plansFor(fan3, made) : [];
    if (!plan) throw new Error("no plan");
    const relay = wiringDrawing(plan, fan3.leads).devices.find(({ id }) => id === "relay");
    const rests = relay?.symbols.map((symbol) => (symbol.kind === "contact" ? symbol.rests : symbol.kind));
    expect(rests).toEqual(["open", "closed"]);
  });
});

describe("equipment without a motor", () => {
  it.each(COMPARTMENTS.map((made) => [made.id, made] as const))("%s is drawn too", (_, made) => {
    const bare = {
      id: "bare",
      title: "",
      school: "",
      compartment: made,
      landings: {},
      jumpers: [],
      removed: [],
      capacitors: [],
      parts: [],
      wanted: [],
      lands: { kind: "module", setFor: null } as const,
      reasons: {},
      cautions: [],
    };
    const drawing = wiringDrawing(bare, []);
    expect(drawing.devices).toHaveLength(made.devices.length);
    expect(drawing.leads).toEqual([]);
    for (const device of drawing.devices) {
      const parts = made.devices.find(({ id }) => id === device.id)?.parts ?? [];
      const own = (id: string) => device.terminals.some((terminal) => terminal.id === id);
      // Every capacitor between two of its terminals is drawn, every motor, and no contact that never opens.
      const drawn = (kind: string) => device.symbols.filter((symbol) => symbol.kind === kind).length;
      expect(drawn("capacitor")).toBe(
        parts.filter((part) => part.kind === "capacitor" && own(part.from) && own(part.to)).length,
      );
      expect(drawn("motor")).toBe(parts.filter(({ kind }) => kind === "compressor").length);
      const closedAtRest = parts.filter(
        (part) => part.kind === "contact" && part.closedOn === "always" && (part.opensOn?.length ?? 0) > 0,
      ).length;
      const shownClosed = device.symbols.filter(
        (symbol) => symbol.kind === "contact" && symbol.rests === "closed",
      ).length;
      expect(shownClosed).toBeLessThanOrEqual(closedAtRest);
      // A symbol lies in its device's box.
      for (const symbol of device.symbols) {
        const xs = [...symbolPath(symbol).matchAll(/[ML](-?[\d.]+) /g)].map(([, x]) => Number(x));
        expect(Math.min(...xs)).toBeGreaterThan(device.x);
        expect(Math.max(...xs)).toBeLessThan(device.x + device.width);
      }
    }
  });
});
