import { describe, expect, it } from "vitest";
import { dualVoltage, plansFor } from "../../../tests/material/motors";
import { capacitorStepId, checkPlan, compartmentById, planSteps, stepTick } from "../wiring";
import type { JobWiring } from "./jobWiring";
import { type LabelAsk, labelContent } from "./labelContent";

const compartment = compartmentById("pump-pressure-switch");
if (!compartment) throw new Error("no pump");
const [plan] = plansFor(dualVoltage, compartment);
if (!plan) throw new Error("no plan");
const wiring: JobWiring = {
  kind: "plan",
  compartment,
  plans: [plan],
  asMade: plan,
  plan,
  leads: dualVoltage.leads,
  motor: dualVoltage.motor,
  fitted: dualVoltage.fitted,
  polarity: { kind: "none" },
};
const half = { role: "half", group: 1 } as const;
const ask = (more: Partial<LabelAsk> = {}): LabelAsk => ({
  job: {
    label: { unit: "", who: "Ilo Brandt", capacitorMicrofarads: "", capacitorVolts: "" },
    title: "Hatchery pump",
    lastAt: "2026-03-01T10:00:00Z",
    leads: dualVoltage.leads.map((id) => ({ id })),
    ticked: [],
    ready: null,
    proof: { seen: [], rounds: [], load: null, signed: null },
  },
  answer: {
    status: "settled",
    family: "dual-voltage-single-phase",
    roles: Object.fromEntries(dualVoltage.leads.map((id) => [id, half])),
    findings: [],
  },
  wiring,
  check: checkPlan(plan, dualVoltage),
  short: (lead) => lead.toUpperCase(),
  ...more,
});

describe("what the label says", () => {
  it("PLANNED until every wire is ticked, LANDED until it is proved, then the motor’s own setting and its amps", () => {
    expect(labelContent(ask()).supply).toBe("PLANNED – NOT PROVED · Motor joined for 230 V");
    const ticked = planSteps(plan, dualVoltage.leads).map(({ id }) => stepTick(plan, id));
    const { job } = ask();
    const done = labelContent(ask({ job: { ...job, ticked } }));
    expect(done.supply).toBe("LANDED – NOT PROVED · Motor joined for 230 V");
    const seen = [{ what: "line-amps", call: "run", lead: "a", amps: 4.1 } as const].map((one, i) => ({
      fact: `${i}`,
      at: "2026-03-01T10:00:00Z",
      by: "Ilo Brandt",
      seen: one,
    }));
    const signed = { at: "2026-03-01T10:30:00Z", by: "Ilo Brandt", override: null, unseen: [] };
    const proof = { ...job.proof, seen, signed };
    const proved = labelContent(ask({ job: { ...job, ticked, proof } }));
    expect(proved.supply).toBe("Motor joined for 230 V");
    expect(proved.proved).toMatch(/4\.1 A on A$/);
    expect(done.proved).toBe("");
    expect(done.rows.find(({ wire }) => wire === "T1")?.to).toContain("pressure switch");
    const allButOne = labelContent(ask({ job: { ...job, ticked: ticked.slice(1) } }));
    expect(allButOne.supply).toContain("PLANNED");
  });

  it("never the supply’s volts: the same motor on another supply says its own", () => {
    const other = { ...plan, compartment: { ...compartment, supply: { ...compartment.supply, volts: 240 } } };
    expect(labelContent(ask({ wiring: { ...wiring, plan: other } })).supply).toContain("230 V");
  });

  it("names no terminal of a plan that is stopped, unless somebody overrode it with a reason", () => {
    const check = { weight: "stop" as const, assumes: [] };
    const stopped = labelContent(ask({ check }));
    expect(stopped.supply).toMatch(/^NOT LANDED/);
    expect(stopped.rows.every(({ to }) => to === "—")).toBe(true);
    const { job } = ask();
    const ready = { override: "the maker said so", by: "", at: "2026-03-01" };
    expect(labelContent(ask({ check, job: { ...job, ready } })).supply).toContain("Motor joined");
  });

  it("names no terminal while the plan as it stands is still being run", () => {
    const running = labelContent(ask({ check: { weight: "good", assumes: [], working: true } }));
    expect(running.supply).toBe("NOT LANDED: the plan is being run");
    expect(running.rows.every(({ to }) => to === "—")).toBe(true);
  });

  it("shows what is assumed still, and a capacitor only as somebody wrote that it was fitted", () => {
    const assumes = [
      {
        code: "figure-assumed",
        short: "the relay’s pick-up",
        says: "",
        source: { kind: "told" },
        effect: "figures",
        fact: "",
        leads: [],
      },
    ] as const;
    const content = labelContent(ask({ check: { weight: "again", assumes } }));
    expect(content.assumed).toBe("the relay’s pick-up");
    expect(content.capacitor).toBe("");
  });

  it("takes the capacitor from the plan once its work is ticked; what a person wrote comes before it", () => {
    const fitted = {
      ...plan,
      capacitors: [{ device: "run", change: "replaced", microfarads: 6, volts: 440, known: true } as const],
    };
    const { job } = ask();
    const label = (more: Partial<LabelAsk["job"]>) =>
      labelContent(ask({ wiring: { ...wiring, plan: fitted }, job: { ...job, ...more } })).capacitor;
    expect(label({})).not.toContain("capacitor");
    const ticked = [stepTick(fitted, capacitorStepId("run"))];
    expect(label({ ticked })).toContain("capacitor 6 µF / 440 V");
    const wrote = { ...job.label, capacitorMicrofarads: "7.5", capacitorVolts: "440" };
    expect(label({ ticked, label: wrote })).toContain("capacitor 7.5 µF / 440 V");
  });
});
