import { describe, expect, it } from "vitest";
import type { NextCheck } from "../proving";
import { faultTask } from "./faultTask";
import { type FaultHandedIn, gradeFault, MINUTES, minutesOf } from "./gradeFault";

const WISH = { equipment: "condenser-dual" };

function handedIn(seed: number, more: Partial<FaultHandedIn> = {}): FaultHandedIn {
  return {
    id: "0192f000-0000-7000-8000-000000000001",
    person: "Dov Hask",
    seed,
    wish: WISH,
    actions: [],
    cause: "as-planned",
    ...more,
  };
}

describe("a machine with a complaint", () => {
  it("is the same from the same seed, its instruments too", () => {
    const [one, other] = [faultTask(5, WISH), faultTask(5, WISH)];
    expect(one.fault).toEqual(other.fault);
    expect(one.complaint).toBe(other.complaint);
    const check: NextCheck = {
      what: "line-amps",
      call: "cool",
      lead: one.wiring.leads[0]?.id ?? "",
      because: "",
      power: "on",
    };
    expect(one.machine().observe(check)).toEqual(other.machine().observe(check));
    expect(one.machine().observe(check)).toEqual(one.machine().observe(check));
  });

  it("naming what it has is right, naming anything else that can be told from it is not", () => {
    for (const seed of [1, 2, 3]) {
      const { fault } = faultTask(seed, WISH);
      const right = gradeFault(handedIn(seed, { cause: fault.cause }));
      expect(right).toMatchObject({ right: true, truth: { cause: fault.cause } });
      const other = fault.cause === "lead-off" ? "volts-unbalanced" : "lead-off";
      const wrong = gradeFault(handedIn(seed, { cause: other }));
      expect(wrong.right).toBe(wrong.same.includes(other));
    }
  });

  it("each measurement costs its minutes, and the power too", () => {
    const starts: NextCheck = { what: "starts", call: "cool", because: "", power: "on" };
    expect(minutesOf([{ power: "on" }, { check: starts }, { power: "off" }])).toBe(1 + MINUTES.starts + 4);
    expect(minutesOf([])).toBe(0);
  });

  it("ohms under power are a danger, and so is power again and again onto what does not start", () => {
    const seed = [...Array(60).keys()].find((one) => faultTask(one, WISH).complaint === "hums") ?? 0;
    const { wiring } = faultTask(seed, WISH);
    const [a, b] = wiring.leads.map(({ id }) => id);
    const ohms: NextCheck = { what: "ohms", between: [a ?? "", b ?? ""], because: "", power: "off" };
    const starts: NextCheck = { what: "starts", call: "cool", because: "", power: "on" };
    const dangers = (actions: FaultHandedIn["actions"]) => gradeFault(handedIn(seed, { actions })).dangers;
    expect(dangers([{ power: "on" }, { check: ohms }])).toEqual(["ohms-live"]);
    expect(dangers([{ power: "on" }, { power: "off" }, { check: ohms }])).toEqual([]);
    expect(dangers([{ power: "on" }, { check: starts }, { check: starts }, { check: starts }])).toEqual([
      "reset-twice",
    ]);
  });
});
