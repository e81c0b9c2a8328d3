import { describe, expect, it } from "vitest";
import { FOUND } from "./equipment/found";
import { CAPPED, isJoint, jointPlace, readPlace } from "./place";

describe("a place", () => {
  it("is a terminal of the equipment, a joint by its number, or an end capped on its own", () => {
    expect(readPlace(CAPPED)).toEqual({ kind: "capped" });
    expect(readPlace(jointPlace(3))).toEqual({ kind: "joint", number: 3 });
    expect(readPlace("contactor-T1")).toEqual({ kind: "terminal", id: "contactor-T1" });
  });

  it("of no equipment’s terminal is taken for a joint or a capped end", () => {
    const devices = FOUND.flatMap((equipment) => equipment.made.devices);
    for (const { id } of devices.flatMap(({ terminals }) => terminals))
      expect(readPlace(id)).toEqual({ kind: "terminal", id });
    expect(isJoint("joint-")).toBe(false);
    expect(isJoint("joint-1-of-two")).toBe(false);
  });
});
