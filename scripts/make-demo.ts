/**
 * Makes the demo jobs: motors of the invented harbour, their readings taken on the virtual bench in the order the
 * identification asks for them, frozen as facts in src/server/demo/jobs.json. Run it only to change the demo world.
 */
import { writeFileSync } from "node:fs";
import type { Fact, FactBody, Lead, OhmsShown } from "../src/core";
import { deriveJob, identify, jobWiring, parseLeadEntry, provingSheetOf, sheetOf } from "../src/core";
import {
  type Network,
  ohmmeter,
  type PoweredFault,
  type PoweredMachine,
  poweredMachine,
  seededRandom,
} from "../src/core/bench";
import { capacitorsInCircuit, type Diagnosis, diagnose } from "../src/core/proving";
import { compartmentById, planSteps, statesOf, stepTick } from "../src/core/wiring";
import { uuidAt } from "./lib/uuidAt";

interface Unit {
  readonly demo: string;
  readonly title: string;
  readonly by: string;
  readonly at: string;
  readonly wires: readonly string[];
  readonly network: Network;
  readonly shellOhms?: number;
  /** Read too soon: its protector was open, and the motor was left to cool for an hour. */
  readonly hot?: boolean;
  readonly more: readonly FactBody[];
  /** Proved on a virtual machine: with each of these faults in turn, mended in these words, then good. */
  readonly proof?: readonly { readonly fault: PoweredFault; readonly mended: string }[];
}

const METER = { percent: 1, counts: 2, resolutionOhms: 0.1, probeOhms: 0 };

/** Junctions are listed by the wires on them; sections join junctions by index. */
function network(junctions: readonly (readonly string[])[], sections: Network["sections"]): Network {
  const leadAt = new Map(
    junctions.flatMap((wires, junction) => wires.map((wire) => [wire, junction] as const)),
  );
  return { junctions: junctions.length, sections, leadAt };
}

/** A plate's fields as facts. */
const plate = (motor: "old" | "new", typed: Record<string, string>): FactBody[] =>
  Object.entries(typed).map(([field, text]) => ({ kind: "plate", motor, field, typed: text }) as FactBody);

/** An insulation test of one visit. */
const insulation = (on: string, megohms: number, windingC: number): FactBody => ({
  kind: "insulation",
  test: { on, typed: String(megohms), megohms, orMore: false, testVolts: 500, windingC, inWell: false },
});

/** The equipment, a copy of the library's. */
function equipment(id: string): FactBody {
  const compartment = compartmentById(id);
  if (!compartment) throw new Error(id);
  return { kind: "compartment", compartment };
}

/** A capacitor measured by meter, lifted and discharged. */
const capacitorTest = (label: string, microfarads: number): FactBody => ({
  kind: "capacitor-test",
  test: { label, half: "single", by: { way: "meter", microfarads } },
});

/** The winding's temperature at a visit. */
const windingAt = (windingC: number): FactBody => ({
  kind: "conditions",
  conditions: { windingC, conductor: "copper" },
});

const FAN_COIL = {
  id: "019b8a6e-0c10-7a4e-8b52-5d1f3c7e9a01",
  customer: "Saltrey Quay Harbour Board",
  site: "Harbour office",
  name: "Fan coil, chart room",
  position: "blower",
};
const DRYER = {
  id: "019b8a6e-0c10-7c2d-9e41-77aa20b4d602",
  customer: "Quayside Net Makers",
  site: "Net loft",
  name: "Dryer 2",
  position: "fan",
};

/** An old lead and where it was. */
const oldLead = (id: string, wire: string, terminal: string): FactBody => ({
  kind: "old-lead",
  old: { lead: { id, ...parseLeadEntry(wire) }, terminal },
});

