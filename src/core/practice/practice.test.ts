import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { ohmmeter, seededRandom } from "../bench";
import { led } from "./course";
import { grade } from "./grade";
import { type HandedIn, handedIn } from "./handedIn";
import { roleChoices } from "./roleChoices";
import { PRACTICE_FAMILIES, type PracticeWish, practiceTask } from "./task";

const seeds = fc.integer({ min: 0, max: 0xffffffff });
const families = PRACTICE_FAMILIES.map(({ id }) => id);
const wish = (change: Partial<PracticeWish> = {}): PracticeWish => ({
  family: "surprise",
  difficulty: "easy",
  fault: "none",
  ...change,
});

/** What a learner hands in who reads as the product asks and names what it says; changed as a test wants. */
function worked(seed: number, wished: PracticeWish, change: Partial<HandedIn["naming"]> = {}): HandedIn {
  const task = practiceTask(seed, wished);
  const read = ohmmeter(task.motor.network, task.meter, seededRandom(seed ^ 77));
  const { readings, frame } = led(task.motor, { read, meter: task.meter, shellOhms: task.shellOhms });
  return handedIn.parse({
    id: "019a0000-0000-7000-8000-000000000001",
    person: "Ilo Brandt",
    seed,
    wish: wished,
    readings,
    frame,
    naming: {
      family: task.sound.family,
      roles: Object.fromEntries(task.sound.roles),
      fault: task.fault,
      ...change,
    },
  });
}

describe("a practice motor", () => {
  it("is the same for the same seed and wish", () => {
    fc.assert(
      fc.property(
        seeds,
        fc.constantFrom("easy" as const, "usual" as const, "hard" as const),
        (seed, difficulty) => {
          const wished = wish({ difficulty, fault: "surprise" });
          const [one, other] = [practiceTask(seed, wished), practiceTask(seed, wished)];
          expect(other.motor).toEqual(one.motor);
          expect(other.fault).toBe(one.fault);
        },
      ),
      { numRuns: 40 },
    );
  });

  it("is of the family asked for, with as many leads as the difficulty says where that family has them", () => {
    fc.assert(
      fc.property(seeds, fc.constantFrom(...families), (seed, family) => {
        const { sound } = practiceTask(seed, wish({ family, difficulty: "usual" }));
        expect(sound.family).toBe(family);
        const has = [4, 5, 6].some((n) => roleChoices(family, n).length > 0);
        if (has) expect([4, 5, 6]).toContain(sound.leads.length);
      }),
      { numRuns: 60 },
    );
  });

  it("has a broken winding, leakage or shorted turns where these are asked for, and a plate where only it can tell", () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const broken = practiceTask(seed, wish({ fault: "open-winding" }));
        expect(broken.motor.network.sections.length).toBe(broken.sound.network.sections.length - 1);
        const grounded = practiceTask(seed, wish({ fault: "grounded-winding" }));
        expect(grounded.motor.leads.some(({ id }) => grounded.shellOhms(id) !== null)).toBe(true);
        const shorted = practiceTask(seed, wish({ fault: "shorted-turns" }));
        const ohms = (sections: readonly { ohms: number }[]) => sections.reduce((sum, s) => sum + s.ohms, 0);
        expect(ohms(shorted.motor.network.sections)).toBeLessThan(ohms(shorted.sound.network.sections));
        expect(shorted.plate.length).toBe(shorted.sound.network.sections.length);
      }),
      { numRuns: 40 },
    );
  });

  it("offers every lead's true part among the choices", () => {
    fc.assert(
      fc.property(seeds, fc.constantFrom(...families), (seed, family) => {
        const { sound } = practiceTask(seed, wish({ family, difficulty: "hard" }));
        const offered = new Set(roleChoices(family, sound.leads.length).map(({ role }) => role.role));
        for (const role of sound.roles.values()) expect(offered).toContain(role.role);
      }),
      { numRuns: 60 },
    );
  });
});

