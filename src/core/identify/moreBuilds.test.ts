import { describe, expect, it } from "vitest";
import { answer, rolesOf, table } from "../../../tests/material/sheets";
import { tieQuestions } from "./tieQuestions";

describe("a start winding on two leads of its own, for a run capacitor", () => {
  const rows = "a b 0\na c 21.4\nb c 21.4\nd e 34.6\na d OL\nc d OL";
  const frame = [
    { lead: "a", open: true as const },
    { lead: "d", open: true as const },
  ];

  it("with the duplicate run-end lead: five leads in two groups, one of them bonded", () => {
    const id = answer(table(rows, { frame, about: { capacitor: "run" } }));
    expect(id.family).toBe("two-winding-start-pair");
    expect(rolesOf(id)).toEqual({ a: "run-end", b: "run-end", c: "speed 1", d: "start", e: "start" });
    expect(id.bonded).toEqual([["a", "b"]]);
    expect(id.confidence).toBeGreaterThan(0.99);
  });

  it("with two speeds reads like two mains where the steps are wide: tied until the plate tells", () => {
    const two = "a b 18.2\na c 25.1\nb c 6.9\nd e 33.0\na d OL\nb d OL";
    expect(answer(table(two, { frame })).status).toBe("tied");
    const told = answer(table(two, { frame, about: { capacitor: "run" } }));
    expect(told.family).toBe("two-winding-start-pair");
    expect(rolesOf(told)).toMatchObject({ a: "run-end", b: "speed 1", c: "speed 2" });
    const other = answer(table(two, { frame, told: [{ family: "two-speed-two-main", by: "plate" }] }));
    expect(other.family).toBe("two-speed-two-main");
  });
});

describe("two mains that share a lead with their start winding", () => {
  const rows = "s h 6.1\ns l 14.8\ns k 17.0\nh l 20.9\nh k 23.1\nl k 31.8";

  it("on four leads read like a blower of two speeds: tied, and the plate’s kind settles it", () => {
    const id = answer(table(rows));
    expect(id.status).toBe("tied");
    const [question] = tieQuestions(id);
    const kinds = question?.answers.map(({ observed }) => ("family" in observed ? observed.family : ""));
    expect(kinds).toContain("two-speed-two-main");
    const told = answer(table(rows, { told: [{ family: "two-speed-two-main", by: "plate" }] }));
    expect(told.family).toBe("two-speed-two-main");
    expect(told.roles.s?.role).toBe("common");
    expect(told.roles.h?.role).toBe("main-high");
  });

  it("on three, the start parts inside, two speeds told: never settled as a motor of one speed", () => {
    const id = answer(table("s h 7.2\ns l 14.1\nh l 21.2", { about: { speeds: 2 } }));
    expect(id.status).toBe("tied");
    const told = answer(
      table("s h 7.2\ns l 14.1\nh l 21.2", {
        about: { speeds: 2 },
        told: [{ family: "two-speed-two-main", by: "plate" }],
      }),
    );
    expect(rolesOf(told)).toEqual({ s: "common", h: "main-high", l: "main-low" });
  });
});

describe("a protector on leads of its own", () => {
  const rows = "p q 0\na b 3.1\nc d 8.6\np a OL\np c OL\na c OL";
  const frame = ["p", "a", "c"].map((lead) => ({ lead, open: true as const }));

  it("reads as one conductor apart from all windings, and is named", () => {
    const id = answer(table(rows, { frame }));
    expect(id.family).toBe("split-windings");
    expect([id.roles.p?.role, id.roles.q?.role]).toEqual(["protector", "protector"]);
    expect(rolesOf(id)).toMatchObject({ a: "main", b: "main", c: "start", d: "start" });
    expect(id.status).toBe("settled");
  });

  it("is read before it is named: a hot one is open", () => {
    const id = answer(table("a b 3.1\nc d 8.6\np a OL\np c OL\na c OL\nq a OL\nq c OL", { frame }));
    expect(id.status).toBe("needs-probe");
    expect(id.nextProbe).toMatchObject({ kind: "pair" });
    const pair = id.nextProbe?.kind === "pair" ? [...id.nextProbe.between].sort() : [];
    expect(pair).toEqual(["p", "q"]);
  });

  it("numbers P1 and P2 go with it", () => {
    const marks = { p: "P1", q: "P2", a: "T1", b: "T4", c: "T5", d: "T8" };
    const leads = Object.entries(marks).map(([id, mark]) => ({ id, mark }));
    const id = answer(table(rows, { frame, leads }));
    expect(id.findings.map(({ code }) => code)).not.toContain("mark-disagrees");
    const crossed = answer(
      table(rows, { frame, leads: leads.map((lead) => (lead.id === "p" ? { ...lead, mark: "T8" } : lead)) }),
    );
    expect(crossed.findings.map(({ code }) => code)).toContain("mark-disagrees");
  });
});

it("windings joined inside with a start capacitor only have a start winding of up to six times the main", () => {
  const id = answer(table("c r 1.1\nc s 5.9\nr s 7.0", { about: { capacitor: "start" } }));
  expect(id.family).toBe("two-winding");
  expect(rolesOf(id)).toEqual({ c: "speed 1", r: "run-end", s: "start-end" });
});

it("a start winding lower than its main occurs: never sure without the plate", () => {
  const id = answer(table("a b 31.0\nb c 24.2\na c 55.1"));
  expect(id.confidence).toBeLessThan(0.998);
});
