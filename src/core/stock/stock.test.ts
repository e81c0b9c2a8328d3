import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { lineChanges } from "./cells";
import { guessColumns } from "./columns";
import { mappingFaults, parseCsv, stockFromTable, stockToCsv, suggestedMapping } from "./csv";
import { decodeText, MOST_FILE_BYTES } from "./decode";
import { figuresOf } from "./figures";
import { candidateOf, type StockItem, shelfPartOf, stockItem } from "./item";

let serial = 0;
const newId = () => `019a0000-0000-7000-8000-${String(++serial).padStart(12, "0")}`;

function imported(text: string) {
  const table = parseCsv(text);
  if (!table.ok) throw new Error(table.faults[0]?.says);
  return stockFromTable(table, suggestedMapping(table), newId);
}

const bytes = (text: string) => new TextEncoder().encode(text);

describe("a stock list as CSV", () => {
  it("is read with the headings that shops use", () => {
    const { items, faults } = imported(
      "Model,SKU,Qty,HP,RPM,Voltage,Phase,FLA,Rotation,MFD\nLarkhull LH-630-4,LH6304,3,1/3,1075/3SPD,208-230,1,2.6,CW LE,5/370\n",
    );
    expect(faults).toEqual([]);
    expect(items[0]).toMatchObject({
      kind: "motor",
      name: "Larkhull LH-630-4",
      part: "LH6304",
      count: 3,
      plate: { power: "1/3", speed: "1075/3SPD", volts: "208-230", amps: "2.6", runCapacitor: "5/370" },
    });
  });

  it.each([
    ["semicolons", "name;power;volts\nA;1/3;230\n"],
    ["tabs", "name\tpower\tvolts\nA\t1/3\t230\n"],
    ["a byte-order mark", "\uFEFFname,power,volts\nA,1/3,230\n"],
    ["old Mac line ends", "name,power,volts\rA,1/3,230\r"],
    ["mixed line ends", "name,power,volts\r\nA,1/3,230\nB,1/2,230\rC,1/4,115\r\n"],
    ["quotes", '"name","power","volts"\n"A ""big"", one","1/3","208-230"\n'],
    ["blank lines", "name,power,volts\n\n\nA,1/3,230\n,,\n"],
    ["no line end at the end", "name,power,volts\nA,1/3,230"],
  ])("is read with %s", (_, text) => {
    const { items, faults } = imported(text);
    expect(faults).toEqual([]);
    expect(items.length).toBe(text.includes("\rC") ? 3 : 1);
  });

  it("keeps a line break inside quotes in its cell, and counts lines on by it", () => {
    const { items, faults } = imported('name,power,volts\n"A\nB",1/3,230\nC,mighty,230\n');
    expect(items[0]?.name).toBe("A\nB");
    expect(faults[0]?.path[0]).toBe(4);
  });

  it("names every fault by its line, and imports nothing of that row", () => {
    const { items, faults } = imported(
      "kind,name,count,power,volts,label\nmotor,A,1,mighty,230,\nmotor,B,x,1/3,230,\ncapacitor,C,2,,,5\nmotor,,1,1/3,230,\nwidget,D,1,1/3,230,\nmotor,E,1,1/3,230,\n",
    );
    expect(items.map(({ name }) => name)).toEqual(["E"]);
    expect(faults.map(({ path }) => path[0])).toEqual([2, 3, 4, 5, 6]);
    expect(faults[2]?.says).toContain("no volts");
  });

  it("tells a name that is too long from one that is missing", () => {
    const { faults } = imported(
      `name,part,power,volts\n${"x".repeat(81)},,1/3,230\n,,1/3,230\nA,${"9".repeat(41)},1/3,230\n`,
    );
    expect(faults.map(({ says }) => says)).toEqual([
      "Its name has too many letters; 80 are kept.",
      "It has no name.",
      "Its part has too many letters; 40 are kept.",
    ]);
  });

  it("a row with too many cells is a fault of its line", () => {
    const { items, faults } = imported("name,power,volts\nA,1/3,230,extra\nB,1/3,230\n");
    expect(items).toHaveLength(1);
    expect(faults[0]?.says).toBe("Line 2 has 4 cells where there are 3 headings: left out.");
  });

  it.each([
    ["nothing", "", "no rows"],
    ["one column", "name\nA\nB\n", "one column"],
    ["a quote never closed", 'name,power,volts\n"A,1/3,230\n', "never closed"],
  ])("with %s is refused as a whole, in words", (_, text, words) => {
    const table = parseCsv(text);
    expect(table.ok).toBe(false);
    if (!table.ok) expect(table.faults[0]?.says).toContain(words);
  });

  it("without the columns that matter is refused before any row is read", () => {
    expect(mappingFaults(guessColumns(["colour", "weight"])).map(({ code }) => code)).toEqual([
      "no-name",
      "no-figures",
    ]);
    expect(mappingFaults(["name", "name", "power"]).map(({ code }) => code)).toEqual(["twice"]);
    expect(mappingFaults(guessColumns(["name", "power"]))).toEqual([]);
  });

  it("exported imports back equal", () => {
    const word = fc
      .string({ unit: "grapheme-ascii", minLength: 1, maxLength: 20 })
      .map((s) => s.trim())
      .filter((s) => s !== "");
    const item = fc
      .record({
        motor: fc.boolean(),
        name: word,
        part: fc.oneof(fc.constant(""), word),
        count: fc.integer({ min: 0, max: 50 }),
        minimum: fc.integer({ min: 0, max: 9 }),
        cost: fc.option(fc.integer({ min: 0, max: 99_999 }).map((cents) => cents / 100)),
        place: fc.constantFrom("", "van 1", '=van; "2"'),
        power: fc.constantFrom("1/3", "0.25 kW", "1/2, 1/3"),
        volts: fc.constantFrom("208-230", "115/230"),
        rotation: fc.constantFrom("CW LE", "REV", ""),
        label: fc.constantFrom("5 MFD 370", "35+5/440", "88-108 125"),
      })
      .map(
        ({ motor, power, volts, rotation, label, ...rest }): StockItem =>
          stockItem.parse({
            ...rest,
            id: newId(),
            ...(motor ? { kind: "motor", plate: { power, volts, rotation } } : { kind: "capacitor", label }),
          }),
      );
    fc.assert(
      fc.property(fc.array(item, { minLength: 1, maxLength: 8 }), (items) => {
        const back = imported(stockToCsv(items));
        expect(back.faults).toEqual([]);
        const bare = (list: readonly StockItem[]) => list.map(({ id: _, ...rest }) => rest);
        expect(bare(back.items)).toEqual(bare(items));
      }),
      { numRuns: 60 },
    );
  });

  it("never throws, whatever the file holds", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), (text) => {
        const table = parseCsv(text);
        if (table.ok) stockFromTable(table, suggestedMapping(table), newId);
      }),
      { numRuns: 200 },
    );
  });
});