describe("the grade", () => {
  it("is right for the true naming, whatever the motor, however its groups are numbered", () => {
    fc.assert(
      fc.property(seeds, fc.constantFrom(...families), (seed, family) => {
        const given = worked(seed, wish({ family, difficulty: "usual" }));
        const result = grade(given);
        expect(result.right).toBe(true);
        expect(result.leadsWrong).toEqual([]);
        const groups = Math.max(0, ...Object.values(given.naming.roles).map((role) => role.group ?? 0));
        const turned = Object.fromEntries(
          Object.entries(given.naming.roles).map(([lead, role]) => [
            lead,
            role.group === undefined ? role : { ...role, group: groups + 1 - role.group },
          ]),
        );
        expect(grade({ ...given, naming: { ...given.naming, roles: turned } }).leadsWrong).toEqual([]);
      }),
      { numRuns: 12 },
    );
  });

  it("counts the readings taken against those the bench needs on the same motor", () => {
    const given = worked(12, wish({ family: "two-winding", difficulty: "usual" }));
    const result = grade(given);
    expect(result.readingsTaken).toBe(given.readings.length);
    expect(result.readingsNeeded).toBeGreaterThanOrEqual(practiceTask(12, given.wish).motor.leads.length - 1);
  });

  it("says after which reading a wrong naming no longer fitted", () => {
    const wished = wish({ family: "two-winding", difficulty: "usual" });
    const given = worked(12, wished);
    const leads = Object.keys(given.naming.roles);
    const [one, other] = [
      leads[0] as string,
      leads.find(
        (l) => given.naming.roles[l]?.role !== given.naming.roles[leads[0] as string]?.role,
      ) as string,
    ];
    const { [one]: first, [other]: second } = given.naming.roles;
    const swapped = { ...given.naming.roles, [one]: second, [other]: first } as HandedIn["naming"]["roles"];
    const result = grade({ ...given, naming: { ...given.naming, roles: swapped } });
    expect(result.right).toBe(false);
    expect([...result.leadsWrong].sort()).toEqual([one, other].sort());
    expect(result.astray[0]).toMatch(/After reading \d+ your naming no longer fitted|never fitted/);
  });

  it("says when a naming was a guess: nothing read", () => {
    const given = worked(3, wish({ family: "two-winding", difficulty: "usual" }));
    const roles = Object.fromEntries(
      Object.keys(given.naming.roles).map((lead) => [lead, { role: "end" as const }]),
    );
    const result = grade({ ...given, readings: [], frame: [], naming: { ...given.naming, roles } });
    expect(result.astray).toContain("Nothing was read between two leads: this was a guess.");
    expect(result.astray.join(" ")).toContain("No lead was tested to the shell");
  });

  it("counts readings taken twice and those after the answer stood", () => {
    const given = worked(5, wish({ family: "two-winding-reversible" }));
    const again = given.readings[0] as HandedIn["readings"][number];
    const result = grade({ ...given, readings: [...given.readings, again] });
    expect(result.astray.join(" ")).toMatch(/1 more told nothing new/);
    expect(result.astray.join(" ")).toMatch(/was read more than once/);
  });

  it("counts as right what no ohmmeter could tell from the truth: a chain named from its other end", () => {
    const wished = wish({ family: "one-winding", difficulty: "usual" });
    const alike: { seed: number; family: string; roles: HandedIn["naming"]["roles"] }[] = [];
    for (let seed = 0; seed < 60 && alike.length < 2; seed++) {
      const { motor, meter, sound } = practiceTask(seed, wished);
      const { answer } = led(motor, { read: ohmmeter(motor.network, meter, seededRandom(seed)), meter });
      const truth = JSON.stringify(Object.fromEntries(sound.roles));
      const other = [answer, ...answer.alternatives].find(
        ({ confidence, roles }) => confidence > 0.1 && JSON.stringify(roles) !== truth,
      );
      if (answer.status === "tied" && other)
        alike.push({ seed, family: other.family ?? "", roles: other.roles });
    }
    expect(alike).toHaveLength(2);
    for (const { seed, family, roles } of alike) {
      const given = worked(seed, wished);
      expect(grade(given).alikeToTheMeter).toBe(false);
      const result = grade({ ...given, naming: { ...given.naming, family, roles } });
      expect(result.alikeToTheMeter).toBe(true);
      expect(result.right).toBe(true);
    }
  });

  it.each([
    ["open-winding", "read open to each other"],
    ["grounded-winding", "to the shell"],
    ["shorted-turns", "under what the plate gives"],
  ] as const)("tells of a %s that was missed, and how it shows", (fault, how) => {
    const given = worked(21, wish({ family: "two-winding", difficulty: "usual", fault }));
    expect(grade(given).right).toBe(true);
    const missed = grade({ ...given, naming: { ...given.naming, fault: "none" } });
    expect(missed.right).toBe(false);
    expect(missed.astray.join(" ")).toContain(how);
  });

  it("does not call a sound motor's separate windings a fault", () => {
    const given = worked(8, wish({ family: "split-windings" }), { fault: "open-winding" });
    const result = grade(given);
    expect(result.right).toBe(false);
    expect(result.astray.join(" ")).toContain(
      "separate windings read open to each other in a sound motor too",
    );
  });

  it("never throws on what the form lets through, strange leads included", () => {
    const any = fc.record({
      a: fc.constantFrom("a", "b", "c", "z"),
      b: fc.constantFrom("a", "b", "c", "z"),
      ohms: fc.option(fc.double({ min: 0, max: 1e5, noNaN: true })),
    });
    fc.assert(
      fc.property(seeds, fc.array(any, { maxLength: 8 }), (seed, list) => {
        const readings = list.map(({ a, b, ohms }) =>
          ohms === null
            ? { between: [a, b] as [string, string], open: true as const }
            : { between: [a, b] as [string, string], ohms },
        );
        const given = worked(seed, wish());
        expect(grade({ ...given, readings }).readingsTaken).toBe(readings.length);
      }),
      { numRuns: 30 },
    );
  });
});
