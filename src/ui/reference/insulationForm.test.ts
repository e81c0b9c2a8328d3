import { describe, expect, it } from "vitest";
import { insulationForm, type TypedInsulation } from "./insulationForm";

const TODAY = "2031-05-14";
const TYPED: TypedInsulation = {
  megohms: "12",
  temperature: "",
  on: TODAY,
  testVolts: "500",
  inWell: "no",
};

function form(windingC?: number) {
  return insulationForm(() => TODAY, windingC);
}

function faultsOf(change: Partial<TypedInsulation>): Record<string, string> {
  const { error } = form().safeParse({ ...TYPED, ...change });
  return Object.fromEntries((error?.issues ?? []).map(({ path, message }) => [path.join("."), message]));
}

describe("the form of an insulation test", () => {
  it("megohms as the tester showed them, its volts and day", () => {
    expect(form().parse(TYPED)).toEqual({
      on: TODAY,
      typed: "12",
      megohms: 12,
      orMore: false,
      testVolts: 500,
      inWell: false,
    });
  });

  it("over the tester's range it is that much or more", () => {
    expect(form().parse({ ...TYPED, megohms: ">1000", inWell: "yes" })).toMatchObject({
      megohms: 1000,
      orMore: true,
      inWell: true,
    });
  });

  it("the winding's temperature is the one typed, else the job's, else not known", () => {
    expect(form(24).parse({ ...TYPED, temperature: "104 F" }).windingC).toBeCloseTo(40, 6);
    expect(form(24).parse(TYPED).windingC).toBe(24);
    expect(form().parse(TYPED)).not.toHaveProperty("windingC");
  });

  it.each([
    ["no reading", { megohms: "" }, ["megohms"]],
    ["a temperature in words", { temperature: "warm" }, ["temperature"]],
    ["no day", { on: "" }, ["on"]],
    ["all of it", { megohms: "-", temperature: "warm", on: "" }, ["megohms", "on", "temperature"]],
  ])("%s is said at its field", (_, change, fields) => {
    expect(Object.keys(faultsOf(change)).sort()).toEqual(fields);
  });

  it("a day that is still to come is none to have tested on", () => {
    expect(faultsOf({ on: "2031-05-15" })).toEqual({ on: "That day is still to come." });
    expect(faultsOf({ on: "2029-12-31" })).toEqual({});
  });
});
