import { describe, expect, it } from "vitest";
import { answer, rolesOf, table } from "../../../tests/material/sheets";

const leads = (...ids: string[]) => ({ leads: ids.map((id) => ({ id })) });
const open = (lead: string) => ({ lead, open: true as const });

describe("what to touch next", () => {
  it("begins with the shell, before anything else", () => {
    const id = answer({ ...table("a b 1"), readings: [], frame: [], ...leads("a", "b", "c") });
    expect(id.nextProbe).toMatchObject({ kind: "frame", lead: "a" });
    expect(id.family).toBeNull();
    expect(id.status).toBe("needs-probe");
  });

  it("asks no second shell test within one connected group", () => {
    const id = answer(table("a b 8\nb c 3", { ...leads("a", "b", "c", "d"), frame: [open("a")] }));
    expect(id.nextProbe?.kind).toBe("pair");
  });

  it("asks one lead of every separate group to the shell", () => {
    const id = answer(
      table("a b 5\na c OL\nc d 15", { ...leads("a", "b", "c", "d", "e", "f"), frame: [open("a")] }),
    );
    expect(id.nextProbe).toMatchObject({ kind: "frame" });
    expect(["c", "d"]).toContain(id.nextProbe?.kind === "frame" && id.nextProbe.lead);
  });

  it("calls no motor tied while a lead of it is untouched and has no place", () => {
    // A doubled end and small sections beside a large one: what is read already has little left to tell.
    const id = answer(
      table("a b 39.4\na c 0.2", { ...leads("a", "b", "c", "d", "e", "f"), frame: [open("a")] }),
    );
    expect(id.status).toBe("needs-probe");
    const pair = id.nextProbe?.kind === "pair" ? id.nextProbe.between : [];
    expect(pair.some((lead) => ["d", "e", "f"].includes(lead))).toBe(true);
  });

  it("calls no motor tied while two parts of it that may hang together were not read to each other", () => {
    const about = { phase: 1 as const, capacitor: "none" as const, speeds: 5 };
    const id = answer({ ...table("a b 1.1\nc d 1\nc e OL\nb f 0.4"), about });
    expect(id.status).toBe("needs-probe");
    const between = id.nextProbe?.kind === "pair" ? id.nextProbe.between : [];
    expect(between.filter((lead) => "abf".includes(lead))).toHaveLength(1);
    expect(between.filter((lead) => "cd".includes(lead))).toHaveLength(1);
  });

  it("keeps one clip where it is while leads are still untouched", () => {
    const id = answer(table("a b 8", { ...leads("a", "b", "c", "d"), frame: [open("a")] }));
    const pair = id.nextProbe?.kind === "pair" ? id.nextProbe.between : [];
    expect(pair.some((lead) => ["a", "b"].includes(lead))).toBe(true);
    expect(id.nextProbe?.because).toMatch(/not been touched/);
  });

  it("walks on from a lead without partner when the last pair was open", () => {
    const told = { about: { phase: 3 as const } };
    const id = answer(
      table("a b OL\na c OL", { ...leads("a", "b", "c", "d", "e", "f"), frame: [open("a")], ...told }),
    );
    expect(id.nextProbe?.kind === "pair" && id.nextProbe.between).toContain("a");
  });

  it("asks for a reading that checks the sums before it calls a motor of one group settled", () => {
    const bare = answer(table("a b 8.2\na c 22.0", { frame: [open("a")], about: { capacitor: "run" } }));
    expect(bare.status).toBe("needs-probe");
    const checked = answer(
      table("a b 8.2\na c 22.0\nb c 13.9", { frame: [open("a")], about: { capacitor: "run" } }),
    );
    expect(checked.status).toBe("settled");
    expect(checked.nextProbe).toBeNull();
  });

  it("never asks for a pair that is read, whatever the table", () => {
    const rows = ["a b 8", "a c 11", "b c 3", "a d 31"];
    for (let count = 1; count <= rows.length; count++) {
      const id = answer(
        table(rows.slice(0, count).join("\n"), { ...leads("a", "b", "c", "d"), frame: [open("a")] }),
      );
      if (id.nextProbe?.kind !== "pair") continue;
      const asked = [...id.nextProbe.between].sort().join(" ");
      expect(rows.slice(0, count).some((row) => row.startsWith(asked))).toBe(false);
    }
  });

  it("asks nothing more of a grounded motor", () => {
    const id = answer(table("a b 8", { ...leads("a", "b", "c"), frame: [{ lead: "a", ohms: 120 }] }));
    expect(id.nextProbe).toBeNull();
  });
});

