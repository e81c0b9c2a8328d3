import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { identify } from "../identify/identify";
import { ohmsAtTemperature } from "../ohms/windingTemperature";
import type { Fact, FactBody } from "./facts";
import { type Fingerprint, fingerprintOf, pairAt, stepsNear, stepsOf, UNKNOWN_OHMS } from "./fingerprint";
import { deriveJob, sheetOf } from "./job";
import { metBefore } from "./metBefore";
import type { ReadSoFar } from "./placing";

let count = 0;
const made = (body: FactBody): Fact => {
  count += 1;
  return {
    id: `019c6adf-2698-7f89-84a8-${count.toString(16).padStart(12, "0")}`,
    at: "2026-03-03T03:03:03.000Z",
    by: "",
    body,
  };
};
const lead = (id: string, colour: string) => made({ kind: "lead", lead: { id, colour } });
const reading = (a: string, b: string, ohms: number) =>
  made({ kind: "pair-reading", between: [a, b], typed: String(ohms), ohms });

/** A chain of sections between leads of these names, in order. */
function chain(
  names: readonly string[],
  sections: readonly number[],
  windingC: number | null = null,
): Fingerprint {
  const ohms: number[] = [];
  for (let i = 0; i < names.length; i++)
    for (let j = i + 1; j < names.length; j++)
      ohms[pairAt(i, j, names.length)] = sections.slice(i, j).reduce((sum, one) => sum + one, 0);
  return { leads: names.map((name) => ({ name, was: "" })), ohms, windingC };
}

/** Readings of a motor between these of its leads, called by other ids. */
function read(
  print: Fingerprint,
  pairs: readonly (readonly [number, number])[],
  times = 1,
  names: readonly string[] = print.leads.map(({ name }) => name),
): ReadSoFar {
  return {
    leads: names.map((name, i) => ({ id: `here-${i}`, name })),
    windingC: null,
    readings: pairs.map(([a, b]) => {
      const ohms = (print.ohms[pairAt(a, b, print.leads.length)] ?? 0) * times;
      return { between: [`here-${a}`, `here-${b}`], ohms, sigmaOhms: 0.005 * ohms + 0.05 };
    }),
  };
}

const BLOWER = chain(["BK", "BU", "RD", "WH"], [18.6, 3.9, 41.2]);
const OTHERS = [
  chain(["BK", "BU", "RD", "WH"], [11.2, 6.4, 28]),
  chain(["BK", "BN", "RD"], [14.1, 27.6]),
  chain(["YE", "BN", "RD", "OG"], [9.9, 2.2, 33]),
];
const RECORD = [BLOWER, ...OTHERS].map((print) => ({ of: print, print }));
const ALL = [
  [0, 1],
  [1, 2],
  [2, 3],
  [0, 3],
] as const;

