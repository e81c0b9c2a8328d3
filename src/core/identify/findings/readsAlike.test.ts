import { describe, expect, it } from "vitest";
import { answer, table } from "../../../../tests/material/sheets";
import { aboutOf, meterFor, ohmmeter, openSection, randomMotor, seededRandom } from "../../bench";
import { led } from "../../practice";
import type { Identification } from "../identification";
import { tieQuestions } from "../tieQuestions";

const found = ({ findings }: Identification, code: string) => findings.filter((one) => one.code === code);

/** Two pairs, each read twice where that is asked for. */
const TWO_PAIRS = "a b OL\na c OL\nb c 32.7\na d 85.3\na d 84.8";

describe("what reads like the motor that is settled", () => {
  it("is said beside two pairs that a broken chain of taps may be too", () => {
    const id = answer(table(TWO_PAIRS, { frame: [frame("a"), frame("b")] }));
    expect(id).toMatchObject({ status: "settled", nextProbe: null });
    const [note] = found(id, "reads-alike");
    expect(note?.severity).toBe("note");
    expect(note?.says).toMatch(/broken \(about 1 time in \d+\)/);
  });

  it("is not said once the plate told what kind it is", () => {
    const id = answer(
      table(TWO_PAIRS, {
        frame: [frame("a"), frame("b")],
        told: [{ family: "split-windings", by: "plate" }],
      }),
    );
    expect(found(id, "reads-alike")).toEqual([]);
  });

  it("is said where a broken motor is settled as a sound one, nothing told", () => {
    const motors = Array.from({ length: 150 }, (_, i) => {
      const random = seededRandom(77 + i * 6007);
      const motor = randomMotor(random, "one-winding", 4);
      const meter = meterFor(motor);
      const read = ohmmeter(openSection(motor, random).network, meter, random);
      return led(motor, { read, meter }).answer;
    });
    const settled = motors.filter(({ status }) => status === "settled");
    expect(settled.length).toBeLessThan(motors.length / 4);
    expect(settled.some((id) => found(id, "reads-alike").length > 0)).toBe(true);
  });
});

describe("a break that no further reading makes surer", () => {
  it("is named to be looked at where it is the likelier, and condemns nothing", () => {
    const likely = Array.from({ length: 60 }, (_, i) => {
      const random = seededRandom(41 + i * 4801);
      const motor = randomMotor(random, "one-winding", 6);
      const meter = meterFor(motor);
      const read = ohmmeter(openSection(motor, random).network, meter, random);
      return led(motor, { read, meter, about: {} }).answer;
    }).filter(({ status, brokenIf: [worst] }) => status === "tied" && (worst?.confidence ?? 0) > 0.5);
    expect(likely.length).toBeGreaterThan(0);
    for (const id of likely)
      expect(found(id, "open-winding")).toMatchObject([
        { severity: "doubt", says: expect.stringMatching(/% likely; ohms tell no more/) },
      ]);
  });

  it("is not named for a motor whose plate is told and that is whole", () => {
    for (let i = 0; i < 12; i++) {
      const random = seededRandom(13 + i * 3331);
      const motor = randomMotor(random, "two-winding-start-pair", 5 + (i % 4));
      const meter = meterFor(motor);
      const { answer: last } = led(motor, {
        read: ohmmeter(motor.network, meter, random),
        meter,
        about: aboutOf(motor),
      });
      expect(found(last, "open-winding")).toEqual([]);
    }
  });
});

describe("a break that what stands in line may be", () => {
  it("is said to read open for that, and not to be likely", () => {
    const sheets = Array.from({ length: 8 }, (_, i) => {
      // It is seldom: from here on one of them is a main winding that is likely, and not surely, broken.
      const random = seededRandom(41 + (120 + i) * 4801);
      const motor = randomMotor(random, "two-winding-start-pair", 5 + (i % 4));
      const meter = meterFor(motor);
      const read = ohmmeter(openSection(motor, random).network, meter, random);
      const { readings, frame, answer: last } = led(motor, { read, meter, about: {} });
      return { last, told: { leads: [...motor.leads], meter, readings: [...readings], frame: [...frame] } };
    }).filter(({ last }) =>
      found(last, "open-winding").some(({ says }) => /(main|start) winding.*% likely/.test(says)),
    );
    expect(sheets.length).toBeGreaterThan(0);
    for (const { told } of sheets) {
      const id = answer({ format: "odd-lead/reading-sheet@1", ...told, inLine: ["main", "start"] });
      expect(found(id, "open-winding").filter(({ says }) => says.includes("% likely"))).toEqual([]);
    }
  });
});

describe("readings that strain every kind of motor", () => {
  it("are said to be of another build, and what settles them is the drawing alone", () => {
    const id = answer(
      table("a b OL\nc d 99\nc e 100\nc f 120\nc g OL\nc h 98.3\na h 48.6\na c 146.8\nb g 0.2", {
        about: { phase: 1, capacitor: "run", speeds: 3 },
        frame: [frame("a"), frame("b")],
      }),
    );
    expect(id.status).not.toBe("settled");
    expect(found(id, "unknown-build")).toMatchObject([{ severity: "doubt" }]);
    expect(id.settleBy).toEqual([expect.stringMatching(/drawing/)]);
    expect(tieQuestions(id)).toEqual([]);
  });
});

function frame(lead: string) {
  return { lead, open: true as const };
}