describe("a tie", () => {
  it("lists every answer that is left, and the observation that settles it", () => {
    const id = answer(table("a b 20.0\nb c 21.4\na c 41.4", { about: { capacitor: "run" } }));
    expect(id.status).toBe("tied");
    expect(id.nextProbe?.kind).not.toBe("pair");
    expect(id.alternatives.map((a) => a.family)).toContain("two-winding");
    expect(id.settleBy[0]).toContain("reversible");
    const sum = id.confidence + id.alternatives.reduce((s, a) => s + a.confidence, 0);
    expect(sum).toBeGreaterThan(0.95);
    expect(sum).toBeLessThanOrEqual(1.0001);
  });

  it("gives each lead the probability of its own role", () => {
    const id = answer(table("a b 8.2\nb c 19.9\na c 28.0"));
    for (const lead of ["a", "b", "c"]) {
      expect(id.roleConfidence[lead]).toBeGreaterThanOrEqual(id.confidence - 1e-9);
      expect(id.roleConfidence[lead]).toBeLessThanOrEqual(1);
    }
  });
});

describe("the reasoning", () => {
  it("names leads by colour, and says what closes", () => {
    const sheet = table("a b 8.2\nb c 13.9\na c 22.0", {
      leads: [
        { id: "a", colour: "white" },
        { id: "b", colour: "black" },
        { id: "c", colour: "brown", stripe: "white" },
      ],
    });
    const text = answer(sheet).reasoning.join(" ");
    expect(text).toContain("White to brown/white is the longest, 22.0 Ω.");
    expect(text).toContain("Black lies between them: 8.2 Ω + 13.9 Ω");
    expect(text).toContain("Brown/white: CAP (start end)");
  });

  it("names the pair whose sum closes when it is not the longest one", () => {
    const rows = "a b 8.0\nb c 3.0\na c 11.0\nc d 30.0";
    const text = answer(table(rows, { about: { capacitor: "run" } })).reasoning.join(" ");
    expect(text).toContain("c to d is the longest, 30.0 Ω.");
    expect(text).toContain("b lies between a and c: 8.0 Ω + 3.0 Ω = 11.0 Ω, and a to c reads 11.0 Ω.");
  });

  it("does not put a guess into a sentence", () => {
    const id = answer(table("a b 8.2", leads("a", "b", "c", "d", "e")));
    expect(id.reasoning.join(" ")).not.toContain("run end");
  });

  it("reads a pair a third time whose two readings do not agree, and believes the one that came twice", () => {
    const read = (last: string) => answer(table(`a b OL\na c 46.6\nb d 8.8\na c 4.6${last}`, split));
    const split = { about: { phase: 1 as const, capacitor: "start" as const } };
    expect(read("").nextProbe).toMatchObject({ kind: "pair", between: ["a", "c"] });
    expect(read("").certain.filter(({ kind }) => kind === "role")).toEqual([]);
    expect(rolesOf(read("\na c 46.7"))).toMatchObject({ a: "start", b: "main" });
    expect(rolesOf(read("\na c 4.6"))).toMatchObject({ a: "main", b: "start" });
    expect(read("\na c 18\na c 31").nextProbe).toBeNull();
    // Sums that close among other leads say nothing of this pair.
    const main = "a b 20\nb c 3.1\na c 23.1\nc d 2.9\na d 26\na e OL\ne f 50\ne f 5";
    const told = { about: { phase: 1 as const, capacitor: "run" as const, speeds: 3, reversible: true } };
    expect(answer(table(main, told)).nextProbe).toMatchObject({ kind: "pair", between: ["e", "f"] });
  });

  it("reads a pair twice on which main and start hang alone, and only where nothing else checks it", () => {
    const about = { about: { phase: 1 as const, capacitor: "start" as const, speeds: 1 } };
    const rows = "a b 3.1\nc d 8.6\na c OL\nb d OL";
    const once = answer(table(rows, about));
    expect(once.status).toBe("needs-probe");
    expect(once.nextProbe).toMatchObject({ kind: "pair", between: ["c", "d"] });
    expect(once.nextProbe?.because).toContain("nothing else checks it");
    expect(answer(table(`${rows}\nc d 8.6`, about)).status).toBe("settled");
    // Two alike halves check each other; where the phase is not told, the third pair may be the third of three.
    const halves = "a b 6.2\nc d 6.2\ne f 12.4\na c OL\na e OL\nc e OL";
    const told = answer(table(halves, { about: { dualVoltage: true, phase: 1 } }));
    expect(told.nextProbe?.because ?? "").not.toContain("nothing else checks it");
    const untold = answer(table(halves, { about: { dualVoltage: true } }));
    expect(untold.nextProbe).toMatchObject({ kind: "pair", between: ["e", "f"] });
  });
});