const units: Unit[] = [
  {
    demo: "1",
    title: "Harbour office fan coil — four-speed blower",
    by: "Maren Osk",
    at: "2026-02-17T09:12:00Z",
    wires: ["GY", "VT", "YE/BN", "TQ", "PK", "GY/VT", "BU/OG"],
    network: network(
      [["VT", "PK"], ["GY"], ["TQ"], ["BU/OG"], ["YE/BN"], ["GY/VT"]],
      [
        { from: 0, to: 1, ohms: 18.6, winding: "main" },
        { from: 1, to: 2, ohms: 3.9, winding: "speed" },
        { from: 2, to: 3, ohms: 4.7, winding: "speed" },
        { from: 3, to: 4, ohms: 5.6, winding: "speed" },
        { from: 4, to: 5, ohms: 41.2, winding: "start" },
      ],
    ),
    more: [
      { kind: "told", v: 2, about: { speeds: 4, capacitor: "run" } },
      ...plate("new", {
        load: "blower",
        power: "1/5",
        speed: "1075/4SPD",
        volts: "208-230",
        phase: "1",
        hertz: "60",
        amps: "1.3",
        runCapacitor: "5 MFD 440",
      }),
      equipment("air-handler-relay"),
      { kind: "wiring-wish", wish: { speeds: { fan: 2 }, reversed: false } },
      { kind: "unit", unit: FAN_COIL },
      windingAt(21),
      insulation("2026-02-17", 210, 21),
      capacitorTest("5 MFD 440", 2.6),
      {
        kind: "label",
        text: {
          unit: "Harbour office fan coil",
          who: "Maren Osk",
          capacitorMicrofarads: "5",
          capacitorVolts: "440",
        },
      },
    ],
    proof: [
      {
        fault: { cause: "capacitor-weak", at: ["run"], degree: 2.6 },
        mended: "New run capacitor, 5 MFD 440.",
      },
    ],
  },
  {
    demo: "2",
    title: "Ice house condenser fan — new 4-lead motor",
    by: "Petra Quill",
    at: "2026-06-03T13:40:00Z",
    wires: ["BN", "BK", "YE", "BN/WH"],
    network: network(
      [["YE", "BN/WH"], ["BK"], ["BN"]],
      [
        { from: 0, to: 1, ohms: 14.1, winding: "main" },
        { from: 1, to: 2, ohms: 27.6, winding: "start" },
      ],
    ),
    more: [
      { kind: "told", v: 2, about: { speeds: 1, capacitor: "run" } },
      ...plate("old", {
        load: "fan",
        power: "1/4",
        speed: "1075",
        volts: "208-230",
        phase: "1",
        hertz: "60",
        amps: "1.6",
        runCapacitor: "5 MFD 370",
        rotation: "CCW LE",
        bodyDiameter: "5-5/8",
        shaftDiameter: "1/2",
        shaftLength: "5",
        mount: "studs, band",
        enclosure: "air-over",
        position: "up",
        ambient: "60 C",
      }),
      { kind: "place", place: { supplyVolts: 236, inAirStream: true } },
      { kind: "capacitor", choice: { present: "35+5 440" } },
      {
        kind: "capacitor-test",
        test: { label: "35+5 440", half: "fan", by: { way: "meter", microfarads: 3.9 } },
      },
      ...plate("new", {
        load: "fan",
        power: "1/4",
        speed: "1075",
        volts: "208-230",
        phase: "1",
        hertz: "60",
        amps: "1.6",
        runCapacitor: "6 MFD 440",
        rotation: "CCW LE",
      }),
      equipment("condenser-dual"),
      oldLead("old-black", "BK", "contactor.T1"),
      oldLead("old-white", "WH", "contactor.T2"),
      oldLead("old-brown", "BN", "dual.FAN"),
      { kind: "wiring-wish", wish: { plan: "keep-one-dual", speeds: {}, reversed: false } },
      {
        kind: "label",
        text: {
          unit: "Ice house condenser",
          who: "Petra Quill",
          capacitorMicrofarads: "35+6",
          capacitorVolts: "440",
        },
      },
    ],
  },
  {
    demo: "4",
    title: "Net-loft dryer fan — reversible",
    by: "Ilo Brandt",
    at: "2026-08-21T10:05:00Z",
    wires: ["RD", "BU", "WH"],
    network: network(
      [["WH"], ["RD"], ["BU"]],
      [
        { from: 0, to: 1, ohms: 52.4, winding: "main" },
        { from: 0, to: 2, ohms: 52.6, winding: "main" },
      ],
    ),
    more: [
      { kind: "told", v: 2, about: { capacitor: "run", reversible: true } },
      ...plate("old", { speed: "1550", volts: "115", phase: "1", hertz: "60", runCapacitor: "1.5 MFD 370" }),
      equipment("reversing-switch"),
      { kind: "unit", unit: DRYER },
      windingAt(26),
      insulation("2026-08-21", 38, 26),
      capacitorTest("1.5 MFD 370", 1.46),
    ],
    proof: [],
  },
  {
    demo: "7",
    title: "Smokery draught fan — reads to the shell",
    by: "Dov Hask",
    at: "2026-10-09T07:55:00Z",
    wires: ["BK", "WH", "RD", "BN"],
    shellOhms: 1840,
    network: network(
      [["WH"], ["BK"], ["RD"], ["BN"]],
      [
        { from: 0, to: 1, ohms: 12.8, winding: "main" },
        { from: 1, to: 2, ohms: 4.4, winding: "speed" },
        { from: 2, to: 3, ohms: 25.1, winding: "start" },
      ],
    ),
    more: [{ kind: "told", v: 2, about: { capacitor: "run" } }],
  },
  {
    demo: "3",
    title: "Hatchery circulation pump — two voltages",
    by: "Maren Osk",
    at: "2026-07-06T08:20:00Z",
    wires: ["BU:T1", "WH:T2", "OG:T3", "YE:T4", "RD:T8", "BK:T5"],
    network: network(
      [["BU:T1"], ["WH:T2"], ["OG:T3"], ["YE:T4"], ["RD:T8"], ["BK:T5"]],
      [
        { from: 0, to: 1, ohms: 3.2, winding: "half" },
        { from: 2, to: 3, ohms: 3.2, winding: "half" },
        { from: 4, to: 5, ohms: 9.6, winding: "start" },
      ],
    ),
    more: [
      { kind: "told", v: 2, about: { phase: 1, dualVoltage: true, capacitor: "start", speeds: 1 } },
      ...plate("old", {
        load: "pump",
        power: "3/4",
        speed: "3450",
        volts: "115/230",
        phase: "1",
        hertz: "60",
        amps: "11.4/5.7",
        startCapacitor: "324-389 125",
        mount: "face",
        shaftDiameter: "5/8",
        rotation: "CW LE",
      }),
      { kind: "place", place: { supplyVolts: 233 } },
      equipment("pump-pressure-switch"),
    ],
    proof: [
      {
        fault: { cause: "capacitor-open", at: ["start"], degree: 0 },
        mended: "New start capacitor, 324-389 MFD 125.",
      },
    ],
  },
  {
    demo: "5",
    title: "Boatyard spray-booth air mover — two mains",
    by: "Ilo Brandt",
    at: "2026-04-14T14:30:00Z",
    wires: ["BK", "RD", "WH", "YE", "VT"],
    network: network(
      [["WH"], ["BK"], ["RD"], ["YE"], ["VT"]],
      [
        { from: 0, to: 1, ohms: 4.6, winding: "main" },
        { from: 0, to: 2, ohms: 11.9, winding: "main" },
        { from: 3, to: 4, ohms: 17.3, winding: "start" },
      ],
    ),
    more: [
      { kind: "told", v: 2, about: { phase: 1, speeds: 2, capacitor: "start" } },
      ...plate("old", {
        load: "belt",
        power: "1/6, 1/12",
        speed: "1725/1140",
        amps: "2.6",
        volts: "115",
        phase: "1",
        hertz: "60",
        mount: "resilient-base",
        shaftDiameter: "5/8",
      }),
      equipment("two-speed-switch"),
    ],
  },
  {
    demo: "6",
    title: "Fish-hall extract fan — nine leads, no numbers",
    by: "Petra Quill",
    at: "2026-09-02T11:10:00Z",
    wires: ["WH", "BK", "RD", "BU", "BN", "YE", "OG", "VT", "GY"],
    network: network(
      [["WH"], ["BU"], ["BK"], ["BN"], ["RD"], ["YE"], ["OG"], ["VT"], ["GY"], []],
      [
        { from: 0, to: 1, ohms: 6.4, winding: "phase" },
        { from: 2, to: 3, ohms: 6.4, winding: "phase" },
        { from: 4, to: 5, ohms: 6.5, winding: "phase" },
        { from: 6, to: 9, ohms: 6.4, winding: "star" },
        { from: 7, to: 9, ohms: 6.5, winding: "star" },
        { from: 8, to: 9, ohms: 6.4, winding: "star" },
      ],
    ),
    more: [
      { kind: "told", v: 2, about: { phase: 3 } },
      ...plate("old", {
        power: "1-1/2",
        speed: "1740",
        volts: "208-230/460",
        phase: "3",
        hertz: "60",
        frame: "145T",
      }),
      equipment("three-phase-starter"),
    ],
  },
  {
    demo: "8",
    title: "Chandlery air handler — electronic retrofit",
    by: "Petra Quill",
    at: "2026-10-20T09:45:00Z",
    wires: ["BK", "BU", "RD", "WH", "BN"],
    network: network(
      [["WH"], ["BK"], ["BU"], ["RD"], ["BN"]],
      [
        { from: 0, to: 1, ohms: 6.3, winding: "main" },
        { from: 1, to: 2, ohms: 1.9, winding: "speed" },
        { from: 2, to: 3, ohms: 2.4, winding: "speed" },
        { from: 3, to: 4, ohms: 16.8, winding: "start" },
      ],
    ),
    more: [
      { kind: "told", v: 2, about: { phase: 1, speeds: 3, capacitor: "run" } },
      ...plate("old", {
        kind: "plain",
        load: "blower",
        power: "1/2",
        speed: "1075/3SPD",
        volts: "115",
        phase: "1",
        hertz: "60",
        amps: "7.1",
        runCapacitor: "10 MFD 370",
        rotation: "CW LE",
        bodyDiameter: "5-5/8",
        shaftDiameter: "1/2",
        mount: "band",
        enclosure: "open-drip-proof",
      }),
      { kind: "place", place: { supplyVolts: 118, speedsInUse: 2, inAirStream: true, coolingTons: 3 } },
      ...plate("new", { kind: "retrofit", power: "1/2", volts: "115-230" }),
      equipment("electronic-board"),
    ],
  },
  {
    demo: "9",
    title: "Brine pump — potential relay that never drops out",
    by: "Maren Osk",
    at: "2026-11-03T10:15:00Z",
    wires: ["BK", "RD", "WH", "YE"],
    network: network(
      [["BK"], ["WH"], ["RD"], ["YE"]],
      [
        { from: 0, to: 1, ohms: 2.6, winding: "main" },
        { from: 2, to: 3, ohms: 7.9, winding: "start" },
      ],
    ),
    more: [
      { kind: "told", v: 2, about: { phase: 1, capacitor: "start", speeds: 1 } },
      ...plate("old", {
        load: "pump",
        power: "1",
        speed: "3450",
        volts: "230",
        phase: "1",
        hertz: "60",
        amps: "8.2",
        startCapacitor: "88-108 330",
        mount: "face",
      }),
      insulation("2026-02-11", 160, 18),
      insulation("2026-06-17", 61, 26),
      insulation("2026-11-03", 34, 15),
      equipment("start-capacitor-relay"),
      { kind: "wire-off", wire: "relay-to-line", off: true },
    ],
  },
  {
    demo: "10",
    title: "Smokery fan — read hot, fine an hour later",
    by: "Dov Hask",
    at: "2026-11-12T15:05:00Z",
    wires: ["WH", "BK", "BU", "BN"],
    hot: true,
    network: network(
      [["WH"], ["BK"], ["BU"], ["BN"]],
      [
        { from: 0, to: 1, ohms: 19.7, winding: "main" },
        { from: 1, to: 2, ohms: 5.2, winding: "speed" },
        { from: 2, to: 3, ohms: 36.4, winding: "start" },
      ],
    ),
    more: [{ kind: "told", v: 2, about: { capacitor: "run", speeds: 2 } }],
  },
];

