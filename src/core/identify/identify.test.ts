import { describe, expect, it } from "vitest";
import { answer, METER, rolesOf, table } from "../../../tests/material/sheets";
import { identify } from "./identify";

describe("what a technician reasons from a table", () => {
  it("three leads: the highest pair is the two ends, the lead left over is the joint, the higher half is start", () => {
    const id = answer(table("a b 8.2\nb c 13.9\na c 22.0"));
    expect(id.status).toBe("settled");
    expect(id.family).toBe("two-winding");
    expect(rolesOf(id)).toEqual({ a: "run-end", b: "speed 1", c: "start-end" });
  });

  it("a start winding twice the main could be a two-speed motor without one: tied until the capacitor is told", () => {
    const rows = "a b 8.2\nb c 19.9\na c 28.0";
    const alone = answer(table(rows));
    expect(alone.status).toBe("tied");
    expect(alone.settleBy.join(" ")).toContain("capacitor");
    expect(alone.alternatives.map((a) => a.family)).toContain("one-winding");
    const told = answer(table(rows, { about: { capacitor: "run" } }));
    expect(told.status).toBe("settled");
    expect(rolesOf(told)).toEqual({ a: "run-end", b: "speed 1", c: "start-end" });
  });

  it("four leads in two pairs, open between them, are main and start winding apart: the higher is the start", () => {
    const id = answer(table("a b 3.1\na c OL\na d OL\nb c OL\nb d OL\nc d 8.6"));
    expect(id.family).toBe("split-windings");
    expect(rolesOf(id)).toEqual({ a: "main", b: "main", c: "start", d: "start" });
  });

  it("three equal readings between three leads are a three-phase motor, wye or delta alike", () => {
    const id = answer(table("a b 14.2\nb c 14.3\na c 14.2"));
    expect(id.family).toBe("three-phase-3");
  });

  it("nine leads in delta: which corner belongs to which pair of ends is read, not guessed from what is left", () => {
    const leads = [..."abcdefghi"].map((id) => ({ id }));
    const rows = `a f 14.9
b c 14.8
d e 7.3
e g 7.3
d g 14.6
a b OL
a d OL
b d OL`;
    const unread = answer(table(rows, { leads }));
    expect(unread.status).toBe("needs-probe");
    expect(unread.nextProbe).not.toBeNull();
    const byWhatIsLeft = answer(table(`${rows}\na h 7.4\na i OL`, { leads }));
    expect(byWhatIsLeft.status).toBe("needs-probe");
    expect(byWhatIsLeft.unread).toHaveLength(1);
    const read = answer(table(`${rows}\na h 7.4\na i OL\nb i 7.4`, { leads }));
    expect(read.status).toBe("settled");
    expect(read.roles.h?.group).toBe(read.roles.a?.group);
    expect(read.roles.i?.group).toBe(read.roles.b?.group);
  });

  it("six leads in three equal pairs are three-phase; two equal and one higher, dual voltage", () => {
    const pairs = (last: number) => `a b 6.2\nc d 6.2\ne f ${last}\na c OL\na e OL\nc e OL`;
    expect(answer(table(pairs(6.3))).family).toBe("three-phase-6");
    expect(answer(table(pairs(19))).family).toBe("dual-voltage-single-phase");
  });

  it("zero ohms between two leads: they are one conductor inside", () => {
    const id = answer(table("a b 12.0\na c 0.1\na d 34.1\nb c 12.1\nb d 22.0\nc d 34.0"));
    expect(id.bonded).toEqual([["a", "c"]]);
    expect(id.interchangeable).toContainEqual(["a", "c"]);
    expect(rolesOf(id)).toMatchObject({ a: "run-end", c: "run-end", b: "speed 1", d: "start-end" });
    expect(id.reasoning[0]).toContain("one lead inside");
  });

  it("from the shared lead the lowest ohms is the fastest speed, the highest the slowest", () => {
    const id = answer(
      table(
        "c h 10.0\nc m 13.0\nc l 17.0\nc s 47.0\nh m 3.0\nh l 7.0\nh s 37.0\nm l 4.0\nm s 34.0\nl s 30.0",
        { about: { capacitor: "run" } },
      ),
    );
    expect(id.status).toBe("settled");
    expect(rolesOf(id)).toEqual({ c: "run-end", h: "speed 1", m: "speed 2", l: "speed 3", s: "start-end" });
  });

  it("two windings within a few per cent of each other from one joint are a reversible motor", () => {
    const id = answer(table("a b 41.0\nb c 41.2\na c 82.1"));
    expect(id.family).toBe("two-winding-reversible");
    expect(rolesOf(id)).toEqual({ a: "end", b: "common", c: "end" });
  });

  it("two leads are one winding, its ends alike", () => {
    const id = answer(table("a b 65.0"));
    expect(id.status).toBe("settled");
    expect(id.interchangeable).toEqual([["a", "b"]]);
  });

  it("a chain without capacitor is one winding with taps, once that is told", () => {
    const rows = "c h 40.0\nc m 49.0\nc l 60.0\nh m 9.0\nh l 20.0\nm l 11.0";
    const id = answer(table(rows, { about: { capacitor: "none" } }));
    expect(id.family).toBe("one-winding");
    expect(rolesOf(id)).toMatchObject({ c: "line-common", h: "speed 1", m: "speed 2", l: "speed 3" });
  });

  it("takes the probes' zero and the cable off every reading", () => {
    const id = answer(
      table("a b 9.6\nb c 21.3\na c 29.4", {
        about: { capacitor: "run" },
        meter: { ...METER, probeOhms: 0.4 },
        cable: { ohmsEachWay: 0.5 },
      }),
    );
    expect(id.sections.map((s) => s.ohms).map((ohms) => Math.round(ohms * 5) / 5)).toEqual([8.2, 19.8]);
  });
});

