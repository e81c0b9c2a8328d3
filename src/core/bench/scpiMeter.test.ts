import { describe, expect, it } from "vitest";
import type { Network } from "../motor/network";
import { settledValue } from "../ohms/settledValue";
import { seededRandom } from "./random";
import { scpiMeter, shownOf } from "./scpiMeter";

const METER = { percent: 1, counts: 2, resolutionOhms: 0.1, probeOhms: 0.2 };
const NETWORK: Network = {
  junctions: 3,
  sections: [{ from: 0, to: 1, ohms: 12, winding: "main" }],
  leadAt: new Map([
    ["a", 0],
    ["b", 1],
    ["c", 2],
  ]),
};
const meter = (shell: number | null = null) => scpiMeter(NETWORK, METER, seededRandom(4), () => shell);

describe("the stand-in for a bench ohmmeter", () => {
  it("says who it is, and answers in the long and the short form, in either case", () => {
    const { answer } = meter();
    expect(answer("*IDN?", 0)).toMatch(/^ODD LEAD,/);
    answer('ROUT:TOUC "a","b"', 0);
    for (const query of ["READ?", "read?", ":MEAS:RES?", "MEASure:RESistance?"])
      expect(shownOf(answer(query, 5000) ?? "")).toHaveProperty("ohms");
    expect(answer("CONF:RES", 0)).toBeNull();
    expect(answer("SYST:ERR?", 0)).toBe('0,"No error"');
  });

  it("shows over range before contact, comes to rest, and then scatters in the last digit only", () => {
    const { answer } = meter();
    const at = (ms: number) => shownOf(answer("READ?", ms) ?? "");
    expect(at(0)).toEqual({ open: true });
    answer('ROUTE:TOUCH "a","b"', 1000);
    expect(at(1050)).toEqual({ open: true });
    const early = at(1250);
    expect(early && "ohms" in early && early.ohms).toBeGreaterThan(12.6);
    const late = Array.from({ length: 40 }, (_, i) => at(4000 + i));
    const ohms = late.map((shown) => (shown && "ohms" in shown ? shown.ohms : Number.NaN));
    expect(Math.max(...ohms) - Math.min(...ohms)).toBeLessThanOrEqual(0.2 + 1e-9);
    expect(Math.abs((ohms[0] ?? 0) - 12.2)).toBeLessThan(0.5);
  });

  it("reads open between separate windings and to the shell, ohms to the shell of a grounded one", () => {
    const { answer } = meter();
    answer('ROUT:TOUC "a","c"', 0);
    expect(shownOf(answer("READ?", 5000) ?? "")).toEqual({ open: true });
    answer('ROUT:TOUC "a",SHELL', 0);
    expect(shownOf(answer("READ?", 5000) ?? "")).toEqual({ open: true });
    const grounded = meter(40);
    grounded.answer('ROUT:TOUC "a",SHELL', 0);
    const shown = shownOf(grounded.answer("READ?", 5000) ?? "");
    expect(shown && "ohms" in shown && Math.abs(shown.ohms - 40)).toBeLessThan(0.2);
  });

  it("queues an error for what it does not know, and gives it once", () => {
    const { answer } = meter();
    expect(answer("VOLT?", 0)).toBeNull();
    answer('ROUT:TOUC "a","z"', 0);
    answer("ROUT:TOUC", 0);
    expect(answer("SYST:ERR?", 0)).toMatch(/^-113/);
    expect(answer("SYST:ERR?", 0)).toMatch(/^-224/);
    expect(answer("SYST:ERR?", 0)).toMatch(/^-109/);
    expect(answer("SYST:ERR?", 0)).toMatch(/^0,/);
  });

  it("lifted probes show over range again", () => {
    const { answer } = meter();
    answer('ROUT:TOUC "a","b"', 0);
    answer("ROUT:REL", 100);
    expect(shownOf(answer("READ?", 5000) ?? "")).toEqual({ open: true });
  });
});

describe("a value to hold", () => {
  it("is one that three readings agree on, and none while it moves", () => {
    expect(settledValue([{ ohms: 14 }, { ohms: 12.6 }, { ohms: 12.2 }], 0.1)).toBeNull();
    expect(settledValue([{ ohms: 14 }, { ohms: 12.2 }, { ohms: 12.3 }, { ohms: 12.2 }], 0.1)).toEqual({
      ohms: 12.2,
    });
    expect(settledValue([{ open: true }, { open: true }, { open: true }], 0.1)).toEqual({ open: true });
    expect(settledValue([{ open: true }, { open: true }, { ohms: 3 }], 0.1)).toBeNull();
    expect(settledValue([{ ohms: 3 }], 0.1)).toBeNull();
  });
});
