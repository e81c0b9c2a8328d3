import { describe, expect, it } from "vitest";
import { ampsAddUpLog } from "./ampsAddUp";
import { provingCase } from "./provingCase";
import { provingSheet } from "./provingSheet";
import { sightOf } from "./sight";
import { AS_PLANNED } from "./suspects";

const call = "cool";

/** A condenser fan of three leads on a dual capacitor. */
function fan() {
  const opened = provingCase(
    provingSheet.parse({
      format: "odd-lead/proving-sheet@1",
      motor: {
        plate: {
          power: "1/4",
          speed: "1075",
          volts: "208-230",
          phase: "1",
          amps: "1.6",
          runCapacitor: "5 MFD 440",
        },
        identification: {
          family: "two-winding",
          roles: { YE: { role: "run-end" }, BK: { role: "speed", rank: 1 }, BN: { role: "start-end" } },
          bonded: [],
          sections: [
            { between: ["YE", "BK"], ohms: 14.1, uncertaintyOhms: 0.3, winding: "main" },
            { between: ["BK", "BN"], ohms: 27.6, uncertaintyOhms: 0.5, winding: "start" },
          ],
        },
      },
      wiring: { equipment: "condenser-dual" },
    }),
  );
  if (!opened.ok) throw new Error(JSON.stringify(opened.faults));
  return { made: opened.case, sight: sightOf(opened.case) };
}

const { made, sight } = fan();
const amps = (lead: string, value: number, air = 1) =>
  ({ reading: { what: "line-amps", call, lead }, value, air }) as const;
const log = (...figures: readonly ReturnType<typeof amps>[]) =>
  ampsAddUpLog(made, sight, AS_PLANNED, figures);

describe("amps of all leads alive together", () => {
  it("speak against no clamp while none carries more than the others together", () => {
    expect(log(amps("BK", 1.5), amps("YE", 1.7), amps("BN", 0.9))).toBe(0);
    expect(log(amps("BK", 2.4), amps("YE", 1.5), amps("BN", 0.9))).toBe(0);
  });

  it("speak against one where a lead shows more than the others can bring", () => {
    expect(log(amps("BK", 1.5), amps("YE", 8.5), amps("BN", 0.9))).toBeLessThan(-9);
  });

  it("say nothing before all are read", () => {
    expect(log(amps("BK", 1.5), amps("YE", 8.5))).toBe(0);
  });

  it("say nothing of figures read under unlike air, nor of the supply's own line", () => {
    expect(log(amps("BK", 1.5), amps("YE", 8.5, 1.4), amps("BN", 0.9))).toBe(0);
    expect(log(amps("BK", 1.5), amps("YE", 1.7), amps("BN", 0.9), amps("L1", 6))).toBe(0);
  });
});