describe("the numbers of a stock list", () => {
  const read = (count: string, cost: string) => {
    const table = parseCsv(`name;count;cost;label\nx;"${count}";"${cost}";5 MFD 370\n`);
    if (!("rows" in table)) throw new Error("no table");
    const { items, faults } = stockFromTable(table, suggestedMapping(table), newId);
    return items[0] ? { count: items[0].count, cost: items[0].cost } : faults.map(({ path }) => path[1]);
  };

  it.each([
    ["12", "12.50", 12, 12.5],
    ["1,200", "$1,234.50", 1200, 1234.5],
    ["1 200", "1.234,50 €", 1200, 1234.5],
    ["3.0", "USD 8", 3, 8],
    ["0", "0,05", 0, 0.05],
    ["1'000", "1234,5", 1000, 1234.5],
  ])("“%s” pieces at “%s” are read as they are meant", (count, cost, pieces, price) => {
    expect(read(count, cost)).toEqual({ count: pieces, cost: price });
  });

  it.each(["1,5", "1 2", "0x10", "1e9", "-3", "12 pcs", "1,20", "½", "12,34,567"])(
    "“%s” is no number of pieces and is said so",
    (count) => {
      expect(read(count, "")).toEqual(["count"]);
    },
  );

  it.each(["12.50 for 2", "10/5", "0x10", "1e9", "-3", "1.2.3", "12.50 12.50", "ten"])(
    "“%s” is no price and is said so",
    (cost) => {
      expect(read("1", cost)).toEqual(["cost"]);
    },
  );
});