describe("safety and contradiction", () => {
  const good = "a b 8.2\nb c 13.9\na c 22.0";

  it.each([
    [180, "grounded-winding"],
    [0, "grounded-winding"],
    [850_000, "low-insulation"],
  ])("a shell reading of %d ohms says stop", (ohms, code) => {
    const id = answer(table(good, { frame: [{ lead: "a", ohms }] }));
    expect(id.status).toBe("fault");
    expect(id.findings.map((f) => f.code)).toContain(code);
    expect(id.nextProbe).toBeNull();
  });

  it("a later open shell test replaces an earlier bad one", () => {
    const id = answer(
      table(good, {
        frame: [
          { lead: "a", ohms: 200 },
          { lead: "a", open: true },
        ],
      }),
    );
    expect(id.status).toBe("settled");
  });

  it("a table whose sums do not close names the pair to read again and what it should read", () => {
    const id = answer(
      table(
        "c h 10.0\nc m 13.0\nc l 17.0\nc s 47.0\nh m 3.0\nh l 7.0\nh s 73.0\nm l 4.0\nm s 34.0\nl s 30.0",
      ),
    );
    expect(id.status).toBe("conflict");
    const [finding] = id.findings;
    expect(finding).toMatchObject({ code: "readings-disagree", leads: ["h", "s"] });
    expect(finding?.says).toContain("37.0 Ω");
    expect(id.nextProbe).toMatchObject({ kind: "pair", between: ["h", "s"] });
  });

  it("three readings that close only over a hidden joint are never settled: one may be mistyped", () => {
    const id = answer(table("a b 10.0\nb c 21.0\na c 13.0"));
    expect(id.status).not.toBe("settled");
    expect(id.findings.map((f) => f.code)).toContain("readings-disagree");
  });

  it("reading the bad pair again settles it: the latest stands", () => {
    const bad = table("a b 12.0\na c 0.1\na d 34.1\nb c 12.1\nb d 52.0\nc d 34.0");
    expect(answer(bad).status).toBe("conflict");
    const again = {
      ...bad,
      readings: [...(bad.readings ?? []), { between: ["b", "d"] as [string, string], ohms: 22 }],
    };
    const id = answer(again);
    expect(id.status).toBe("settled");
    expect(id.findings.map((f) => f.code)).toContain("reading-unsteady");
  });

  it("a lead open to all the others is a broken winding or a hot protector: let it cool", () => {
    const rows = "a b 8.0\na c 11.0\nb c 3.0\na d OL\nb d OL\nc d OL";
    const id = answer(table(rows, { about: { capacitor: "run", speeds: 2 } }));
    expect(id.status).toBe("fault");
    expect(id.findings[0]?.says).toMatch(/cool/i);
    expect(id.findings[0]?.leads).toEqual(["d"]);
  });

  it("is never sure of a table that is half read", () => {
    const id = answer({ ...table("a b 8.2"), leads: ["a", "b", "c", "d"].map((id) => ({ id })) });
    expect(id.status).toBe("needs-probe");
    expect(id.confidence).toBeLessThan(0.5);
    expect(id.nextProbe).not.toBeNull();
  });
});

describe("a sheet that does not hold together is refused, every fault named by its path", () => {
  const base = { format: "odd-lead/reading-sheet@1", leads: [{ id: "a" }, { id: "b" }] };
  const paths = (sheet: unknown) => {
    const result = identify(sheet);
    return result.ok ? [] : result.faults.map((fault) => fault.path.join("."));
  };

  it.each([
    ["an unknown lead", { ...base, readings: [{ between: ["a", "z"], ohms: 1 }] }, ["readings.0.between.1"]],
    [
      "a lead against itself",
      { ...base, readings: [{ between: ["a", "a"], ohms: 1 }] },
      ["readings.0.between"],
    ],
    ["a negative value", { ...base, readings: [{ between: ["a", "b"], ohms: -1 }] }, ["readings.0.ohms"]],
    [
      "a value that is not finite",
      { ...base, readings: [{ between: ["a", "b"], ohms: Number.NaN }] },
      ["readings.0.ohms"],
    ],
    [
      "open and ohms at once",
      { ...base, readings: [{ between: ["a", "b"], ohms: 1, open: true }] },
      ["readings.0"],
    ],
    ["neither open nor ohms", { ...base, readings: [{ between: ["a", "b"] }] }, ["readings.0"]],
    ["one lead", { ...base, leads: [{ id: "a" }] }, ["leads"]],
    [
      "thirteen leads",
      { ...base, leads: Array.from({ length: 13 }, (_, i) => ({ id: `l${i}` })) },
      ["leads"],
    ],
    ["two leads of one id", { ...base, leads: [{ id: "a" }, { id: "a" }] }, ["leads.1.id"]],
    ["a shell test of an unknown lead", { ...base, frame: [{ lead: "q", open: true }] }, ["frame.0.lead"]],
    ["another format", { ...base, format: "something" }, ["format"]],
    ["no sheet at all", null, [""]],
  ])("%s", (_, sheet, expected) => {
    expect(paths(sheet)).toEqual(expected);
  });

  it("several faults come back together", () => {
    const sheet = {
      ...base,
      readings: [
        { between: ["a", "z"], ohms: 1 },
        { between: ["b", "b"], ohms: 2 },
      ],
    };
    expect(paths(sheet)).toEqual(["readings.0.between.1", "readings.1.between"]);
  });
});
