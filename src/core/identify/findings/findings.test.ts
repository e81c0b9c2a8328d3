import { describe, expect, it } from "vitest";
import { answer, METER, rolesOf, table } from "../../../../tests/material/sheets";
import type { Identification } from "../identification";

const codes = (id: Identification) => id.findings.map((finding) => finding.code);
const pairs = (one: number, two: number, three: number) =>
  `a b ${one}\nc d ${two}\ne f ${three}\na c OL\na e OL\nc e OL`;

describe("windings wound alike", () => {
  const told = { about: { phase: 3 as const } };

  it("three within a per cent of each other are in order", () => {
    const id = answer(table(pairs(20.0, 20.1, 20.2), told));
    expect(id.status).toBe("settled");
    expect(codes(id)).toEqual([]);
  });

  it("one of three a tenth low is unbalanced: a fault, with the spread and the likely cause", () => {
    const id = answer(table(pairs(20.0, 20.1, 17.6), told));
    expect(id.status).toBe("fault");
    const [finding] = id.findings;
    expect(finding).toMatchObject({ code: "unbalanced-phases", severity: "fault", leads: ["e", "f"] });
    expect(finding?.says).toMatch(/shorted turns/);
    expect(finding?.says).toMatch(/6\.\d % line to line/);
  });

  it("a spread that the meter cannot tell from its own error is none", () => {
    const id = answer(table(pairs(1.0, 1.1, 1.2), told));
    expect(id.findings.filter((f) => f.severity === "fault")).toEqual([]);
  });

  it("a spread likelier over the limit than not is said as more than this meter can tell, and no fault", () => {
    const id = answer(table("a b 11.4\na c 12.1\nb c 11.4", told));
    expect(id.status).toBe("settled");
    expect(id.findings).toMatchObject([{ code: "range-too-coarse", severity: "note" }]);
    const finer = { ...told, meter: { ...METER, percent: 0.5, resolutionOhms: 0.01 } };
    expect(codes(answer(table("a b 11.4\na c 12.1\nb c 11.4", finer)))).toEqual(["unbalanced-phases"]);
  });

  it("one of three at ten times the others is sooner a wrong reading: it is asked for again", () => {
    const id = answer(table(pairs(20.0, 20.1, 202), told));
    expect(id.status).toBe("conflict");
    expect(id.nextProbe).toMatchObject({ kind: "pair", between: ["e", "f"] });
  });

  it("what stays far off when both are read again is no slip, and is not asked for any more", () => {
    const halves = "a c 20.5\nb f 83.1\nb d 167.5\ne g 60.2\na b OL\nd e OL\nf g OL\na e OL";
    const read = (more: string) => answer(table(halves + more, { about: { dualVoltage: true } }));
    expect(read("").nextProbe).toMatchObject({ kind: "pair", between: ["a", "c"] });
    expect(read("\na c 20.6").nextProbe).toMatchObject({ kind: "pair", between: ["e", "g"] });
    expect(read("\na c 20.6\ne g 60.3")).toMatchObject({ status: "fault", nextProbe: null });
    expect(read("\na c 20.6\ne g 20.4\ne g 20.4").status).not.toBe("fault");
  });

  it("of two main halves the lower has shorted turns", () => {
    const id = answer(
      table("a b 6.2\nc d 5.4\ne f 19.0\na c OL\na e OL\nc e OL", { about: { dualVoltage: true } }),
    );
    expect(codes(id)).toContain("shorted-turns");
    expect(id.status).toBe("fault");
  });
});

describe("probes that were not zeroed", () => {
  const offset = "a b 10.6\na c 0.6\na d 34.6\nb c 10.6\nb d 24.6\nc d 34.6";

  it("are seen from a bonded pair and sums that are over by the same, and reckoned with", () => {
    const id = answer(table(offset, { about: { capacitor: "run" } }));
    expect(codes(id)).toContain("probe-offset");
    expect(id.bonded).toEqual([["a", "c"]]);
    expect(rolesOf(id)).toMatchObject({ a: "run-end", c: "run-end", b: "speed 1", d: "start-end" });
    const main = id.sections.find((section) => section.winding === "main");
    expect(main?.ohms).toBeGreaterThan(9.7);
    expect(main?.ohms).toBeLessThan(10.3);
  });

  it("are not suspected once their zero is entered", () => {
    const id = answer(table(offset, { about: { capacitor: "run" }, meter: { ...METER, probeOhms: 0.6 } }));
    expect(codes(id)).toEqual([]);
    expect(id.status).toBe("settled");
  });
});

describe("a pair read more than once", () => {
  it("that climbs and never settles has a capacitor on it", () => {
    const id = answer(table("a b 12\na b 48\na b 190\na b OL\nb c 8", {}));
    expect(codes(id)).toContain("capacitor-still-connected");
    expect(id.findings[0]?.says).toMatch(/resistor/);
  });

  it("that scatters is only unsteady", () => {
    const id = answer(table("a b 12\na b 30\na b 12.1\nb c 8\na c 20", {}));
    expect(codes(id)).toContain("reading-unsteady");
    expect(codes(id)).not.toContain("capacitor-still-connected");
  });
});