describe("a stock list that is odd", () => {
  it("of a million columns is answered at once", () => {
    const refusal = parseCsv(`name${",x".repeat(1_000_000)}\n`);
    expect("rows" in refusal).toBe(false);
    expect(JSON.stringify(refusal)).toContain("too-many-columns");
  });

  it("says where a part stands twice in one place, and takes it once", () => {
    const table = parseCsv(
      "name,part,place,count,label\na,LH-5,truck,1,5 MFD 370\nb,LH-5,shelf,2,5 MFD 370\nc,LH-5,truck,3,5 MFD 370\n",
    );
    if (!("rows" in table)) throw new Error("no table");
    const { items, faults } = stockFromTable(table, suggestedMapping(table), newId);
    expect(items.map(({ name }) => name)).toEqual(["a", "b"]);
    expect(faults.map(({ code, path }) => [code, path[0]])).toEqual([["twice", 4]]);
  });

  it("exports no cell that a spreadsheet would take for a formula", () => {
    const item = stockItem.parse({
      id: newId(),
      name: "=1+1",
      part: "@x",
      count: 1,
      place: "+y",
      kind: "capacitor",
      label: "=cmd()",
    });
    const cells = stockToCsv([item]).split("\r\n")[1]?.split(",") ?? [];
    expect(cells.filter((cell) => /^"?[=+\-@]/.test(cell))).toEqual([]);
  });
});

describe("a file's bytes", () => {
  it("are read by their mark, as UTF-8, or as Windows-1252 with a doubt", () => {
    expect(decodeText(bytes("name,µF"))).toMatchObject({ text: "name,µF", encoding: "utf-8", doubt: null });
    const old = Uint8Array.from([...bytes("caf"), 0xe9, 0x2c, 0xb5]);
    const read = decodeText(old);
    expect(read).toMatchObject({ encoding: "windows-1252", text: "café,µ" });
    if (read.ok) expect(read.doubt).toContain("Windows-1252");
    expect(decodeText(Uint8Array.from([0xff, 0xfe, 0x61, 0x00]))).toMatchObject({
      text: "a",
      encoding: "utf-16le",
    });
    expect(decodeText(Uint8Array.from([0xfe, 0xff, 0x00, 0x61]))).toMatchObject({
      text: "a",
      encoding: "utf-16be",
    });
  });

  it("are refused when empty, too many, or no text at all", () => {
    for (const [data, words] of [
      [new Uint8Array(0), "empty"],
      [new Uint8Array(MOST_FILE_BYTES + 1), "MB"],
      [Uint8Array.from([0x50, 0x4b, 3, 4, 0, 0, 0]), "no text file"],
    ] as const) {
      const read = decodeText(data);
      expect(read.ok).toBe(false);
      if (!read.ok) expect(read.faults[0]?.says).toContain(words);
    }
  });
});

describe("a stock line", () => {
  it("of a motor is a candidate, of a capacitor a part on the shelf", () => {
    const [motor, cap, bare] = [
      stockItem.parse({ kind: "motor", id: newId(), name: "VD-Q14", count: 2, plate: { power: "1/4" } }),
      stockItem.parse({ kind: "capacitor", id: newId(), name: "dual", count: 1, label: "35+5 440" }),
      stockItem.parse({ kind: "capacitor", id: newId(), name: "no volts", count: 1, label: "5" }),
    ];
    if (motor.kind !== "motor" || cap.kind !== "capacitor" || bare.kind !== "capacitor") throw new Error();
    expect(candidateOf(motor, 1)).toMatchObject({ name: "VD-Q14", count: 1 });
    expect(shelfPartOf(cap)).toMatchObject({
      kind: "dual",
      hermMicrofarads: 35,
      fanMicrofarads: 5,
      volts: 440,
    });
    expect(shelfPartOf(bare)).toBeNull();
    expect(figuresOf(cap)).toMatchObject({ microfarads: 35, volts: 440 });
  });
});

describe("what became another in a line", () => {
  const line = stockItem.parse({
    kind: "motor",
    id: "0190aaaa-0000-7000-8000-000000000001",
    name: "Larkhull LH-2",
    count: 3,
    plate: { power: "1/3", volts: "230" },
  });

  it("is told column by column, in the words of the table", () => {
    const now = stockItem.parse({ ...line, count: 5, plate: { power: "1/3", volts: "115", speed: "1075" } });
    expect(lineChanges(line, now)).toEqual([
      { title: "count", was: "3", now: "5" },
      { title: "speed", was: "", now: "1075" },
      { title: "volts", was: "230", now: "115" },
    ]);
  });

  it("is nothing between equal lines, and what a motor has and a capacitor has not is told too", () => {
    expect(lineChanges(line, { ...line })).toEqual([]);
    const cap = stockItem.parse({ ...line, kind: "capacitor", label: "5 MFD 370" });
    expect(lineChanges(line, cap).map(({ title }) => title)).toContain("capacitor label");
  });
});
