import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { testStorage } from "../../../tests/material/storage";
import { keptFault } from "./faultState";
import { keptWork, rememberedPerson, rememberPerson } from "./keptWork";
import { keptMotor, type PracticeWork } from "./practiceState";
import { keptWiring } from "./wiringState";

const WORK: PracticeWork = {
  id: "0f8a3a52-6c1e-4f6e-9d53-1b9a6a2f4c11",
  seed: 42,
  wish: { family: "surprise", difficulty: "easy", fault: "none" },
  readings: [{ between: ["a", "b"], ohms: 4.2 }],
  frame: [{ lead: "a", open: true }],
  naming: { family: "", roles: {}, fault: "none" },
};

beforeEach(() => {
  vi.stubGlobal("localStorage", testStorage());
});
afterEach(() => {
  vi.unstubAllGlobals();
});

describe("work that is kept in this browser until it is handed in", () => {
  it("comes back after a reload, and is gone once it is handed in", () => {
    expect(keptMotor.remembered()).toBeNull();
    keptMotor.remember(WORK);
    expect(keptMotor.remembered()).toEqual(WORK);
    keptMotor.remember(null);
    expect(keptMotor.remembered()).toBeNull();
  });

  it("of one kind is none of another", () => {
    keptMotor.remember(WORK);
    expect(keptFault.remembered()).toBeNull();
    expect(keptWiring.remembered()).toBeNull();
  });

  it.each([
    ["is no JSON", "{"],
    ["is of another shape", JSON.stringify({ id: 1 })],
    ["has a reading that is none", JSON.stringify({ ...WORK, readings: [{ between: ["a"] }] })],
    ["is a word", JSON.stringify("work")],
  ])("what %s is nothing, and breaks nothing", (_, kept) => {
    localStorage.setItem("odd-lead:practice", kept);
    expect(keptMotor.remembered()).toBeNull();
  });

  it("comes back also where more was read than can be handed in", () => {
    const [reading] = WORK.readings;
    const long = {
      ...WORK,
      readings: Array.from({ length: 400 }, () => reading as PracticeWork["readings"][number]),
    };
    keptMotor.remember(long);
    expect(keptMotor.remembered()?.readings).toHaveLength(400);
  });

  it("a browser that keeps nothing loses it on a reload, and no more", () => {
    vi.stubGlobal("localStorage", testStorage(0));
    expect(() => keptMotor.remember(WORK)).not.toThrow();
    expect(keptMotor.remembered()).toBeNull();
    expect(() => rememberPerson("Dov Hask")).not.toThrow();
  });

  it("is read by whoever keeps it", () => {
    const kept = keptWork<number>("odd-lead:test", (value) => (typeof value === "number" ? value : null));
    kept.remember(7);
    expect(kept.remembered()).toBe(7);
    localStorage.setItem("odd-lead:test", '"seven"');
    expect(kept.remembered()).toBeNull();
  });
});

describe("who practises", () => {
  it("is asked once on a device", () => {
    expect(rememberedPerson()).toBe("");
    rememberPerson("Ilo Brandt");
    expect(rememberedPerson()).toBe("Ilo Brandt");
  });
});
