import { describe, expect, it } from "vitest";
import { identify } from "../identify/identify";
import { checkPlan } from "../wiring/check/check";
import { compartmentById } from "../wiring/equipment";
import { NO_CHANGES } from "../wiring/plan";
import { planSteps } from "../wiring/steps";
import type { Fact, FactBody } from "./facts";
import { fact } from "./facts";
import { deriveJob, sheetOf } from "./job";
import { jobWiring } from "./jobWiring";
import { wiringQuestion } from "./questions";
import { wired } from "./wired";

/** Facts in order, a second apart. */
function facts(...bodies: FactBody[]): Fact[] {
  return bodies.map((body, i) => {
    const n = (i + 1).toString(16).padStart(12, "0");
    return fact.parse({
      id: `0198c3a0-0000-7000-8000-${n}`,
      at: new Date(Date.UTC(2026, 4, 1, 8, 0, i)).toISOString(),
      by: "Petra Quill",
      body,
    });
  });
}

const equipment = (id: string): FactBody => ({
  kind: "compartment",
  compartment: compartmentById(id) ?? null,
});
const read = (one: string, other: string, ohms: number): FactBody => ({
  kind: "pair-reading",
  between: [one, other],
  typed: String(ohms),
  ohms,
});
const FAN: readonly FactBody[] = [
  { kind: "lead", lead: { id: "ye", colour: "yellow" } },
  { kind: "lead", lead: { id: "bk", colour: "black" } },
  { kind: "lead", lead: { id: "bn", colour: "brown" } },
  { kind: "shell-reading", lead: "ye", typed: "OL", open: true },
  { kind: "told", v: 2, about: { speeds: 1, capacitor: "run" } },
  read("ye", "bk", 12),
  read("bk", "bn", 26),
  read("ye", "bn", 38),
  { kind: "plate", motor: "new", field: "runCapacitor", typed: "5 MFD 440" },
  { kind: "plate", motor: "new", field: "volts", typed: "208-230" },
];

/** Of every job here: asked as text, of a planner that remembers what it planned before, the wiring is the same. */
function wiringOf(...bodies: FactBody[]) {
  const job = deriveJob(facts(...bodies));
  const sheet = sheetOf(job);
  const found = sheet ? identify(sheet) : null;
  const answer = found?.ok ? found : null;
  const wiring = jobWiring(job, answer);
  expect(wired(wiringQuestion(job, answer))).toEqual(wiring);
  return { job, wiring };
}

