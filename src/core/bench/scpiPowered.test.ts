import { beforeAll, describe, expect, it } from "vitest";
import { type NextCheck, provingSheet } from "../proving";
import { poweredBench } from "./poweredBench";
import type { PoweredMachine } from "./poweredMachine";
import type { ScpiInstrument } from "./scpiLine";
import { callLine, configureLine, eyeLine, figureOf, placeLine, scpiPowered } from "./scpiPowered";

const SHEET = provingSheet.parse({
  format: "odd-lead/proving-sheet@1",
  motor: {
    plate: { power: "1/5", speed: "1075", volts: "208-230", amps: "1.6", runCapacitor: "6/370" },
    identification: {
      family: "two-winding",
      roles: { ye: { role: "run-end" }, rd: { role: "speed", rank: 1 }, gy: { role: "start-end" } },
      bonded: [],
      sections: [
        { between: ["ye", "rd"], ohms: 17, uncertaintyOhms: 0.3, winding: "main" },
        { between: ["rd", "gy"], ohms: 41, uncertaintyOhms: 0.6, winding: "start" },
      ],
    },
  },
  wiring: { equipment: "condenser-dual" },
});

function bench(seed: number, fault: "none" | "surprise"): PoweredMachine {
  const made = poweredBench(SHEET, seed, fault);
  if (!made.ok) throw new Error(made.faults[0]?.says);
  return made.machine;
}

/** Puts the instruments where a check wants them and reads them once they rest. */
function read(on: ScpiInstrument, check: NextCheck, kind: Parameters<typeof figureOf>[1]) {
  for (const line of [configureLine(kind), callLine(check), placeLine(check)])
    expect(on.answer(line, 1000)).toBeNull();
  return figureOf(on.answer("READ?", 9000) ?? "", kind);
}

const ON = { call: "cool", because: "", power: "on" } as const;
const OFF = { because: "", power: "off" } as const;
const CLAMP: NextCheck = { what: "line-amps", lead: "ye", ...ON };

describe("instruments beside a powered machine", () => {
  let machine: PoweredMachine;
  let on: ScpiInstrument;
  beforeAll(() => {
    machine = bench(3, "none");
    on = scpiPowered(machine);
  });

  it("names itself, and keeps a list of what it did not understand", () => {
    expect(on.answer("*IDN?", 0)).toMatch(/VIRTUAL POWERED BENCH/);
    expect(on.answer("MAKE:TEA", 0)).toBeNull();
    expect(on.answer("ROUT:CLAM", 0)).toBeNull();
    expect([1, 2, 3].map(() => on.answer("SYST:ERR?", 0))).toEqual([
      '-113,"Undefined header"',
      '-109,"Missing parameter"',
      '0,"No error"',
    ]);
  });

  it("reads the amps that truly flow, within its accuracy", () => {
    const amps = read(on, CLAMP, "amps");
    const truth = machine.trueAmps("cool", "ye");
    expect(amps).not.toBeNull();
    expect(Math.abs(Number(amps) - truth)).toBeLessThan(0.02 * truth + 0.05);
  });

  it("comes to rest like a hand’s display: off at first, the same as long as it stays", () => {
    for (const line of [configureLine("amps"), callLine(CLAMP), placeLine(CLAMP)]) on.answer(line, 20_000);
    const at = (ms: number) => figureOf(on.answer("READ?", 20_000 + ms) ?? "", "amps");
    expect(at(50)).toBeLessThan(Number(at(5000)) * 0.95);
    expect(at(5000)).toBeCloseTo(Number(at(9000)), 6);
  });

  it.each([
    ["volts across the capacitor", { what: "capacitor-volts", at: "fan", ...ON }, "volts", [200, 450]],
    ["amps into it", { what: "capacitor-amps", at: "fan", ...ON }, "amps", [0.3, 2]],
    [
      "its µF with the power off",
      { what: "capacitor-microfarads", at: "fan", ...OFF },
      "microfarads",
      [5, 7],
    ],
    ["the speed", { what: "rpm", ...ON }, "rpm", [1000, 1190]],
    ["insulation with the power off", { what: "insulation", lead: "ye", ...OFF }, "megohms", [5, 2000]],
    ["ohms with the power off", { what: "ohms", between: ["rd", "gy"], ...OFF }, "ohms", [30, 60]],
  ] as const)("reads %s", (_, check, kind, [low, high]) => {
    const value = read(on, check as NextCheck, kind);
    expect(value).toBeGreaterThan(low);
    expect(value).toBeLessThan(high);
  });

  it("shows nothing where nothing flows: no call, a call it has not, the jaw on no wire of it", () => {
    on.answer(configureLine("amps"), 0);
    on.answer(placeLine(CLAMP), 0);
    for (const line of ["SOUR:CALL OFF", 'SOUR:CALL "tea"']) {
      on.answer(line, 0);
      expect(figureOf(on.answer("READ?", 9000) ?? "", "amps")).toBe(0);
    }
    expect(read(on, { ...CLAMP, lead: "zz" }, "amps")).toBe(0);
    on.answer("ROUT:REL", 0);
    expect(figureOf(on.answer("MEAS:RES?", 9000) ?? "", "ohms")).toBe("open");
    expect(figureOf(on.answer("MEAS:INS?", 9000) ?? "", "megohms")).toBe("open");
  });

  it("tells what an eye sees", () => {
    on.answer(callLine(CLAMP), 0);
    on.answer(placeLine(CLAMP), 0);
    const eye = (what: NextCheck["what"]) => on.answer(eyeLine({ what }) ?? "", 0);
    expect(eye("starts")).toBe('"starts by itself"');
    expect(eye("turn")).toMatch(/^"turns C?CW seen from the (lead|shaft) end"$/);
    expect(eye("start-amps")).toMatch(/^"peak [\d.]+ A and [\d.]+ s/);
    expect(eyeLine({ what: "rpm" })).toBeNull();
  });
});

describe("a machine on the wiring of a sheet", () => {
  it("is the same for the same seed, sound where it is to be, and has one fault where one is wanted", () => {
    const causes = new Set<string>();
    for (let seed = 0; seed < 6; seed++) {
      expect(bench(seed, "none").fault.cause).toBe("as-planned");
      const { fault } = bench(seed, "surprise");
      expect(bench(seed, "surprise").fault).toEqual(fault);
      expect(fault.cause).not.toBe("as-planned");
      causes.add(fault.cause);
    }
    expect(causes.size).toBeGreaterThan(2);
  });

  it("is refused where there is nothing to run", () => {
    const bare = { ...SHEET, wiring: { equipment: "no-such-thing" } };
    expect(poweredBench(bare, 1, "none").ok).toBe(false);
  });
});
