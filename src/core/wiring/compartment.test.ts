import { describe, expect, it } from "vitest";
import { type Compartment, compartment, placeName } from "./compartment";
import { COMPARTMENTS, compartmentById } from "./equipment";

describe.each(COMPARTMENTS.map((made) => [made.id, made] as const))("the compartment %s", (_, made) => {
  it("holds together: every part, wire, call and offer names what is there", () => {
    const read = compartment.safeParse(made);
    expect(read.success ? [] : read.error.issues).toEqual([]);
  });

  it("survives being written down and read back", () => {
    expect(compartment.parse(JSON.parse(JSON.stringify(made)))).toEqual(made);
  });
});

describe("a compartment that was edited wrong", () => {
  const made = compartmentById("condenser-dual") as Compartment;

  it.each([
    ["a wire to nowhere", { wires: [{ id: "w", from: "contactor.T1", to: "nowhere" }] }, "nowhere"],
    ["an offer of a terminal that is gone", { offers: { ...made.offers, back: "gone" } }, "gone"],
    ["two terminals of one id", { devices: [...made.devices, made.devices[0]] }, "same id"],
    [
      "a feed for a call that is not there",
      { offers: { ...made.offers, feeds: [{ call: "heat", hot: "contactor.T1", want: "fastest" }] } },
      "heat",
    ],
  ])("%s is said with its place", (_, change, word) => {
    const read = compartment.safeParse({ ...made, ...change });
    expect(read.success).toBe(false);
    if (read.success) return;
    expect(read.error.issues.some(({ message, path }) => message.includes(word) && path.length > 0)).toBe(
      true,
    );
  });
});

describe("names of places", () => {
  const made = compartmentById("condenser-dual") as Compartment;

  it("are the terminal with its device, a joint by its number, a capped end as such", () => {
    expect(placeName(made, "contactor.T1")).toBe("T1, contactor");
    expect(placeName(made, "G")).toBe("ground stud");
    expect(placeName(made, "joint-2")).toBe("joint 2");
    expect(placeName(made, "capped")).toBe("capped on its own");
  });
});
