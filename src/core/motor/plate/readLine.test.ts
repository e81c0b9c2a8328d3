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
        volts: "208-230V",
        hertz: "60HZ",
        phase: "1",
        amps: "2.6",
        runCapacitor: "5MFD 370V",
        rotation: "CWLE",
      },
      "",
    ],
    [
      "Larkhull LH-630-4, 0.25 kW, 1425 rpm, 230 V, 50 Hz, single phase, FLA 1.9, Cl F, TEFC",
      {
        power: "0.25 kW",
        speed: "1425 rpm",
        volts: "230 V",
        hertz: "50 Hz",
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
        power: "3/4 hp",
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