describe("how far a job's wiring got", () => {
  it("without equipment it says so, and nothing else is asked first", () => {
    expect(wiringOf(...FAN).wiring.kind).toBe("no-equipment");
  });

  it("with equipment and no readings it waits for Probe", () => {
    expect(wiringOf(equipment("condenser-dual")).wiring).toMatchObject({ kind: "not-settled", stop: false });
  });

  it("a winding on the shell stops it", () => {
    const shell: FactBody = { kind: "shell-reading", lead: "ye", typed: "400", ohms: 400 };
    expect(wiringOf(...FAN, equipment("condenser-dual"), shell).wiring).toMatchObject({
      kind: "not-settled",
      stop: true,
    });
  });

  it("a settled motor on its equipment gets its plans, with the capacitor of the plate", () => {
    const { wiring } = wiringOf(...FAN, equipment("condenser-dual"));
    if (wiring.kind !== "plan") throw new Error(wiring.kind);
    expect(wiring.plans.map(({ id }) => id)).toEqual(["keep-one-dual", "own-capacitor"]);
    expect(wiring.plan.landings).toMatchObject({ bn: "dual.FAN", ye: "contactor.T2", bk: "contactor.T1" });
    expect(wiring.plan.capacitors[0]).toMatchObject({ microfarads: 5, known: true });
  });

  it("takes the school and the capacitor found in place from Cap, until another plan is chosen", () => {
    const cap: FactBody = { kind: "capacitor", choice: { present: "35+5 440", school: "own-capacitor" } };
    const { wiring } = wiringOf(...FAN, equipment("condenser-dual"), cap);
    expect(wiring.kind === "plan" && wiring.plan.id).toBe("own-capacitor");
    const keep: FactBody = {
      kind: "wiring-wish",
      wish: { plan: "keep-one-dual", speeds: {}, reversed: false },
    };
    const kept = wiringOf(...FAN, equipment("condenser-dual"), cap, keep).wiring;
    expect(kept.kind === "plan" && kept.plan.capacitors[0]).toMatchObject({ change: "kept", microfarads: 5 });
    const other: FactBody = { kind: "capacitor", choice: { present: "40+7.5 370" } };
    const replaced = wiringOf(...FAN, equipment("condenser-dual"), other).wiring;
    const dual =
      replaced.kind === "plan" ? replaced.plan.compartment.devices.find(({ id }) => id === "dual") : null;
    expect(replaced.kind === "plan" && replaced.plan.capacitors[0]).toMatchObject({
      change: "replaced",
      volts: 440,
    });
    expect(dual?.parts).toMatchObject([{ microfarads: 5 }, { microfarads: 40 }]);
  });

  it("a fan that no lead reverses is turned round by the plug of its start winding, where it has one", () => {
    const turned = (turnBy: "leads" | "plug"): FactBody => ({
      kind: "wiring-wish",
      wish: { speeds: {}, reversed: true, turnBy },
    });
    const straight = wiringOf(...FAN, equipment("condenser-dual")).wiring;
    expect(wiringOf(...FAN, equipment("condenser-dual"), turned("leads")).wiring).toMatchObject({
      kind: "refused",
      plug: true,
    });
    const byPlug = wiringOf(...FAN, equipment("condenser-dual"), turned("plug")).wiring;
    if (byPlug.kind !== "plan" || straight.kind !== "plan") throw new Error(byPlug.kind);
    expect(byPlug.plan.landings).toEqual(straight.plan.landings);
    expect(planSteps(byPlug.plan, byPlug.leads).filter(({ kind }) => kind === "plug")).toHaveLength(1);
    const check = checkPlan(byPlug.plan, byPlug);
    expect(check.weight).not.toBe("stop");
    expect(check.outcomes.find(({ wanted }) => wanted)?.point?.outcome).toBe("runs-backward");
    expect(checkPlan(straight.plan, straight).outcomes.find(({ wanted }) => wanted)?.point?.outcome).toBe(
      "runs",
    );
  });

  it("equipment of another kind is refused with its reason, and a retrofit goes to its strip", () => {
    expect(wiringOf(...FAN, equipment("reversing-switch")).wiring.kind).toBe("refused");
    const kind: FactBody = { kind: "plate", motor: "new", field: "kind", typed: "retrofit" };
    expect(wiringOf(kind, equipment("electronic-board")).wiring.kind).toBe("retrofit");
  });

  it("jobs of before the equipment was data keep their choice", () => {
    const landing: FactBody = {
      kind: "landing",
      choice: { supply: "208-230-two-lines", capacitor: "dual-fan", speed: 1 },
    };
    const { wiring } = wiringOf(...FAN, landing);
    expect(wiring.kind === "plan" && wiring.compartment.id).toBe("condenser-dual");
  });
});