function typedOf(shown: OhmsShown): { typed: string; ohms?: number; open?: true } {
  if ("open" in shown) return { typed: "OL", open: true };
  const typed = shown.ohms >= 1000 ? `${shown.ohms / 1000}k` : shown.ohms.toFixed(1);
  return { typed, ohms: shown.ohms };
}

/** An earlier visit to a unit: the same motor at another temperature, with what was measured then. */
function earlier(
  of: string,
  visit: {
    n: number;
    at: string;
    by: string;
    title: string;
    windingC: number;
    motorsC: number;
    more: FactBody[];
  },
): Unit {
  const unit = units.find(({ demo }) => demo === of);
  if (!unit) throw new Error(`there is no unit ${of}`);
  const warm = (ZERO_OHMS_C + visit.windingC) / (ZERO_OHMS_C + visit.motorsC);
  const kept = unit.more.filter(
    ({ kind }) => kind !== "insulation" && kind !== "capacitor-test" && kind !== "conditions",
  );
  return {
    ...unit,
    demo: `${VISIT_DEMO}${of}${visit.n}`,
    title: visit.title,
    by: visit.by,
    at: visit.at,
    network: {
      ...unit.network,
      sections: unit.network.sections.map((section) => ({ ...section, ohms: section.ohms * warm })),
    },
    more: [...kept, windingAt(visit.windingC), ...visit.more],
    proof: [],
  };
}

