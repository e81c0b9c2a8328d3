import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { parseStatedOhms } from "./statedOhms";

const read = (text: string) => {
  const stated = parseStatedOhms(text);
  if (!stated.ok) throw new Error(stated.faults.map(({ says }) => says).join(" "));
  return stated;
};
const faults = (text: string) => {
  const stated = parseStatedOhms(text);
  return stated.ok ? [] : stated.faults.map(({ code }) => code);
};

describe("ohms as a leaflet states them", () => {
  it("are two leads and a figure, parted by commas, semicolons or lines", () => {
    for (const text of [
      "BK–WH 8.2, BN–WH 12.4",
      "black-white: 8.2; brown - white: 12.4",
      "BK to WH = 8.2 Ω\nBN to WH = 12.4 ohms",
      "BK WH 8,2; BN WH 12,4",
    ])
      expect(read(text).pairs, text).toEqual([
        { between: ["BK", "WH"], ohms: 8.2 },
        { between: ["BN", "WH"], ohms: 12.4 },
      ]);
  });

  it("may say the winding’s temperature, in either degree", () => {
    expect(read("BK–WH 8.2, BN–WH 12.4 at 25 °C").windingC).toBe(25);
    expect(read("BK–WH 8.2 @ 77F").windingC).toBe(25);
    expect(read("BK–WH 8.2").windingC).toBeNull();
    expect(faults("BK–WH 8.2 at noon")).toEqual(["not-a-temperature"]);
  });

  it("are between stripes and marks too, and open where nothing is between them", () => {
    expect(read("BN/WH-BK .3; T1–T4 3.1; T1–T2 OL").pairs).toEqual([
      { between: ["BN/WH", "BK"], ohms: 0.3 },
      { between: ["T1", "T4"], ohms: 3.1 },
      { between: ["T1", "T2"], ohms: null },
    ]);
  });

  it("are refused in words where a lead is unknown, given twice, or alone", () => {
    expect(faults("")).toEqual(["empty"]);
    expect(faults("xylo–WH 8.2")).toEqual(["unknown-lead"]);
    expect(faults("BK–WH")).toEqual(["not-a-pair"]);
    expect(faults("BK–WH–RD 3")).toEqual(["not-a-pair"]);
    expect(faults("BK–BK 3")).toEqual(["same-lead"]);
    expect(faults("BK–WH 8.2, WH–BK 8.3")).toEqual(["twice"]);
  });

  it("read back what was written, whatever the figures, and never throw", () => {
    const colours = ["BK", "WH", "RD", "BN", "YE", "BU", "OG"];
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...colours), { minLength: 2 }),
        fc.array(fc.integer({ min: 1, max: 99_999 }), { minLength: 6, maxLength: 6 }),
        (leads, hundredths) => {
          const pairs = leads
            .slice(1)
            .map((lead, i) => ({ between: [leads[i] ?? "", lead], ohms: (hundredths[i] ?? 1) / 100 }));
          const text = pairs.map(({ between, ohms }) => `${between.join("–")} ${ohms}`).join(", ");
          expect(read(text).pairs).toEqual(pairs);
        },
      ),
    );
    fc.assert(fc.property(fc.string(), (text) => void parseStatedOhms(text)));
  });
});
