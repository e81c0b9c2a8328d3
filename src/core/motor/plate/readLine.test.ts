import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readPlateLine } from "./readLine";
import { readPlate } from "./readPlate";

describe("a whole plate in one line", () => {
  it.each([
    [
      "1/3 HP 1075/3SPD 208-230V 60HZ 1PH 2.6A 5MFD 370V CWLE",
      {
        power: "1/3 HP",
        speed: "1075/3SPD",
        volts: "208-230",
        hertz: "60",
        phase: "1",
        amps: "2.6",
        runCapacitor: "5 MFD 370V",
        rotation: "CWLE",
      },
      "",
    ],
    [
      "Larkhull LH-630-4, 0.25 kW, 1425 rpm, 230 V, 50 Hz, single phase, FLA 1.9, Cl F, TEFC",
      {
        power: "0.25 kW",
        speed: "1425",
        volts: "230",
        hertz: "50",
        phase: "1",
        amps: "1.9",
        insulationClass: "F",
        enclosure: "fan-cooled",
      },
      "Larkhull LH-630-4",
    ],
    [
      "3/4 hp 115/230 11/5.5 A SF 1.25 FR 56C 88-108 MFD 125V ball",
      {
        power: "3/4 HP",
        volts: "115/230",
        amps: "11/5.5",
        serviceFactor: "1.25",
        frame: "56C",
        startCapacitor: "88-108 MFD 125V",
        bearings: "ball",
      },
      "",
    ],
    ["1/2 HP 825 208-230", { power: "1/2 HP", speed: "825", volts: "208-230" }, ""],
    [
      "LRA 14 3ph 40°C amb 48Y sleeve auto 6 pole REV",
      {
        lockedRotorAmps: "14",
        phase: "3",
        ambient: "40°C",
        frame: "48Y",
        bearings: "sleeve",
        protector: "auto",
        poles: "6",
        rotation: "REV",
      },
      "",
    ],
  ])("%s", (line, typed, left) => {
    const read = readPlateLine(line);
    expect(read.typed).toEqual(typed);
    expect(read.left).toBe(left);
    expect(readPlate(read.typed).faults).toEqual({});
  });

  it("keeps a turn without its end, so that its field asks for it", () => {
    const { typed } = readPlateLine("1/4 hp CW 115V");
    expect(typed.rotation).toBe("CW");
    expect(readPlate(typed).faults.rotation?.says).toContain("which end");
  });

  it("swallows nothing: what it cannot place is left as typed", () => {
    expect(readPlateLine("made on a Tuesday 1/3 hp").left).toBe("made on a Tuesday");
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (line) => {
        const { typed } = readPlateLine(line);
        const { rotation: _, ...rest } = readPlate(typed).faults;
        expect(rest).toEqual({});
      }),
      { numRuns: 300 },
    );
  });
});

