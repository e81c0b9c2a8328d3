import { describe, expect, it } from "vitest";
import { blower4, fan3, plansFor } from "../../../tests/material/motors";
import { deviceColumn } from "./drawnDevices";
import { COMPARTMENTS, compartmentById } from "./equipment";
import type { MotorPlan, WiringPlan } from "./plan";

const CORNER = { x: 40, y: 16 };

const bare = (compartment: WiringPlan["compartment"]): WiringPlan => ({
  id: "bare",
  title: "",
  school: "",
  compartment,
  landings: {},
  jumpers: [],
  removed: [],
  capacitors: [],
  parts: [],
  wanted: [],
  lands: { kind: "module", setFor: null },
  reasons: {},
  cautions: [],
});

function planOn(motor: typeof fan3, id: string): MotorPlan {
  const made = compartmentById(id);
  const [plan] = made ? plansFor(motor, made) : [];
  if (!plan) throw new Error(id);
  return plan;
}

describe.each(COMPARTMENTS.map((made) => ({ title: made.title, made })))(
  "the devices of $title",
  ({ made }) => {
    const column = deviceColumn(bare(made), new Set(), CORNER);

    it("stand under each other in the order of the compartment, none on another", () => {
      expect(column.devices.map(({ id }) => id)).toEqual(made.devices.map(({ id }) => id));
      column.devices.slice(1).forEach((device, i) => {
        const above = column.devices[i];
        expect(device.y).toBeGreaterThanOrEqual((above?.y ?? 0) + (above?.height ?? 0));
        expect(device.x).toBe(CORNER.x);
      });
      expect(column.bottom).toBeGreaterThan(column.devices.at(-1)?.y ?? 0);
    });

    it("have every terminal at their right edge, within their height, one row each", () => {
      for (const { terminals, x, y, width, height } of column.devices) {
        for (const { at } of terminals) {
          expect(at.x).toBe(x + width);
          expect(at.y).toBeGreaterThan(y);
          expect(at.y).toBeLessThan(y + height);
        }
        expect(new Set(terminals.map(({ at }) => at.y)).size).toBe(terminals.length);
      }
      expect(column.right).toBe(CORNER.x + (column.devices[0]?.width ?? 0));
    });

    it("know each terminal's place by its id", () => {
      const ids = made.devices.flatMap(({ terminals }) => terminals.map(({ id }) => id));
      expect([...column.at.keys()].sort()).toEqual([...new Set(ids)].sort());
    });

    it("draw their symbols within the device", () => {
      for (const { symbols, x, y, width, height } of column.devices)
        for (const symbol of symbols)
          for (const at of symbol.kind === "capacitor" ? [symbol.from, symbol.to] : [symbol.at]) {
            expect(at.x).toBeGreaterThan(x);
            expect(at.x).toBeLessThan(x + width);
            expect(at.y).toBeGreaterThan(y);
            expect(at.y).toBeLessThan(y + height);
          }
    });
  },
);

describe("what stands beside a device's name", () => {
  it("a capacitor that the plan fits, by value; one whose label nobody read is not drawn as stated", () => {
    const plan = planOn(fan3, "condenser-single");
    const notes = (of: WiringPlan) => deviceColumn(of, new Set(), CORNER).devices.map(({ note }) => note);
    expect(notes(plan).join()).toMatch(/5 µF/);
    expect(notes(bare(plan.compartment)).join()).not.toMatch(/µF/);
    expect(notes(bare(plan.compartment))).toContain("label not read");
  });

  it("a terminal that a wire goes to is marked as used", () => {
    const plan = planOn(fan3, "condenser-dual");
    const [place = ""] = Object.values(plan.landings);
    const used = deviceColumn(plan, new Set([place]), CORNER).devices.flatMap(({ terminals }) =>
      terminals.filter((terminal) => terminal.used).map(({ id }) => id),
    );
    expect(used).toEqual([place]);
  });

  it("a board's terminals say what feeds them, and on which call", () => {
    const plan = planOn(blower4, "furnace-board");
    const feeds = deviceColumn(plan, new Set(), CORNER).devices.flatMap(({ terminals }) =>
      terminals.map(({ feed }) => feed),
    );
    for (const call of ["cooling", "heating"])
      expect(feeds.some((feed) => feed.includes(`on ${call}`))).toBe(true);
  });
});
