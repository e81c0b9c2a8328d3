import { describe, expect, it } from "vitest";
import { answer, table } from "../../../tests/material/sheets";
import { aboutOf, meterFor, openLead, openSection } from "../bench/faultyMotor";
import { ohmmeter } from "../bench/ohmmeter";
import { seededRandom } from "../bench/random";
import { randomMotor, type VirtualMotor } from "../bench/randomMotor";
import { FAMILIES } from "../motor/families";
import { led } from "../practice/course";
import type { Identification } from "./identification";
import type { ReadingSheetInput } from "./sheet";

const KINDS = FAMILIES.filter(({ id }) => id !== "electronic").map(({ id, variants }) => ({
  id,
  counts: Array.from({ length: 11 }, (_, i) => i + 2).filter(
    (leads) => variants(leads, {}).length > 0 && (id !== "two-winding" || leads <= 8),
  ),
}));
const ROUNDS = 8;
const HOT_ROUNDS = 4;

const opens = ({ findings }: Identification) => findings.filter(({ code }) => code.startsWith("open-"));

describe.each(KINDS)("led with the plate told, $id", ({ id, counts }) => {
  const motors = Array.from({ length: ROUNDS }, (_, i) => {
    const random = seededRandom(9001 + i * 433);
    return { random, motor: randomMotor(random, id, counts[i % counts.length] as number) };
  });
  const courseOf = (motor: VirtualMotor, seed: number) => {
    const meter = meterFor(motor);
    return led(motor, {
      read: ohmmeter(motor.network, meter, seededRandom(seed)),
      meter,
      about: aboutOf(motor),
    });
  };
  const lead = (motor: VirtualMotor, seed: number) => courseOf(motor, seed).answer;
  let courses: readonly ReturnType<typeof led>[] | undefined;
  /** Each sound motor led once, whatever is looked at then. */
  const sound = () => {
    courses ??= motors.map(({ motor }, i) => courseOf(motor, i));
    return courses;
  };

  it("an open winding is named, and never settled", () => {
    let named = 0;
    motors.forEach(({ motor, random }, i) => {
      const last = lead(openSection(motor, random), i);
      expect(last.status).not.toBe("settled");
      if (opens(last).length > 0) named += 1;
    });
    expect(named).toBeGreaterThanOrEqual(ROUNDS - 1);
  });

  it("an open lead is named, and it is that lead", () => {
    let named = 0;
    motors.forEach(({ motor, random }, i) => {
      const { motor: broken, lead: gone } = openLead(motor, random);
      const last = lead(broken, i);
      expect(last.status).not.toBe("settled");
      const [finding] = opens(last);
      if (finding?.leads.includes(gone)) named += 1;
    });
    // Of a pair one lead alone cannot be told for the broken one: both are named.
    expect(named).toBeGreaterThanOrEqual(ROUNDS - 1);
  });

  it("a hot protector in a lead, left to cool when that is asked, is no fault in the end", () => {
    motors.slice(0, HOT_ROUNDS).forEach(({ motor, random }, i) => {
      const meter = meterFor(motor);
      const own = ohmmeter(motor.network, meter, seededRandom(i));
      const hot = ohmmeter(openLead(motor, random).motor.network, meter, seededRandom(i));
      const sheet = { leads: [...motor.leads], meter, about: aboutOf(motor) };
      const readings: NonNullable<ReadingSheetInput["readings"]> = [];
      const frame: NonNullable<ReadingSheetInput["frame"]> = [];
      let read = hot;
      for (let asked = 0; asked < 90; asked++) {
        const now = answer({ format: "odd-lead/reading-sheet@1", ...sheet, readings, frame });
        if (now.status === "fault") read = own;
        const probe = now.nextProbe;
        if (!probe || now.status === "settled") break;
        if (probe.kind === "frame") frame.push({ lead: probe.lead, open: true });
        else readings.push({ between: probe.between, ...read(...probe.between) });
      }
      const last = answer({ format: "odd-lead/reading-sheet@1", ...sheet, readings, frame });
      expect(last.status).not.toBe("fault");
    });
  });

  it("a sound motor is not called broken", () => {
    for (const { answer: last } of sound()) expect(last.status).not.toBe("fault");
  });

  it("settled, every winding was read and every group tested to the shell", () => {
    sound().forEach((course, i) => {
      const motor = motors[i]?.motor as VirtualMotor;
      if (course.answer.status !== "settled") return;
      expect(course.answer.unread).toEqual([]);
      const read = new Set(course.readings.flatMap(({ between, open }) => (open ? [] : between)));
      expect(motor.leads.every(({ id: lead }) => read.has(lead))).toBe(true);
      expect(course.frame.length).toBeGreaterThan(0);
    });
  });
});