describe("changes by hand and being ready", () => {
  const moved: FactBody = { kind: "moved", lead: "bn", to: "contactor.T1" };

  it("a lead moved by hand stays moved, is taken back by itself or with all, and ends with other equipment", () => {
    const base = [...FAN, equipment("condenser-dual"), moved];
    const { wiring } = wiringOf(...base);
    expect(wiring.kind === "plan" && wiring.plan.landings.bn).toBe("contactor.T1");
    expect(wiring.kind === "plan" && wiring.asMade.landings.bn).toBe("dual.FAN");
    for (const back of [
      { kind: "moved", lead: "bn", to: null },
      { kind: "as-planned" },
      equipment("air-handler-relay"),
    ] as const)
      expect(wiringOf(...base, back).job.changes).toBe(NO_CHANGES);
  });

  it("editing the equipment keeps what was changed by hand", () => {
    const ready = compartmentById("condenser-dual");
    if (!ready) throw new Error("no condenser");
    const edited: FactBody = {
      kind: "compartment",
      compartment: { ...ready, title: "Condenser, east roof" },
    };
    const move: FactBody = { kind: "moved", lead: "bn", to: "dual.HERM" };
    expect(wiringOf(...FAN, equipment("condenser-dual"), move, edited).job.changes.landings).toEqual({
      bn: "dual.HERM",
    });
  });

  it("wires come and go by hand", () => {
    const wire = { id: "0198c3a0-0000-7000-8000-00000000beef", from: "contactor.T1", to: "dual.C" };
    const { wiring } = wiringOf(
      ...FAN,
      equipment("condenser-dual"),
      { kind: "wire-added", wire },
      { kind: "wire-off", wire: "line-to-c", off: true },
    );
    if (wiring.kind !== "plan") throw new Error(wiring.kind);
    expect(wiring.plan.jumpers.map(({ to }) => to)).toContain("dual.C");
    expect(wiring.plan.removed.map(({ id }) => id)).toEqual(["line-to-c"]);
  });

  it("ready holds until a wire moves, and keeps the reason of an override", () => {
    const base = [...FAN, equipment("condenser-dual")];
    const ready: FactBody = { kind: "ready", ready: true };
    expect(wiringOf(...base, ready).job.ready).toMatchObject({ override: null, by: "Petra Quill" });
    expect(wiringOf(...base, ready, moved).job.ready).toBeNull();
    expect(wiringOf(...base, ready, read("ye", "bk", 12.1)).job.ready).toBeNull();
    const shell: FactBody = { kind: "shell-reading", lead: "ye", typed: "400", ohms: 400 };
    expect(wiringOf(...base, ready, shell).job.ready).toBeNull();
    const cap: FactBody = { kind: "capacitor", choice: { present: "40+5 440" } };
    expect(wiringOf(...base, ready, cap).job.ready).toBeNull();
    expect(wiringOf(...base, ready, { kind: "ready", ready: false }).job.ready).toBeNull();
    const override: FactBody = { kind: "ready", ready: true, override: "bench run only" };
    expect(wiringOf(...base, moved, override).job.ready?.override).toBe("bench run only");
  });
});

describe("the old wiring and its photos", () => {
  const photo = { id: "0198c3a0-0000-7000-8000-00000000aaaa", caption: "", widthPx: 800, heightPx: 600 };
  const pin = { id: "0198c3a0-0000-7000-8000-00000000bbbb", photo: photo.id, x: 0.2, y: 0.4, says: "BK" };

  it("an old lead keeps its last terminal and can be taken off", () => {
    const old = (terminal: string | null): FactBody => ({
      kind: "old-lead",
      old: { lead: { id: "o1", colour: "black" }, terminal },
    });
    expect(wiringOf(old(null), old("dual.FAN")).job.oldLeads).toEqual([
      { lead: { id: "o1", colour: "black" }, terminal: "dual.FAN" },
    ]);
    expect(wiringOf(old("dual.FAN"), { kind: "old-lead-gone", lead: "o1" }).job.oldLeads).toEqual([]);
  });

  it("a pin goes with its photo", () => {
    expect(wiringOf({ kind: "photo", photo }, { kind: "pin", pin }).job.pins).toEqual([pin]);
    const gone = wiringOf(
      { kind: "photo", photo },
      { kind: "pin", pin },
      { kind: "photo-gone", photo: photo.id },
    );
    expect(gone.job.photos).toEqual([]);
    expect(gone.job.pins).toEqual([]);
  });
});