/** Copper has no ohms left at so many °C below zero (IEC 60034-1). */
const ZERO_OHMS_C = 234.5;
/** How the names of demo jobs begin that are earlier visits. */
const VISIT_DEMO = "visit-";

/** Earlier visits of two units, so that trends have something to show. */
const visits = () => [
  earlier("1", {
    n: 1,
    at: "2025-02-20T10:15:00Z",
    by: "Ilo Brandt",
    title: "Fan coil, yearly service",
    windingC: 19,
    motorsC: 21,
    more: [insulation("2025-02-20", 640, 19), capacitorTest("5 MFD 440", 5.02)],
  }),
  earlier("1", {
    n: 2,
    at: "2025-09-11T08:40:00Z",
    by: "Maren Osk",
    title: "Fan coil, little air on the top speed",
    windingC: 27,
    motorsC: 21,
    more: [insulation("2025-09-11", 480, 27), capacitorTest("5 MFD 440", 4.66)],
  }),
  earlier("4", {
    n: 1,
    at: "2025-08-14T13:05:00Z",
    by: "Petra Quill",
    title: "Dryer, yearly service",
    windingC: 31,
    motorsC: 26,
    more: [insulation("2025-08-14", 160, 31), capacitorTest("1.5 MFD 370", 1.49)],
  }),
  earlier("4", {
    n: 2,
    at: "2026-02-05T09:30:00Z",
    by: "Petra Quill",
    title: "Dryer, squeals when cold",
    windingC: 12,
    motorsC: 26,
    more: [insulation("2026-02-05", 95, 12), capacitorTest("1.5 MFD 370", 1.48)],
  }),
];