describe("labels before their figures, after them, glued or apart", () => {
  it.each([
    [
      "HP 1/6 RPM 1550 VOLTS 115 AMPS 3.2 HZ 60",
      { power: "1/6 HP", speed: "1550", volts: "115", amps: "3.2", hertz: "60" },
    ],
    ["825RPM 1/4HP 230V 1.8A", { power: "1/4 HP", speed: "825", volts: "230", amps: "1.8" }],
    [
      "1075RPM 4SPD 1/2 hp 115 v 7.4 a",
      { speed: "1075", speeds: "4", power: "1/2 HP", volts: "115", amps: "7.4" },
    ],
    [
      "FLA 5.8 CAP 5/370 PH: 1 230V 1 HP",
      { amps: "5.8", runCapacitor: "5 MFD 370V", phase: "1", volts: "230", power: "1 HP" },
    ],
    [
      "3~ 1,5 kW 400 V 3,4 A 1430 min-1 50 Hz",
      { phase: "3", power: "1,5 kW", volts: "400", amps: "3,4", speed: "1430", hertz: "50" },
    ],
    [
      "9W 115V 0,3A 60HZ 1500 r.p.m.",
      { power: "9 W", volts: "115", amps: "0,3", hertz: "60", speed: "1500" },
    ],
    [
      "H.P. 1/3 R.P.M. 1725 V. 115/230 F.L.A. 6.2/3.1 S.F. 1.35",
      { power: "1/3 HP", speed: "1725", volts: "115/230", amps: "6.2/3.1", serviceFactor: "1.35" },
    ],
    [
      "HP: 1/2 V: 208-230 A: 3.6 PH: 1 RPM: 1075 MFD: 7.5 VAC: 370",
      {
        power: "1/2 HP",
        volts: "208-230",
        amps: "3.6",
        phase: "1",
        speed: "1075",
        runCapacitor: "7.5 MFD 370V",
      },
    ],
    [
      "1/3-1/4 HP 2.5/1.3 A 208-230 VAC 1075 RPM",
      { power: "1/3-1/4 HP", amps: "2.5/1.3", volts: "208-230", speed: "1075" },
    ],
    [
      "1/4hp,1120rpm/2spd,230v,60hz,1ph,1.9a,6mfd,440v,cwse",
      {
        power: "1/4 HP",
        speed: "1120",
        speeds: "2",
        volts: "230",
        hertz: "60",
        phase: "1",
        amps: "1.9",
        runCapacitor: "6 MFD 440V",
        rotation: "cwse",
      },
    ],
    [
      "440VAC 4uF 208-230V 1/5HP 1110RPM 1.5AMPS",
      {
        runCapacitor: "4 MFD 440V",
        volts: "208-230",
        power: "1/5 HP",
        speed: "1110",
        amps: "1.5",
      },
    ],
    [
      "HZ 60 VOLTS 230 RPM 1090 HP 1/4 FLA 1.6 CAP. 5 MFD 370 V ROTATION CCWLE",
      {
        hertz: "60",
        volts: "230",
        speed: "1090",
        power: "1/4 HP",
        amps: "1.6",
        runCapacitor: "5 MFD 370V",
        rotation: "CCWLE",
      },
    ],
    [
      "115/208-230V 1/2HP 1725RPM 8.2/4.1-4.0A 60C/S",
      { volts: "115/208-230", power: "1/2 HP", speed: "1725", amps: "8.2/4.1-4.0", hertz: "60" },
    ],
    [
      "LOCKED ROTOR AMPS 21 FULL LOAD AMPS 4.3 230V 1/2HP SERVICE FACTOR 1.15",
      { lockedRotorAmps: "21", amps: "4.3", volts: "230", power: "1/2 HP", serviceFactor: "1.15" },
    ],
    ["VOLTS 575 AMPS 1.7 HP 1 1/2 RPM 1750", { volts: "575", amps: "1.7", power: "1-1/2 HP", speed: "1750" }],
  ])("%s", (line, typed) => {
    const read = readPlateLine(line);
    expect(read.typed).toEqual(typed);
    expect(read.left).toBe("");
    expect(readPlate(read.typed).faults).toEqual({});
  });

  it("amps over a range of volts keep the greater, which is what too much is judged by", () => {
    expect(readPlate({ amps: "8.2/4.0-4.2" }).plate.fullLoadAmps).toEqual([8.2, 4.2]);
    expect(readPlate({ amps: "4.0-4.1-4.2" }).faults).toHaveProperty("amps");
  });

  it("a second figure for the same field is shown as left over, not dropped", () => {
    const read = readPlateLine("1/3 HP 1075 RPM 230 V 3.1 A 4.5 A");
    expect(read.typed.amps).toBe("3.1");
    expect(read.left).toContain("4.5");
  });

  it("amps that no motor of that power draws are asked back and not stored", () => {
    const read = readPlateLine("1/6 HP 115 V 115 A");
    expect(read.typed).toEqual({ power: "1/6 HP", volts: "115" });
    expect(read.asked[0]).toMatchObject({ path: ["amps"], code: "cannot-be" });
    expect(read.asked[0]?.says).toContain("“115”");
  });

  it.each([
    ["1200 RPM 60 Hz", 1200, "speed of the field"],
    ["1300 RPM 60 Hz", 1300, "no usual range"],
    ["3295 RPM 60 Hz", 3295, "no usual range"],
  ])("a speed in no usual range is kept, and said to be odd: %s", (line, rpm, says) => {
    const { plate, doubts } = readPlate(readPlateLine(line).typed);
    expect(plate.rpm).toBe(rpm);
    expect(doubts.map((doubt) => doubt.says).join()).toContain(says);
  });
});

