import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { PLATE_FIELDS } from "./fields";
import { PLATE_FIELD_IDS } from "./plateField";
import { missingOf, readPlate, type TypedPlate } from "./readPlate";

describe("a plate as a hand types it", () => {
  it("is understood and said in full, in inch and metric, with both ends of the rotation", () => {
    const { plate, faults, echo } = readPlate({
      power: "1/3",
      speed: "1075/3SPD",
      volts: "208-230",
      phase: "single-phase",
      hertz: "60",
      amps: "2.6",
      runCapacitor: "5 MFD 370",
      rotation: "CCW SE",
      bodyDiameter: "5-5/8",
      shaftDiameter: "1/2",
      ambient: "104 F",
      mount: "band, studs",
      enclosure: "air-over",
    });
    expect(faults).toEqual({});
    expect(plate).toMatchObject({
      rpm: 1075,
      speeds: 3,
      phase: 1,
      hertz: [60],
      fullLoadAmps: [2.6],
      runCapacitor: { microfarads: 5, volts: 370 },
      rotation: "cw-lead-end",
      ambientC: 40,
      mounts: ["band", "studs"],
      enclosure: "air-over",
    });
    expect(echo.map(({ says }) => says)).toEqual([
      "1/3 hp (249 W)",
      "1075 rpm, 3 speeds",
      "CWLE (clockwise from the lead end, counter-clockwise from the shaft end)",
      "208–230 V",
      "single-phase",
      "60 Hz",
      "2.6 A at full load",
      "run capacitor 5 µF, 370 V",
      "body 5-5/8 in (142.9 mm) across",
      "shaft 1/2 in (12.7 mm) across",
      "belly band, studs through the bolts",
      "totally enclosed, air over it",
      "ambient up to 40 °C (104 °F)",
    ]);
  });

  it("with a field that cannot be understood keeps the others, and names the field", () => {
    const { plate, faults } = readPlate({ power: "mighty", volts: "115" });
    expect(plate.volts).toEqual([{ low: 115, high: 115 }]);
    expect(plate.powerWatts).toBeUndefined();
    expect(faults.power?.path).toEqual(["power"]);
    expect(faults.power?.says).toContain("mighty");
  });

  it("lets the field of its own overrule what the speed said by the way", () => {
    expect(readPlate({ speed: "1075/3SPD", speeds: "4" }).plate.speeds).toBe(4);
  });

  it("takes the fan's half where the old capacitor is a dual", () => {
    expect(readPlate({ runCapacitor: "35+5 440" }).plate.runCapacitor).toEqual({
      microfarads: 5,
      volts: 440,
    });
    expect(readPlate({ runCapacitor: "88-108" }).faults.runCapacitor?.says).toContain("start capacitor");
  });

  it("says what is missing and matters, what decides first, and how to get it", () => {
    const missing = missingOf(readPlate({ power: "1/3", volts: "230" }).plate);
    const ids = missing.map(({ field }) => field);
    expect(ids).toContain("speed");
    expect(ids).toContain("shaftDiameter");
    expect(ids).not.toContain("power");
    expect(ids.indexOf("shaftDiameter")).toBeLessThan(ids.indexOf("amps"));
    for (const { howToGet } of missing) expect(howToGet.length).toBeGreaterThan(10);
    expect(missingOf(readPlate({ poles: "6" }).plate).map(({ field }) => field)).not.toContain("speed");
  });

  it("reads a NEMA frame's number as the shaft height in sixteenths of an inch", () => {
    expect(readPlate({ frame: "56" }).echo[0]?.says).toBe(
      "frame 56, shaft height 3-1/2 in (88.9 mm) on a base",
    );
    expect(readPlate({ frame: "143T" }).echo[0]?.says).toBe("frame 143T");
  });
});

describe("what else a plate tells", () => {
  it("a code letter is kVA for each hp, and amps where power and volts are known", () => {
    const says = (typed: TypedPlate) =>
      readPlate(typed).echo.find(({ field }) => field === "codeLetter")?.says;
    expect(says({ codeLetter: "k" })).toBe("code K, 8 to 9 kVA for each hp with the rotor locked");
    expect(says({ codeLetter: "code K", power: "1/2", volts: "115", phase: "1" })).toContain(
      "35 to 39 A at 115 V",
    );
    expect(readPlate({ codeLetter: "O" }).faults.codeLetter?.says).toContain("without I, O and Q");
  });

  it("service-factor amps, duty and lead colours are said as they are", () => {
    const { echo } = readPlate({
      serviceFactorAmps: "3.1",
      duty: "intermittent",
      leadColours: "wh, bk bn/wh",
    });
    expect(echo.map(({ says }) => says)).toEqual([
      "3.1 A at the service factor",
      "intermittent duty",
      "leads WH, BK, BN/WH",
    ]);
  });
});

describe("the catalogue of plate fields", () => {
  it("has every field once, each with how to get it", () => {
    expect(PLATE_FIELDS.map(({ id }) => id)).toEqual([...PLATE_FIELD_IDS]);
    for (const field of PLATE_FIELDS) expect(field.howToGet.length).toBeGreaterThan(10);
  });

  it("understands its own examples and choices", () => {
    for (const field of PLATE_FIELDS) {
      const words = field.choices ? Object.keys(field.choices) : field.example.split(/,? or (?:several: )?/);
      for (const word of words) {
        if (word === "mm") continue;
        expect([field.id, word, field.read(word).ok]).toEqual([field.id, word, true]);
      }
    }
  });

  it("never throws and never half-understands", () => {
    fc.assert(
      fc.property(fc.constantFrom(...PLATE_FIELDS), fc.string({ maxLength: 30 }), (field, text) => {
        const { plate, faults } = readPlate({ [field.id]: text });
        if (faults[field.id]) expect(plate).toEqual({});
      }),
      { numRuns: 400 },
    );
  });
});
