import { describe, expect, it } from "vitest";
import type { StockItem } from "@/core";
import { lineForm, type TypedLine, typedOf } from "./lineForm";

const ID = "0f8a3a52-6c1e-4f6e-9d53-1b9a6a2f4c11";
const FAN: StockItem = {
  id: ID,
  kind: "motor",
  name: "Condenser fan, third horse",
  part: "TV-1075",
  place: "van 1",
  count: 2,
  minimum: 1,
  cost: 84.5,
  plate: { power: "1/3 HP", speed: "1075" },
  ohms: "BK–WH 8.2",
};

/** What is wrong, by field. */
function faultsOf(change: Partial<TypedLine>): Record<string, string> {
  const { error } = lineForm(ID).safeParse({ ...typedOf(FAN), ...change });
  return Object.fromEntries((error?.issues ?? []).map(({ path, message }) => [path.join("."), message]));
}

describe("the form of a stock line", () => {
  it("gives back the line that it shows", () => {
    expect(lineForm(ID).parse(typedOf(FAN))).toEqual(FAN);
    const capacitor: StockItem = {
      id: ID,
      kind: "capacitor",
      name: "Round 5",
      part: "",
      place: "",
      count: 0,
      minimum: 0,
      cost: null,
      label: "5 MFD 370",
    };
    expect(lineForm(ID).parse(typedOf(capacitor))).toEqual(capacitor);
  });

  it("leaves the motor's own out of a capacitor, and the other way round", () => {
    const made = lineForm(ID).parse({ ...typedOf(FAN), kind: "capacitor", label: "45/5 440" });
    expect(made).not.toHaveProperty("plate");
    expect(made).not.toHaveProperty("ohms");
    expect(lineForm(ID).parse({ ...typedOf(FAN), label: "45/5 440" })).not.toHaveProperty("label");
  });

  it.each([
    ["no name", { name: "  " }, { name: "Give it a name." }],
    ["half a motor", { count: "1.5" }, { count: "Give a whole number." }],
    ["a minimum in words", { minimum: "two" }, { minimum: "Give a whole number." }],
    ["a cost that is none", { cost: "dear" }, { cost: "Give an amount, or leave it blank." }],
  ] as const)("%s is said at its field", (_, change, says) => {
    expect(faultsOf(change)).toEqual(says);
  });

  it("says every fault at once, each field's first", () => {
    expect(Object.keys(faultsOf({ name: "", count: "x", minimum: "-", cost: "?" })).sort()).toEqual([
      "cost",
      "count",
      "minimum",
      "name",
    ]);
  });

  it("a plate that does not hold together is said at the plate's field", () => {
    expect(Object.keys(faultsOf({ plate: { power: "strong" } }))).toEqual(["plate.power"]);
  });

  it("a capacitor's label is asked for, and read", () => {
    const asCapacitor = { kind: "capacitor" as const };
    expect(faultsOf({ ...asCapacitor, label: "" })).toEqual({ label: "Give its label, such as 5 MFD 370." });
    expect(Object.keys(faultsOf({ ...asCapacitor, label: "blue one" }))).toEqual(["label"]);
  });

  it("a comma is read as a point, and no cost is no cost", () => {
    expect(lineForm(ID).parse({ ...typedOf(FAN), cost: "12,40" }).cost).toBe(12.4);
    expect(lineForm(ID).parse({ ...typedOf(FAN), cost: "" }).cost).toBeNull();
  });
});
