import { v7 as uuid } from "uuid";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import {
  faultHandedIn,
  grade,
  gradeFault,
  gradeWiring,
  type HandedIn,
  handedIn,
  wiringHandedIn,
} from "@/core/practice";
import { practiceStore } from "@/server/practiceStore";
import { FIRST_SHOP } from "@/server/shop";
import { makeTestDatabase, type TestDatabase } from "./testDatabase";

let test: TestDatabase;

beforeAll(async () => {
  test = await makeTestDatabase();
});

afterAll(async () => {
  await test.drop();
});

function handed(person: string, change: Partial<HandedIn> = {}): HandedIn {
  return handedIn.parse({
    id: uuid(),
    person,
    seed: 11,
    wish: { family: "two-winding", difficulty: "easy", fault: "none" },
    readings: [{ between: ["a", "b"], ohms: 12.3 }],
    frame: [],
    naming: { family: "two-winding", roles: {}, fault: "none" },
    ...change,
  });
}

describe("practice results in PostgreSQL", () => {
  it("are kept per person, oldest first, with what the grade said", async () => {
    const store = practiceStore(test.db, FIRST_SHOP);
    const [first, second] = [handed("Ilo Brandt"), handed("Ilo Brandt", { seed: 12 })];
    await store.keep(first, grade(first));
    await store.keep(second, grade(second));
    const other = handed("Dov Hask");
    await store.keep(other, grade(other));
    const lines = await store.of("Ilo Brandt", 10);
    expect(lines.map((line) => line.id)).toEqual([first.id, second.id]);
    expect(lines[0]).toMatchObject({
      family: "two-winding",
      isRight: false,
      readingsTaken: 1,
      fault: "none",
    });
    expect(lines[0]?.leadCount).toBeGreaterThanOrEqual(3);
    expect(await store.people(10)).toEqual(["Dov Hask", "Ilo Brandt"]);
    expect(await store.of("Ilo Brandt", 1)).toEqual([lines[1]]);
  });

  it("handed in twice are there once", async () => {
    const store = practiceStore(test.db, FIRST_SHOP);
    const given = handed("Petra Quill");
    await Promise.all([store.keep(given, grade(given)), store.keep(given, grade(given))]);
    expect(await store.of("Petra Quill", 10)).toHaveLength(1);
  });

  it("of one shop are not seen by another", async () => {
    const given = handed("Ilo Brandt");
    const elsewhere = practiceStore(test.db, "019a0000-0000-7000-8000-0000000000ff");
    expect(await elsewhere.of(given.person, 10)).toEqual([]);
    expect(await elsewhere.people(10)).toEqual([]);
  });
});

describe("practice wirings in PostgreSQL", () => {
  it("are kept per person and once, with whether they were right", async () => {
    const store = practiceStore(test.db, FIRST_SHOP);
    const given = wiringHandedIn.parse({
      id: uuid(),
      person: "Dov Hask",
      seed: 3,
      wish: { task: "wire-it", equipment: "condenser-dual" },
      landings: {},
      jumpers: [],
      wrongLeads: [],
      consequence: null,
    });
    await store.keepWiring(given, "Condenser", gradeWiring(given));
    await store.keepWiring(given, "Condenser", gradeWiring(given));
    expect(await store.wiringsOf("Dov Hask", 10)).toMatchObject([
      { id: given.id, task: "wire-it", equipment: "Condenser", isRight: false },
    ]);
    expect(await store.wiringsOf("Petra Quill", 10)).toEqual([]);
  });
});

describe("practice faults in PostgreSQL", () => {
  it("keeps a fault once, and gives it back to the one who looked for it", async () => {
    const store = practiceStore(test.db, FIRST_SHOP);
    const given = faultHandedIn.parse({
      id: "019b0000-0000-7000-8000-0000000000f1",
      person: "Petra Quill",
      seed: 3,
      wish: { equipment: "condenser-dual" },
      actions: [{ power: "on" }],
      cause: "capacitor-open",
    });
    const graded = gradeFault(given);
    const about = { equipment: "Condenser, dual capacitor", complaint: "hums" } as const;
    await store.keepFault(given, about, graded);
    await store.keepFault(given, about, graded);
    const lines = await store.faultsOf("Petra Quill", 10);
    expect(lines).toMatchObject([
      { id: given.id, ...about, cause: graded.truth.cause, isRight: graded.right, minutes: 1, dangers: 0 },
    ]);
    expect(await store.faultsOf("Dov Hask", 10)).toEqual([]);
    const elsewhere = practiceStore(test.db, "019a0000-0000-7000-8000-0000000000ff");
    expect(await elsewhere.faultsOf("Petra Quill", 10)).toEqual([]);
  });
});
