import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { formatCapacitor, parseCapacitor } from "./capacitance";
import { formatLength, parseLength } from "./length";
import { parseNumber } from "./number";
import { formatPower, parsePower, STANDARD_HP, WATTS_PER_HP } from "./power";
import { formatRotation, parseRotation } from "./rotation";
import { parseSpeed } from "./speed";
import { connectionFor, formatVolts, parseVolts } from "./volts";

describe("a number as plates write it", () => {
  it.each([
    ["1/3", 1 / 3],
    ["1 1/2", 1.5],
    ["1-1/2", 1.5],
    ["5-5/8", 5.625],
    ["0,25", 0.25],
    [".5", 0.5],
    ["1,075", 1075],
  ])("%s is %d", (text, value) => {
    expect(parseNumber(text)).toBeCloseTo(value, 9);
  });

  it.each(["", "1/0", "-3", "1e3", "a", "1/2/3", "--"])("“%s” is none", (text) => {
    expect(parseNumber(text)).toBeNull();
  });
});

describe("power as a hand types it", () => {
  it.each([
    ["1/3", "1/3 hp (249 W)"],
    ["1/3 HP", "1/3 hp (249 W)"],
    ["1-1/2 hp", "1.5 hp (1.12 kW)"],
    ["0.25 kW", "0.335 hp (250 W)"],
    ["0,25 kW", "0.335 hp (250 W)"],
    ["250W", "0.335 hp (250 W)"],
    ["250", "0.335 hp (250 W)"],
    [".5", "1/2 hp (373 W)"],
    ["1/6-1/3", "1/6 hp (124 W), 1/3 hp (249 W)"],
    ["1/2, 1/3, 1/4", "1/2 hp (373 W), 1/3 hp (249 W), 1/4 hp (186 W)"],
    ["1/2,1/3,1/4 HP", "1/2 hp (373 W), 1/3 hp (249 W), 1/4 hp (186 W)"],
    ["1/2 to 1/5 hp", "1/2 hp (373 W), 1/5 hp (149 W)"],
  ])("%s is %s", (text, full) => {
    const read = parsePower(text);
    expect(read.ok && read.watts.map(formatPower).join(", ")).toBe(full);
  });

  it.each(["", "strong", "0", "100 hp", "1/3 rpm", "-1/2"])("“%s” is refused in words", (text) => {
    const read = parsePower(text);
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.faults[0]?.says.length).toBeGreaterThan(20);
  });

  it("reads back every standard power it writes", () => {
    for (const hp of STANDARD_HP) {
      const written = formatPower(hp * WATTS_PER_HP).replace(/ \(.*/, "");
      const read = parsePower(written);
      expect(read.ok && (read.watts[0] ?? 0) / WATTS_PER_HP).toBeCloseTo(hp, 6);
    }
  });
});

describe("volts as a hand types them", () => {
  it.each([
    ["115", "115 V"],
    ["208-230 V", "208–230 V"],
    ["230/208", "208–230 V"],
    ["115/230", "115 V or 230 V"],
    ["115-230", "115 V or 230 V"],
    ["208-230/460", "208–230 V or 460 V"],
    ["24 VAC", "24 V"],
  ])("%s is %s", (text, full) => {
    const read = parseVolts(text);
    expect(read.ok && formatVolts(read.connections)).toBe(full);
  });

  it.each(["", "high", "2", "5000", "115/"])("“%s” is refused", (text) => {
    expect(parseVolts(text).ok).toBe(false);
  });

  it("a supply suits a connection within ten per cent of its volts, and no other", () => {
    const read = parseVolts("115/208-230");
    if (!read.ok) throw new Error("115/208-230");
    expect(connectionFor(read.connections, 120)?.high).toBe(115);
    expect(connectionFor(read.connections, 240)?.high).toBe(230);
    expect(connectionFor(read.connections, 190)?.low).toBe(208);
    expect(connectionFor(read.connections, 150)).toBeNull();
    expect(connectionFor(read.connections, 277)).toBeNull();
  });
});