function factsOf(unit: Unit): { id: string; demo: string; facts: Fact[] } {
  const random = seededRandom(1000 + Number(unit.demo.replace(/\D+/g, "")));
  const meter = ohmmeter(unit.network, METER, random);
  let ms = Date.parse(unit.at);
  const id = uuidAt(ms, random);
  const facts: Fact[] = [];
  const say = (body: FactBody) => {
    ms += 9000 + Math.floor(random() * 8000);
    facts.push({ id: uuidAt(ms, random), at: new Date(ms).toISOString(), by: unit.by, body });
  };
  say({ kind: "title", title: unit.title });
  const leads: Lead[] = unit.wires.map((wire) => ({ id: uuidAt(ms, random), ...parseLeadEntry(wire) }));
  for (const lead of leads) say({ kind: "lead", lead });
  const told = unit.more.find((body) => body.kind === "told");
  if (told) say(told);
  const wireOf = (lead: string) => unit.wires[leads.findIndex((l) => l.id === lead)] ?? "";
  const readings: { between: [string, string]; ohms?: number; open?: true }[] = [];
  const frame: { lead: string; ohms?: number; open?: true }[] = [];
  if (unit.hot) {
    const between: [string, string] = [leads[0]?.id ?? "", leads[1]?.id ?? ""];
    say({ kind: "pair-reading", between, typed: "OL", open: true });
    say({ kind: "cooling", leads: between });
    ms += 3_600_000;
    const shown = meter(wireOf(between[0]), wireOf(between[1]));
    readings.push({ between, ...shown });
    say({ kind: "pair-reading", between, ...typedOf(shown) });
  }
  for (;;) {
    const sheet = {
      format: "odd-lead/reading-sheet@1",
      leads,
      readings: readings.map(({ between, ohms, open }) => (open ? { between, open } : { between, ohms })),
      frame,
      about: told?.kind === "told" ? told.about : {},
    };
    const answer = identify(sheet);
    if (!answer.ok) throw new Error(JSON.stringify(answer.faults));
    const probe = answer.nextProbe;
    if (!probe) break;
    if (probe.kind === "frame") {
      const shown = unit.shellOhms === undefined ? ({ open: true } as const) : { ohms: unit.shellOhms };
      frame.push({ lead: probe.lead, ...shown });
      say({ kind: "shell-reading", lead: probe.lead, ...typedOf(shown) });
    } else {
      const shown = meter(wireOf(probe.between[0]), wireOf(probe.between[1]));
      readings.push({ between: probe.between, ...shown });
      say({ kind: "pair-reading", between: probe.between, ...typedOf(shown) });
    }
  }
  for (const body of unit.more) if (body.kind !== "told") say(body);
  if (unit.proof) prove(unit, facts, say, random);
  return { id, demo: unit.demo, facts };
}