describe("a hot protector", () => {
  const leads = [..."abcd"].map((id) => ({ id }));

  it("after one open reading the probing goes on, and no kind of motor is ruled out", () => {
    const id = answer(table("a b OL", { leads }));
    expect(id.status).toBe("needs-probe");
    expect(id.findings).toEqual([]);
    expect(id.nextProbe?.kind).toBe("pair");
  });

  it("while something reads open, what could be behind it is named with its probability", () => {
    const id = answer(table("a b OL\na c OL", { leads, about: { capacitor: "run" } }));
    expect(id.brokenIf.length).toBeGreaterThan(0);
    for (const { confidence, says } of id.brokenIf) {
      expect(confidence).toBeGreaterThan(0);
      expect(says).toMatch(/open/);
    }
  });

  it("is asked about once more when it has cooled; open still, it is condemned and nothing more is asked", () => {
    const rows = "a b OL\nb c 9.8\nb d 12.2\na c OL";
    const hot = answer(table(rows, { leads, about: { capacitor: "run", speeds: 2 } }));
    expect(hot.status).toBe("fault");
    expect(hot.findings[0]).toMatchObject({ code: expect.stringMatching(/^open-/), leads: ["a"] });
    expect(hot.nextProbe?.because).toMatch(/cooled for 30 minutes/);
    const again = answer(table(`${rows}\na c OL`, { leads, about: { capacitor: "run", speeds: 2 } }));
    expect(again.status).toBe("fault");
    expect(again.findings[0]?.says).toMatch(/not fit to run/);
    expect(again.nextProbe).toBeNull();
  });

  it("a lead that may belong to either of two groups is read again to both before it is called broken", () => {
    const five = [..."abcde"].map((id) => ({ id }));
    const rows = "a b OL\na c OL\nb c OL\nb d 51.2\nb e OL\na e 175";
    const sheet = (more = "") => answer(table(`${rows}${more}`, { leads: five }));
    const again = new Set<string>();
    let more = "";
    for (let asked = 0; asked < 6; asked++) {
      const { nextProbe, findings } = sheet(more);
      if (nextProbe?.kind !== "pair") break;
      if (again.size < 2) expect(findings[0]?.says ?? "").not.toMatch(/open still/);
      again.add(nextProbe.between.filter((lead) => lead !== "c").join());
      more += `\n${nextProbe.between.join(" ")} OL`;
    }
    expect(again.size).toBeGreaterThanOrEqual(2);
    expect(sheet(more).findings[0]?.says).toMatch(/open still/);
  });

  it("closed again, what was read open through it says nothing any more", () => {
    const rows = "a b OL\nb c 4.9\nb d 39.1\na c OL\na c 24.2";
    const cool = answer(table(rows, { leads, about: { capacitor: "run", speeds: 2 } }));
    expect(cool.findings.filter(({ severity }) => severity === "fault")).toEqual([]);
    expect(["settled", "needs-probe"]).toContain(cool.status);
    const full = answer(
      table(`${rows}\na b 19.3\na d 58.4`, { leads, about: { capacitor: "run", speeds: 2 } }),
    );
    expect(full.status).toBe("settled");
  });
});

