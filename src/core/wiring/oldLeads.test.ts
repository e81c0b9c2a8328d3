import { describe, expect, it } from "vitest";
import { compartmentById } from "./equipment";
import { readOldLeads } from "./oldLeads";

const read = (id: string, landings: Record<string, string>) => {
  const made = compartmentById(id);
  if (!made) throw new Error(id);
  return Object.fromEntries(
    readOldLeads(
      made,
      Object.entries(landings).map(([lead, terminal]) => ({ lead, terminal })),
    ).map(({ lead, was, sure }) => [lead, { was, sure }]),
  );
};

describe("what an old lead was", () => {
  it("on a single capacitor the terminal with ONE wire has the start end; the one with two carries line", () => {
    const found = read("condenser-single", { bn: "capacitor.2", "bn/wh": "capacitor.1", bk: "contactor.T1" });
    expect(found.bn).toEqual({ was: "start end, to the capacitor", sure: true });
    expect(found["bn/wh"]).toMatchObject({ sure: true });
    expect(found["bn/wh"]?.was).toContain("run end");
  });

  it("it goes by the wires, not by the number on the terminal", () => {
    const made = compartmentById("condenser-single");
    if (!made) throw new Error("gone");
    const turned = { ...made, wires: [{ id: "line", from: "contactor.T2", to: "capacitor.2" }] };
    const found = readOldLeads(turned, [
      { lead: "bn", terminal: "capacitor.1" },
      { lead: "bn/wh", terminal: "capacitor.2" },
    ]);
    expect(found[0]?.was).toContain("start end");
    expect(found[1]?.was).toContain("run end");
  });

  it("where both hold one wire it does not guess", () => {
    expect(read("air-handler-relay", { a: "capacitor.1", b: "capacitor.2" }).a?.sure).toBe(false);
  });

  it("on a dual: FAN the start end, C the run end, HERM no fan lead", () => {
    const found = read("condenser-dual", { bn: "dual.FAN", wh: "dual.C", x: "dual.HERM" });
    expect(found.bn?.was).toContain("start end");
    expect(found.wh?.was).toContain("run end");
    expect(found.x).toMatchObject({ was: "not a fan lead", sure: false });
  });

  it("on a board: a call's terminal feeds its speed, the neutral is the return, PARK a speed unused", () => {
    const found = read("furnace-board", {
      bk: "board.COOL",
      rd: "board.PARK1",
      wh: "board.NEUTRAL",
      gn: "G",
    });
    expect(found.bk?.was).toBe("the speed of cooling");
    expect(found.rd?.was).toBe("a speed not used");
    expect(found.wh?.was).toContain("return");
    expect(found.gn?.was).toBe("frame ground");
  });

  it("a terminal that is not there is said to be none", () => {
    expect(read("furnace-board", { bk: "board.NOWHERE" }).bk?.was).toBe("not known");
  });
});
