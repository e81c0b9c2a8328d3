import { describe, expect, it } from "vitest";
import {
  compartmentById,
  fitMotor,
  planSteps,
  planWiring,
  ratingOf,
  wiringDrawing,
  woundMotor,
} from "@/core/wiring";
import { isLitDevice, isLitWire, litOf, stripOf } from "./lit";

const made = compartmentById("condenser-dual");
if (!made) throw new Error("no condenser");
const leads = ["ye", "bk", "bn", "bn/wh"];
const motor = woundMotor(
  {
    family: "two-winding",
    roles: {
      ye: { role: "run-end" },
      bk: { role: "speed", rank: 1 },
      bn: { role: "start-end" },
      "bn/wh": { role: "run-end" },
    },
    bonded: [["ye", "bn/wh"]],
    sections: [
      { between: ["ye", "bk"], ohms: 12, winding: "main" },
      { between: ["bk", "bn"], ohms: 26, winding: "start" },
    ],
  },
  leads.map((id) => ({ id })),
);
if (!motor) throw new Error("no motor");
const plate = { hertz: [60], volts: [{ low: 208, high: 230 }], rpm: 1075, fullLoadAmps: [1.9] };
const planned = planWiring({
  motor,
  fitted: fitMotor(motor, ratingOf(motor, plate, 230)),
  compartment: made,
  runCapacitor: { microfarads: 5, volts: 440, known: true },
  speeds: {},
  reversed: false,
});
const [plan] = planned.ok ? planned.plans : [];
if (!plan) throw new Error("no plan");
const drawing = wiringDrawing(plan, leads);
const steps = planSteps(plan, leads);

describe("the step’s wire on the drawing", () => {
  it("lights the lead that is moved and the device it goes to, and nothing else", () => {
    const step = steps.find(({ kind, to }) => kind === "land" && to?.startsWith("dual."));
    const lit = litOf(step, drawing);
    expect(lit).not.toBeNull();
    expect(
      drawing.wires.filter((wire) => isLitWire(lit, wire)).every(({ lead }) => lead === step?.lead),
    ).toBe(true);
    expect(drawing.devices.filter((device) => isLitDevice(lit, device, drawing)).map(({ id }) => id)).toEqual(
      ["dual"],
    );
  });

  it("lights the device that is worked on where no wire moves", () => {
    const step = steps.find(({ kind }) => kind === "capacitor");
    const lit = litOf(step, drawing);
    expect(drawing.devices.filter((device) => isLitDevice(lit, device, drawing)).map(({ id }) => id)).toEqual(
      [step?.device],
    );
  });

  it("lights nothing for a look before power, nor when all is done: the whole drawing stands", () => {
    expect(
      litOf(
        steps.find(({ kind }) => kind === "look"),
        drawing,
      ),
    ).toBeNull();
    expect(litOf(undefined, drawing)).toBeNull();
    expect(stripOf(null, drawing)).toBeNull();
  });

  it("cuts a strip for a phone that holds the end of the wire and lies in the drawing", () => {
    for (const step of steps) {
      const lit = litOf(step, drawing);
      const part = stripOf(lit, drawing);
      expect(part === null).toBe(lit === null);
      if (!part) continue;
      expect(part.x).toBeGreaterThanOrEqual(0);
      expect(part.y).toBeGreaterThanOrEqual(0);
      const end = drawing.wires.find((wire) => isLitWire(lit, wire))?.points.at(-1);
      if (!end) continue;
      expect(end.x).toBeGreaterThanOrEqual(part.x);
      expect(end.x).toBeLessThanOrEqual(part.x + part.width);
      expect(end.y).toBeGreaterThanOrEqual(part.y);
      expect(end.y).toBeLessThanOrEqual(part.y + part.height);
    }
  });
});