describe("a motor met before", () => {
  it("is known again by its ohms at another temperature, each lead for what it was", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.92, max: 1.08, noNaN: true }), (times) => {
        const [first] = metBefore(read(BLOWER, ALL, times), RECORD, RECORD.length);
        expect(first?.of).toBe(BLOWER);
        expect(first?.map).toEqual([0, 1, 2, 3].map((earlier) => ({ here: `here-${earlier}`, earlier })));
        expect(first?.likely).toBeGreaterThan(0.9);
      }),
    );
  });

  it("is known again where its leads have other colours now, less surely", () => {
    const same = metBefore(read(BLOWER, ALL), RECORD, 500);
    const other = metBefore(read(BLOWER, ALL, 1, ["W", "X", "Y", "Z"]), RECORD, 500);
    expect(other[0]?.of ?? BLOWER).toBe(BLOWER);
    expect(other[0]?.likely ?? 0).toBeLessThan(same[0]?.likely ?? 0);
  });

  it("is the less sure the more motors the record has", () => {
    const likely = (recorded: number) => metBefore(read(BLOWER, ALL), RECORD, recorded)[0]?.likely ?? 0;
    expect(likely(1_000_000)).toBeLessThan(likely(4));
    expect(likely(1e12)).toBe(0);
  });

  it("is not claimed after fewer than three readings, nor where ohms disagree by more than warmth can", () => {
    expect(metBefore(read(BLOWER, ALL.slice(0, 2)), RECORD, 4)).toEqual([]);
    const off = read(BLOWER, ALL);
    const [one, ...rest] = off.readings;
    const wrong = { ...off, readings: [{ ...one, ohms: (one?.ohms ?? 0) * 1.15 } as never, ...rest] };
    expect(metBefore(wrong, RECORD, 4)).toEqual([]);
  });

  it("is not one that was open where this one is not, or the other way about", () => {
    const { readings, ...sheet } = read(BLOWER, ALL);
    const open = readings.map((one, i) => (i === 1 ? { ...one, ohms: null } : one));
    expect(metBefore({ ...sheet, readings: open }, RECORD, 4)).toEqual([]);
    const parted = { ...BLOWER, ohms: BLOWER.ohms.map((one, i) => (i === pairAt(1, 2, 4) ? null : one)) };
    expect(metBefore(read(BLOWER, ALL), [{ of: parted, print: parted }], 4)).toEqual([]);
  });

  it("of which only some pairs are known is compared by those", () => {
    const ohms = BLOWER.ohms.map((one, i) => (i === pairAt(0, 3, 4) ? UNKNOWN_OHMS : one));
    const half = { ...BLOWER, ohms };
    expect(metBefore(read(BLOWER, ALL), [{ of: half, print: half }], 4)[0]?.of).toBe(half);
  });

  it("with its twin shares how likely it is: both are shown", () => {
    const twin = chain(["BK", "BU", "RD", "WH"], [18.7, 3.9, 41]);
    const found = metBefore(read(BLOWER, ALL), [...RECORD, { of: twin, print: twin }], 5);
    expect(new Set(found.map(({ of }) => of))).toEqual(new Set([BLOWER, twin]));
    for (const { likely } of found) expect(likely).toBeGreaterThan(0.9);
  });

  it("at temperatures that are told is held to them", () => {
    const cold = chain(["BK", "BU", "RD", "WH"], [18.6, 3.9, 41.2], 10);
    const warm = (windingC: number) => ({
      ...read(cold, ALL, ohmsAtTemperature(1, 10, 60)),
      windingC,
    });
    expect(metBefore(warm(60), [{ of: cold, print: cold }], 4)).toHaveLength(1);
    expect(metBefore(warm(10), [{ of: cold, print: cold }], 4)).toEqual([]);
  });
});

describe("a fingerprint", () => {
  it("has what was read, and what follows once the leads are settled", () => {
    const facts = [
      lead("a", "red"),
      lead("b", "black"),
      lead("c", "white"),
      reading("a", "b", 12),
      reading("b", "c", 30),
    ];
    const job = deriveJob(facts);
    expect(fingerprintOf(job, null)?.ohms).toEqual([12, UNKNOWN_OHMS, 30]);
    const answer = identify(sheetOf(job));
    if (!answer.ok) throw new Error("refused");
    const section = { uncertaintyOhms: 0.1, winding: "main" } as const;
    const settled = fingerprintOf(job, {
      ...answer,
      status: "settled",
      sections: [
        { ...section, between: ["a", "b"], ohms: 12.1 },
        { ...section, between: ["b", "c"], ohms: 30.2 },
      ],
    });
    // What was read stays as it was read.
    expect(settled?.ohms).toEqual([12, 42.3, 30]);
    expect(settled?.leads.map(({ name }) => name)).toEqual(["RD", "BK", "WH"]);
    expect(fingerprintOf(deriveJob(facts.slice(0, 4)), null)).toBeNull();
  });

  it("is found by the steps of any reading that warmth and meter may have moved", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 5000, noNaN: true }),
        fc.double({ min: -0.1, max: 0.1, noNaN: true }),
        (ohms, moved) => {
          const steps = stepsOf({ leads: [], ohms: [ohms], windingC: null });
          expect(stepsNear(ohms * Math.exp(moved)).some((step) => steps.includes(step))).toBe(true);
        },
      ),
    );
  });

  it("gives each pair of leads a place of its own", () => {
    for (let n = 2; n <= 12; n++) {
      const places = new Set<number>();
      for (let i = 0; i < n; i++) for (let j = i + 1; j < n; j++) places.add(pairAt(j, i, n));
      expect([...places].sort((a, b) => a - b)).toEqual(
        Array.from({ length: (n * (n - 1)) / 2 }, (_, k) => k),
      );
    }
  });
});