describe("colours", () => {
  const leads = [
    { id: "a", colour: "brown" },
    { id: "b", colour: "black" },
    { id: "c", colour: "white" },
  ];
  const rows = "a b 8.2\nb c 12.9\na c 21.0";

  it("never overrule the ohms, and a clash is shown", () => {
    const id = answer(table(rows, { leads, about: { capacitor: "run" } }));
    expect(rolesOf(id)).toEqual({ a: "run-end", b: "speed 1", c: "start-end" });
    expect(codes(id)).toEqual(["colour-disagrees", "colour-disagrees"]);
    expect(id.status).toBe("settled");
  });

  it("tip a tie when they are trusted, and not when they are not", () => {
    const tie = "a b 20.0\nb c 21.9\na c 41.9";
    const swapped = [leads[2], leads[1], leads[0]].map((lead, i) => ({ ...lead, id: "abc"[i] ?? "" }));
    const told = { capacitor: "run" as const, reversible: false };
    const without = answer(table(tie, { leads: swapped, about: told }));
    const trusting = answer(table(tie, { leads: swapped, about: { ...told, trustColours: 1 } }));
    const sure = (id: Identification) => id.roleConfidence.c ?? 0;
    expect(rolesOf(trusting)).toMatchObject({ a: "run-end", c: "start-end" });
    expect(sure(trusting)).toBeGreaterThan(sure(without));
  });
});

describe("a range too coarse to rank taps", () => {
  it("is said, with the two leads, and a low-ohm range asked for", () => {
    const rows = "a b 3.2\na c 3.3\na d 9.0\nb c 0.1\nb d 5.9\nc d 5.7";
    const id = answer(table(rows, { about: { capacitor: "run", speeds: 2 } }));
    expect(id.status).not.toBe("settled");
    expect(codes(id)).toContain("range-too-coarse");
    expect(id.findings.find((f) => f.code === "range-too-coarse")?.says).toMatch(/low-ohm range/);
  });
});

describe("electronics between leads and winding", () => {
  it("are recognised from what is told, with the test that is right for them", () => {
    const id = answer({ ...table("a b 12"), readings: [], about: { kind: "ECM blower" } });
    expect(id.family).toBe("electronic");
    expect(id.status).toBe("settled");
    expect(id.roles).toEqual({});
    expect(id.findings[0]?.says).toMatch(/three pins/);
  });

  it("are suspected from readings that no winding gives, and never called sure from them", () => {
    const id = answer(table("a b 18000\nb c 22000\na c 41000"));
    expect(id.family).toBe("electronic");
    expect(id.status).toBe("tied");
    expect(id.settleBy.length).toBeGreaterThan(0);
  });

  it("show when a pair reads one way and not the other", () => {
    const sheet = table("a b 5200\nb a OL\nb c OL");
    expect(answer(sheet).family).toBe("electronic");
  });

  it("are not seen in a small motor of fine wire", () => {
    expect(answer(table("a b 1450")).family).toBe("one-winding");
  });
});

describe("a meter left on continuity or diode", () => {
  it("whole numbers in the hundreds that do not close are said, with what their order tells", () => {
    const id = answer(table("a b 212\nb c 318\na c 391"));
    const said = id.findings.find(({ code }) => code === "meter-on-continuity");
    expect(said?.says).toContain("continuity or diode");
    expect(said?.says).toContain("they meet at b");
    expect(id.status).not.toBe("settled");
  });

  it("is not suspected of ohms that close, nor of ohms with a point in them", () => {
    for (const rows of ["a b 120\nb c 210\na c 330", "a b 21.2\nb c 31.8\na c 39.1"])
      expect(answer(table(rows)).findings.map(({ code }) => code)).not.toContain("meter-on-continuity");
  });
});

describe("a build outside the catalogue", () => {
  it("takes from an answer whose ratios no motor of its kind has, and next to nothing from a usual one", () => {
    // A start winding of eleven times the main, joined in the middle.
    const strained = answer(table("a b 4\nb c 44\na c 48", { about: { capacitor: "run" } }));
    expect(strained.confidence).toBeLessThan(0.99);
    const usual = answer(table("a b 14\nb c 24\na c 38", { about: { capacitor: "run" } }));
    expect(usual.confidence).toBeGreaterThan(0.99);
  });

  it("a start winding lower than its main is not ruled out", () => {
    const { confidence } = answer(table("a b 20\nb c 27\na c 47", { about: { capacitor: "run" } }));
    expect(confidence).toBeLessThan(0.998);
    expect(confidence).toBeGreaterThan(0.99);
  });
});