describe("speed as a hand types it", () => {
  it.each([
    ["1075", { rpm: 1075 }],
    ["1,075 rpm", { rpm: 1075 }],
    ["1075/3SPD", { rpm: 1075, speeds: 3 }],
    ["1075 3 speed", { rpm: 1075, speeds: 3 }],
    ["825/1075", { rpm: 1075, speeds: 2 }],
    ["6 pole", { poles: 6 }],
    ["1725 4P", { rpm: 1725, poles: 4 }],
    ["variable 600-1300", { rpm: 1300 }],
  ])("%s", (text, speed) => {
    expect(parseSpeed(text)).toEqual({ ok: true, speed });
  });

  it.each(["", "fast", "3", "99000", "5 pole", "1075/40SPD"])("“%s” is refused", (text) => {
    expect(parseSpeed(text).ok).toBe(false);
  });
});

describe("a length as a hand types it", () => {
  it.each([
    ["5-5/8", "5-5/8 in (142.9 mm)"],
    ['1/2"', "1/2 in (12.7 mm)"],
    ["5.6 in", "5.6 in (142.2 mm)"],
    ["143", "5-5/8 in (143 mm)"],
    ["14.3 cm", "5-5/8 in (143 mm)"],
  ])("%s is %s", (text, full) => {
    const read = parseLength(text);
    expect(read.ok && formatLength(read.mm)).toBe(full);
  });

  it("reads back what it writes, to a third of a millimetre", () => {
    fc.assert(
      fc.property(fc.double({ min: 2, max: 700, noNaN: true }), (mm) => {
        const read = parseLength(`${formatLength(mm).split(" in")[0]} in`);
        expect(read.ok && Math.abs(read.mm - mm)).toBeLessThan(0.33);
      }),
    );
  });
});

describe("a capacitor as a hand types it", () => {
  it.each([
    ["5 MFD 370", "5 µF, 370 V"],
    ["5/370", "5 µF, 370 V"],
    ["5mfd/370v", "5 µF, 370 V"],
    ["7.5 µF 440 V ±6%", "7.5 µF, 440 V, ±6 %"],
    ["35+5 440", "35 + 5 µF (compressor + fan), 440 V"],
    ["5/35/440", "35 + 5 µF (compressor + fan), 440 V"],
    ["80/7.5 MFD 440VAC", "80 + 7.5 µF (compressor + fan), 440 V"],
    ["88-108 uF 125V", "88–108 µF start, 125 V"],
    ["5", "5 µF, volts not said"],
  ])("%s is %s", (text, full) => {
    const read = parseCapacitor(text);
    expect(read.ok && formatCapacitor(read.label)).toBe(full);
  });

  it.each(["", "big", "108-88", "0", "5 MFD 9", "35+5+4", "9999"])("“%s” is refused", (text) => {
    expect(parseCapacitor(text).ok).toBe(false);
  });
});

describe("rotation as a hand types it", () => {
  it.each([
    ["CW LE", "cw-lead-end"],
    ["CWLE", "cw-lead-end"],
    ["CCWSE", "cw-lead-end"],
    ["CCW lead end", "ccw-lead-end"],
    ["CW, shaft end", "ccw-lead-end"],
    ["CW opp shaft", "cw-lead-end"],
    ["REV", "either"],
    ["CW/CCW", "either"],
  ])("%s is %s", (text, rotation) => {
    expect(parseRotation(text)).toEqual({ ok: true, rotation });
  });

  it("clockwise from the lead end is counter-clockwise from the shaft end: both are always said", () => {
    expect(formatRotation("cw-lead-end")).toBe(
      "CWLE (clockwise from the lead end, counter-clockwise from the shaft end)",
    );
  });

  it("a turn without its end is asked for the end, never guessed", () => {
    const read = parseRotation("CW");
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.faults[0]?.says).toContain("from which end");
  });
});

it("none of them throws, whatever is typed", () => {
  const reads = [parsePower, parseVolts, parseSpeed, parseLength, parseCapacitor, parseRotation];
  fc.assert(
    fc.property(fc.string({ maxLength: 40 }), (text) => {
      for (const read of reads) {
        const answer = read(text);
        if (!answer.ok) expect(answer.faults[0]?.says).toBeTruthy();
      }
    }),
    { numRuns: 500 },
  );
});
