/**
 * Makes the demo jobs: motors of the invented harbour, their readings taken on the virtual bench in the order the
 * identification asks for them, frozen as facts in src/server/demo/jobs.json. Run it only to change the demo world.
 */
import { writeFileSync } from "node:fs";
import type { Fact, FactBody, Lead, OhmsShown } from "../src/core";
import { identify, parseInsulation } from "../src/core";
import { type Network, ohmmeter, type Random, seededRandom } from "../src/core/bench";

interface Unit {
  readonly demo: string;
  readonly title: string;
  readonly by: string;
  readonly at: string;
  readonly wires: readonly string[];
  readonly network: Network;
  readonly shellOhms?: number;
  readonly more: readonly FactBody[];
}

const METER = { percent: 1, counts: 2, resolutionOhms: 0.1, probeOhms: 0 };

/** Junctions are listed by the wires on them; sections join junctions by index. */
function network(junctions: readonly (readonly string[])[], sections: Network["sections"]): Network {
  const leadAt = new Map(
    junctions.flatMap((wires, junction) => wires.map((wire) => [wire, junction] as const)),
  );
  return { junctions: junctions.length, sections, leadAt };
}

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
      { kind: "told", told: { speeds: 4, capacitor: "run" } },
      { kind: "landing", choice: { supply: "208-230-two-lines", capacitor: "own", speed: 2 } },
      {
        kind: "label",
        text: {
          unit: "Harbour office fan coil",
          who: "Maren Osk",
          capacitorMicrofarads: "7.5",
          capacitorVolts: "440",
        },
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
        { from: 0, to: 1, ohms: 21.3, winding: "main" },
        { from: 1, to: 2, ohms: 38.9, winding: "start" },
      ],
    ),
    more: [
      { kind: "told", told: { speeds: 1, capacitor: "run" } },
      { kind: "landing", choice: { supply: "208-230-two-lines", capacitor: "dual-fan", speed: 1 } },
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
    more: [{ kind: "told", told: { capacitor: "run", reversible: true } }],
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
    more: [{ kind: "told", told: { capacitor: "run" } }],
  },
];

/** A UUIDv7 of a given moment, its random part from the seed: ids sort by time as the product's own do. */
function uuidAt(ms: number, random: Random): string {
  const hex = (digits: number) =>
    Array.from({ length: digits }, () => Math.floor(random() * 16).toString(16)).join("");
  const time = ms.toString(16).padStart(12, "0");
  return `${time.slice(0, 8)}-${time.slice(8)}-7${hex(3)}-8${hex(3)}-${hex(12)}`;
}

function typedOf(shown: OhmsShown): { typed: string; ohms?: number; open?: true } {
  if ("open" in shown) return { typed: "OL", open: true };
  const typed = shown.ohms >= 1000 ? `${shown.ohms / 1000}k` : shown.ohms.toFixed(1);
  return { typed, ohms: shown.ohms };
}

function factsOf(unit: Unit): { id: string; demo: string; facts: Fact[] } {
  const random = seededRandom(1000 + Number(unit.demo));
  const meter = ohmmeter(unit.network, METER, random);
  let ms = Date.parse(unit.at);
  const id = uuidAt(ms, random);
  const facts: Fact[] = [];
  const say = (body: FactBody) => {
    ms += 9000 + Math.floor(random() * 8000);
    facts.push({ id: uuidAt(ms, random), at: new Date(ms).toISOString(), by: unit.by, body });
  };
  say({ kind: "title", title: unit.title });
  const leads: Lead[] = unit.wires.map((wire) => ({ id: uuidAt(ms, random), ...parseInsulation(wire) }));
  for (const lead of leads) say({ kind: "lead", lead });
  const told = unit.more.find((body) => body.kind === "told");
  if (told) say(told);
  const wireOf = (lead: string) => unit.wires[leads.findIndex((l) => l.id === lead)] ?? "";
  const readings: { between: [string, string]; ohms?: number; open?: true }[] = [];
  const frame: { lead: string; ohms?: number; open?: true }[] = [];
  for (;;) {
    const sheet = {
      format: "odd-lead/reading-sheet@1",
      leads,
      readings: readings.map(({ between, ohms, open }) => (open ? { between, open } : { between, ohms })),
      frame,
      about: told?.kind === "told" ? told.told : {},
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
  return { id, demo: unit.demo, facts };
}

const jobs = units.map(factsOf);
writeFileSync("src/server/demo/jobs.json", `${JSON.stringify(jobs, null, 1)}\n`);
for (const job of jobs) console.log(job.demo, job.facts.length, "facts");