/** A plate's figures, and one way that makers stamp them. */
const stamped = fc
  .record({
    hp: fc.constantFrom("1/6", "1/4", "1/3", "1/2", "3/4", "1"),
    rpm: fc.constantFrom(825, 1075, 1140, 1550, 1725, 3450),
    volts: fc.constantFrom("115", "230", "208-230", "115/230", "460"),
    ampsPerHp: fc.double({ min: 0.8, max: 1.6, noNaN: true }),
    hertz: fc.constantFrom("60", "50"),
    phase: fc.constantFrom("1", "3"),
    capacitor: fc.constantFrom(null, "5", "7.5", "10"),
    order: fc.shuffledSubarray(["hp", "rpm", "volts", "amps", "hertz", "phase", "capacitor"], {
      minLength: 7,
    }),
    style: fc.constantFrom("value-label", "label-value", "colon", "glued"),
    lower: fc.boolean(),
    dots: fc.boolean(),
    comma: fc.boolean(),
  })
  .map((p) => {
    const hp = p.hp.includes("/") ? Number(p.hp[0]) / Number(p.hp[2]) : Number(p.hp);
    const lowest = Number(/^\d+/.exec(p.volts)?.[0]);
    const amps = ((hp * 745.7 * 1.6 * p.ampsPerHp) / lowest / (p.phase === "3" ? Math.sqrt(3) : 1)).toFixed(
      1,
    );
    return { ...p, amps: amps === "0.0" ? "0.3" : amps };
  });

const LABELS: Readonly<Record<string, readonly [plain: string, dotted: string]>> = {
  hp: ["HP", "H.P."],
  rpm: ["RPM", "R.P.M."],
  volts: ["VOLTS", "V."],
  amps: ["AMPS", "F.L.A."],
  hertz: ["HZ", "HZ"],
  phase: ["PH", "PH"],
  capacitor: ["MFD", "MFD"],
};

describe("figures stamped in any order and style", () => {
  it("come out as they were stamped, none lost and none stored wrong", () => {
    fc.assert(
      fc.property(stamped, (p) => {
        const { hp, volts, amps, hertz, phase, capacitor } = p;
        const values: Record<string, string | null> = {
          hp,
          volts,
          amps,
          hertz,
          phase,
          capacitor,
          rpm: String(p.rpm),
        };
        const pieces = p.order.flatMap((field) => {
          const value = values[field];
          if (value === null || value === undefined) return [];
          const label = LABELS[field]?.[p.dots && p.style !== "glued" ? 1 : 0] ?? "";
          const text = p.comma && field === "amps" ? value.replace(".", ",") : value;
          if (p.style === "label-value") return [`${label} ${text}`];
          if (p.style === "colon") return [`${label}: ${text}`];
          return [p.style === "glued" ? `${text}${label}` : `${text} ${label}`];
        });
        const joined = pieces.join(" ");
        const line = p.lower ? joined.toLowerCase() : joined;
        const { typed, left, asked } = readPlateLine(line);
        const { plate } = readPlate(typed);
        expect({ line, left, asked }).toEqual({ line, left: "", asked: [] });
        expect(plate.rpm).toBe(p.rpm);
        expect(plate.fullLoadAmps).toEqual([Number(p.amps)]);
        expect(plate.hertz).toEqual([Number(p.hertz)]);
        expect(plate.phase).toBe(Number(p.phase));
        expect(typed.volts).toBe(p.volts);
        expect(typed.power).toBe(`${p.hp} HP`);
        expect(plate.runCapacitor?.microfarads ?? null).toBe(
          p.capacitor === null ? null : Number(p.capacitor),
        );
      }),
      { numRuns: 500 },
    );
  });
});

describe("figures that cannot be", () => {
  it("amps that no mains allow are asked back, with or without volts", () => {
    for (const line of ["1/6 HP 115 A", "1/6 HP 115V 115A", "1/4 HP 60 AMPS"]) {
      const { typed, asked } = readPlateLine(line);
      expect(typed.amps, line).toBeUndefined();
      expect(asked[0]?.says, line).toContain("do not go with");
    }
    expect(readPlateLine("1/6 HP 3.2A").typed.amps).toBe("3.2");
  });

  it("a European speed is no doubt where nobody said 60 Hz and the volts are European", () => {
    const doubts = (line: string) => readPlate(readPlateLine(line).typed).doubts.map(({ says }) => says);
    expect(doubts("0,25 kW 1400 min⁻¹ 230/400 V")).toEqual([]);
    expect(doubts("1400 RPM 115V 60HZ")[0]).toContain("no usual range at 60 Hz");
  });
});