const SOUND: PoweredFault = { cause: "as-planned", at: [], degree: 0 };
const MOST_CHECKS = 20;

/** The proof of a unit on a virtual machine, led check by check; signed once it is proved good. */
function prove(
  unit: Unit,
  facts: readonly Fact[],
  say: (body: FactBody) => void,
  random: () => number,
): void {
  const { wiring } = planned(facts);
  if (wiring.kind !== "plan") throw new Error(`unit ${unit.demo} has nothing to prove: ${wiring.kind}`);
  for (const step of planSteps(wiring.plan, wiring.leads))
    if (step.kind !== "look") say({ kind: "tick", step: stepTick(wiring.plan, step.id), done: true });
  const rounds = [...(unit.proof ?? []), { fault: SOUND, mended: "" }];
  for (const { fault, mended } of rounds) {
    const machine = poweredAs(facts, fault, random);
    let seen = diagnosed(facts);
    for (let check = 0; seen.nextCheck && check < MOST_CHECKS; check++) {
      const shown = machine.observe(seen.nextCheck);
      if (!shown) break;
      say({ kind: "proof-seen", seen: shown });
      seen = diagnosed(facts);
    }
    const [first] = seen.causes;
    console.log(unit.demo, seen.status, first?.cause, first?.probability);
    if (mended !== "" && first) say({ kind: "proof-mended", cause: first.cause, mended });
    else if (seen.status === "good") say({ kind: "proof-signed", signed: true, unseen: [] });
    else throw new Error(`unit ${unit.demo} is not proved good: ${seen.status}`);
  }
}

/** The job of the facts so far, with its motor and its plan. */
function planned(facts: readonly Fact[]) {
  const job = deriveJob(facts);
  const answer = identify(sheetOf(job));
  if (!answer.ok) throw new Error(JSON.stringify(answer.faults));
  return { job, answer, wiring: jobWiring(job, answer) };
}

function diagnosed(facts: readonly Fact[]): Diagnosis {
  const { job, answer, wiring } = planned(facts);
  const seen = diagnose(provingSheetOf(job, answer, wiring));
  if (!seen.ok) throw new Error(JSON.stringify(seen.faults));
  return seen;
}

/** The machine of the plan, as its fit has it, with a fault. */
function poweredAs(facts: readonly Fact[], fault: PoweredFault, random: () => number): PoweredMachine {
  const { job, answer, wiring } = planned(facts);
  if (wiring.kind !== "plan") throw new Error(`nothing is planned: ${wiring.kind}`);
  const { motor, fitted, plan } = wiring;
  const states = statesOf(plan.compartment).filter(({ calls }) => calls.length === 1);
  const built = { known: answer, leads: job.leads, plate: {}, motor, truth: fitted };
  return poweredMachine(
    { plan, built, random, capacitors: capacitorsInCircuit({ plan, motor, fitted, states }) },
    fault,
  );
}

const jobs = [...units, ...visits()].map(factsOf);
writeFileSync("src/server/demo/jobs.json", `${JSON.stringify(jobs, null, 1)}\n`);
for (const job of jobs) console.log(job.demo, job.facts.length, "facts");
