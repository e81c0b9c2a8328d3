import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { ohmsAtTemperature } from "../ohms/windingTemperature";
import type { Fact, FactBody } from "./facts";
import { deriveJob } from "./job";
import { unitHistory, type Visit } from "./unitHistory";

let count = 0;
function visit(on: string, bodies: readonly FactBody[]): Visit {
  const facts = bodies.map((body): Fact => {
    count += 1;
    const id = `019c6adf-2698-7f89-84a8-${count.toString(16).padStart(12, "0")}`;
    return { id, at: `${on}T10:00:00.000Z`, by: "Dov Hask", body };
  });
  return { id: on, job: deriveJob(facts) };
}

/** A motor with these leads, whose ids are others each time; the pair read at a winding temperature. */
function read(on: string, ohms: number, windingC?: number, more: readonly FactBody[] = []): Visit {
  return visit(on, [
    { kind: "lead", lead: { id: `${on}-a`, colour: "red" } },
    { kind: "lead", lead: { id: `${on}-b`, colour: "black" } },
    { kind: "pair-reading", between: [`${on}-a`, `${on}-b`], typed: String(ohms), ohms },
    ...(windingC === undefined
      ? []
      : [{ kind: "conditions", conditions: { windingC, conductor: "copper" } } as const]),
    ...more,
  ]);
}

const insulation = (on: string, megohms: number, windingC?: number, inWell = false): FactBody => ({
  kind: "insulation",
  test: {
    on,
    typed: String(megohms),
    megohms,
    orMore: false,
    testVolts: 500,
    ...(windingC === undefined ? {} : { windingC }),
    inWell,
  },
});
const tested = (label: string, half: "single" | "herm" | "fan", microfarads: number): FactBody => ({
  kind: "capacitor-test",
  test: { label, half, by: { way: "meter", microfarads } },
});

describe("ohms over the years", () => {
  it("of one winding are one figure at 20 °C, however warm it was each time", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 200, noNaN: true }),
        fc.array(fc.double({ min: -10, max: 90, noNaN: true }), { minLength: 2, maxLength: 6 }),
        (cold, temperatures) => {
          const visits = temperatures.map((c, i) =>
            read(`2025-0${i + 1}-05`, ohmsAtTemperature(cold, 20, c), c),
          );
          const [series] = unitHistory(visits).ohms;
          expect(series?.of).toBe("BK to RD");
          for (const { value, asRead } of series?.points ?? []) {
            expect(value).toBeCloseTo(cold, 8);
            expect(asRead).toBe(false);
          }
          expect(series?.alarm).toBe("");
        },
      ),
    );
  });

  it("alarm from five per cent off the first", () => {
    const over = (share: number) =>
      unitHistory([read("2025-01-01", 20, 20), read("2025-06-01", 20 * share, 20)]).ohms[0];
    expect(over(1.049)?.alarm).toBe("");
    expect(over(1.051)?.alarm).toMatch(/5\.1 % over its first/);
    expect(over(0.949)?.alarm).toMatch(/under its first/);
    expect([over(1)?.low, over(1)?.high]).toEqual([19, 21]);
  });

  it("are as read, and said so, where nobody told how warm it was", () => {
    expect(unitHistory([read("2025-01-01", 20)]).ohms[0]?.points).toMatchObject([
      { value: 20, asRead: true },
    ]);
  });

  it("leave open readings out", () => {
    const open = visit("2025-01-01", [
      { kind: "lead", lead: { id: "a", colour: "red" } },
      { kind: "lead", lead: { id: "b", colour: "black" } },
      { kind: "pair-reading", between: ["a", "b"], typed: "OL", open: true },
    ]);
    expect(unitHistory([open]).ohms).toEqual([]);
  });
});

describe("insulation over the years", () => {
  it("is compared at 40 °C, and alarms once it is half of the time before", () => {
    const [series] = unitHistory([
      read("2025-01-01", 9, 20, [insulation("2025-01-01", 400, 40)]),
      read("2025-06-01", 9, 20, [insulation("2025-06-01", 400, 30)]),
    ]).insulation;
    expect(series?.points.map(({ value }) => value)).toEqual([400, 200]);
    expect(series?.alarm).toMatch(/Halved/);
  });

  it("of a pump in its well is a figure of its own, as read", () => {
    const { insulation: all } = unitHistory([
      read("2025-01-01", 9, 20, [insulation("2025-01-01", 8, 12, true), insulation("2025-01-01", 90, 40)]),
    ]);
    expect(all.map(({ of, points }) => [of, points[0]?.value])).toEqual([
      ["in the well, as read", 8],
      ["to the shell", 90],
    ]);
  });
});

describe("capacitors over the years", () => {
  it("are per cent of the side that was measured; five points a visit alarm", () => {
    const history = unitHistory([
      read("2025-01-01", 9, 20, [tested("35+5 440", "herm", 34.3), tested("35+5 440", "fan", 5.1)]),
      read("2025-06-01", 9, 20, [tested("35+5 440", "herm", 32.2), tested("35+5 440", "fan", 5.05)]),
    ]).capacitors;
    const herm = history.find(({ of }) => of === "HERM");
    const fan = history.find(({ of }) => of === "FAN");
    expect(herm?.points.map(({ value }) => Math.round(value))).toEqual([98, 92]);
    expect(herm?.alarm).toMatch(/6 % of its label lost/);
    expect(fan?.alarm).toBe("");
  });
});

describe("amps over the years", () => {
  it("are those last read at each visit for each lead and call", () => {
    const seen = (amps: number): FactBody => ({
      kind: "proof-seen",
      seen: { what: "line-amps", call: "cool", lead: "x", amps },
    });
    const history = unitHistory([
      visit("2025-01-01", [seen(1.4), seen(1.5)]),
      visit("2025-06-01", [seen(1.7)]),
    ]);
    expect(history.amps.map(({ points }) => points.map(({ value }) => value))).toEqual([[1.5, 1.7]]);
  });
});