describe("speeds told that no sound motor with these leads has", () => {
  it("leave a broken winding: two groups of five leads and three speeds", () => {
    const rows = "a b OL\na c OL\na d 0.5\na e 7.9\nb c 3.9";
    const last = answer(table(rows, { about: { phase: 1, capacitor: "run", speeds: 3 } }));
    expect(last.status).toBe("fault");
    expect(last.findings[0]?.code).toMatch(/^open-/);
  });
});

describe("two leads that only the last digits tell apart", () => {
  // One lead twice and a last speed that is open read so too, and have as many speeds.
  const rows = "a b 4.9\na c 0.6\nb d 5.1\nb e OL\ne f 5.8\nb c 5.9\nc d 0.5";
  const about = { phase: 1, capacitor: "run", speeds: 3 } as const;

  it("are read to each other before anything is settled", () => {
    const led = answer(table(rows, { about }));
    expect(led.roles).toMatchObject({ a: { role: "speed", rank: 1 }, d: { role: "speed", rank: 2 } });
    expect(led.status).toBe("needs-probe");
    expect(led.nextProbe).toMatchObject({ kind: "pair", between: ["a", "d"] });
  });

  it("are not settled as two where they read zero", () => {
    expect(answer(table(`${rows}\na d 0`, { about })).status).toBe("tied");
  });

  it("are settled where more than zero is between them, and the others bear it out", () => {
    const apart = "a b 4.9\na c 0.8\nb d 5.1\nb e OL\ne f 5.8\nb c 5.7\nc d 0.6";
    expect(answer(table(apart, { about })).nextProbe).toMatchObject({ between: ["a", "d"] });
    expect(answer(table(`${apart}\na d 0.3`, { about })).status).toBe("settled");
    const zero = answer(table(`${apart}\na d 0.1`, { about }));
    expect(zero.status).toBe("tied");
    expect(zero.findings).toMatchObject([{ code: "range-too-coarse", leads: ["a", "d"] }]);
  });
});

describe("a winding by exclusion", () => {
  it("is read, not presumed: two pairs found of three do not settle a three-phase motor", () => {
    const leads = [..."abcdef"].map((id) => ({ id }));
    const rows = "a b 6.2\nc d 6.2\na c OL\na e OL\nc e OL\na f OL\nc f OL";
    const presumed = answer(table(rows, { leads, about: { phase: 3 } }));
    expect(presumed.status).toBe("needs-probe");
    expect(presumed.unread).toEqual([["e", "f"]]);
    expect(presumed.nextProbe).toMatchObject({ kind: "pair", between: ["e", "f"] });
    expect(answer(table(`${rows}\ne f 6.2`, { leads, about: { phase: 3 } })).status).toBe("settled");
    const broken = answer(table(`${rows}\ne f OL`, { leads, about: { phase: 3 } }));
    expect(broken.status).toBe("fault");
    expect(broken.findings[0]?.leads).toEqual(["e", "f"]);
  });
});

describe("a capacitor or switch in line with the start winding", () => {
  it("told, an open start winding is no fault: what stands in line is bridged and it is read once more", () => {
    const rows = "a b 5.1\na c OL\na d OL\nc d OL";
    const about = { phase: 1 as const, capacitor: "start" as const, speeds: 1, volts: 115 };
    const untold = answer(table(rows, { about }));
    expect(untold.status).toBe("fault");
    const told = answer(table(rows, { about, inLine: ["start"] }));
    expect(told.status).not.toBe("fault");
    expect(told.findings.find(({ code }) => code === "open-winding")?.says).toContain("Bridge it");
    expect(told.nextProbe).toMatchObject({ kind: "pair", between: ["c", "d"] });
    const bridged = answer(table(`${rows}\nc d 12.3`, { about, inLine: ["start"] }));
    expect(bridged.roles.c?.role).toBe("start");
    expect(bridged.findings.map(({ code }) => code)).not.toContain("open-winding");
  });
});
