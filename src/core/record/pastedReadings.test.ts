import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { parsePastedReadings } from "./pastedReadings";

const names = new Map([
  ["a", ["WH", "white"]],
  ["b", ["BK", "black"]],
  ["c", ["BN/WH", "brown/white", "T5"]],
]);
const read = (text: string) => parsePastedReadings(text, names);
const short = (text: string) => read(text).readings.map((r) => [...r.between, r.typed].join(" "));

describe("a pasted table of readings", () => {
  it.each([
    ["rows parted by commas", "WH,BK,12.4\nBK,BN/WH,OL"],
    ["rows parted by semicolons, decimals with commas", "WH;BK;12,4\nBK;BN/WH;OL"],
    ["rows out of a spreadsheet", "lead\tlead\tohms\nwhite\tblack\t12.4\nblack\tT5\tOL"],
    ["rows as a hand writes them", "WH BK 12.4\r\n\r\nBK BN/WH OL\r"],
    ["a byte-order mark and quotes", '\uFEFF"WH","BK","12.4"\n"BK","BN/WH","OL"'],
    ["a square table, half filled", "\tWH\tBK\nBK\t12.4\t-\nBN/WH\t\tOL"],
  ])("%s", (_, text) => {
    expect(read(text).faults).toEqual([]);
    expect(short(text).map((line) => line.replace(",", ".").split(" ").sort().join(" "))).toEqual(
      ["a b 12.4", "b c OL"].map((line) => line.split(" ").sort().join(" ")),
    );
  });

  it("takes readings to the shell", () => {
    expect(read("WH shell OL\nframe BK 850k").readings.map((r) => r.between)).toEqual([
      ["a", null],
      ["b", null],
    ]);
  });

  it("names every line that cannot be read, and keeps the others", () => {
    const { readings, faults } = read("WH,BK,12.4\nWH,VT,3\nBK,BK,1\nBK,BN/WH,twelve");
    expect(readings).toHaveLength(1);
    expect(faults.map((f) => [f.code, f.path[1]])).toEqual([
      ["unknown-lead", 2],
      ["same-lead", 3],
      ["not-ohms", 4],
    ]);
  });

  it("says so when there is nothing, or far too much", () => {
    expect(read(" \n \n").faults[0]?.code).toBe("empty");
    expect(read("WH BK 1\n".repeat(500)).faults[0]?.code).toBe("too-long");
  });

  it("never throws, whatever is pasted", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 300, unit: "binary" }), (text) => {
        const { readings, faults } = read(text);
        expect(readings.length + faults.length).toBeLessThan(700);
      }),
    );
  });
});
