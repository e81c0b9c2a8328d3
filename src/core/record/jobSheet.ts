import type { Diagnosis } from "../proving/diagnosis";
import type { ProvingObservation } from "../proving/observation";
import type { DayOf } from "../quantity/day";
import { formatOhms } from "../quantity/ohms";
import { CORE_VERSION } from "../version";
import { placeName } from "../wiring/compartment";
import { FRAME } from "../wiring/plan";
import type { Job } from "./job";
import { jobHeading } from "./jobSummary";
import type { JobWiring } from "./jobWiring";
import type { LabelContent } from "./label";
import type { SealState } from "./seal";

/** A part of a job's sheet, top to bottom. */
export type SheetPart =
  | { readonly kind: "heading"; readonly text: string }
  | { readonly kind: "text"; readonly text: string }
  /** What has to catch the eye: overrides, stopgaps, stops. */
  | { readonly kind: "boxed"; readonly lines: readonly string[] }
  | { readonly kind: "pairs"; readonly rows: readonly (readonly [label: string, text: string])[] }
  | {
      readonly kind: "table";
      readonly head: readonly string[];
      readonly rows: readonly (readonly string[])[];
      /** Shares of the width, one for each column. */
      readonly widths: readonly number[];
    }
  | { readonly kind: "drawing" }
  | { readonly kind: "photos"; readonly ids: readonly string[] };

/** A sheet of a job: what stands on each page beside the parts. */
export interface JobSheet {
  readonly title: string;
  /** Under the title and on every page: unit, day, who. */
  readonly line: string;
  readonly parts: readonly SheetPart[];
}

/** What a sheet is made of. */
export interface SheetAsk {
  readonly job: Job;
  readonly wiring: JobWiring;
  readonly label: LabelContent;
  readonly diagnosis: Diagnosis | null;
  readonly seal: SealState;
  readonly short: (lead: string) => string;
  /** A sentence of ours in the words that are shown. */
  readonly say: (text: string) => string;
  /** A place of the equipment in those words. */
  readonly nameOf: (place: string) => string;
  /** The day as it is where the sheet is made, and of any moment there. */
  readonly today: string;
  readonly dayOf: DayOf;
}

const MOST_PHOTOS = 4;

/** The sheet that stays with the office: identity, photos, readings, leads, drawing, changes, proof, overrides, signature. */
export function jobSheet(ask: SheetAsk): JobSheet {
  const { job, label, today, dayOf } = ask;
  const { unit } = job;
  const place = unit ? [unit.name, unit.position, unit.site].filter((part) => part !== "").join(", ") : "";
  return {
    title: jobHeading(job),
    line: [place, job.lastAt ? dayOf(job.lastAt) : today, label.who]
      .filter((part) => part !== "")
      .join(" · "),
    parts: [
      ...identityPart(ask),
      ...boxedPart(ask),
      ...photosPart(job),
      ...readingsPart(ask),
      ...leadsPart(label),
      ...drawingPart(ask),
      ...proofPart(ask),
      ...partsPart(job),
      ...signaturePart(ask),
    ],
  };
}

function identityPart({ job, label }: SheetAsk): SheetPart[] {
  const { unit, plates } = job;
  const typed = Object.keys(plates.new).length > 0 ? plates.new : plates.old;
  const plate = Object.values(typed).filter((text) => text !== "");
  const rows: [string, string][] = [
    ["Customer", unit?.customer ?? ""],
    ["Site", unit?.site ?? ""],
    ["Unit", unit ? [unit.name, unit.position].filter((part) => part !== "").join(", ") : label.unit],
    ["Equipment", job.compartment?.title ?? ""],
    ["Plate", plate.join(", ")],
    ["State", label.supply],
    ["Capacitor", label.capacitor],
  ];
  return [{ kind: "pairs", rows: rows.filter(([, text]) => text !== "") }];
}

/** Whatever was done against a verdict, and what is only for the time being. */
function boxedPart({ job, label }: SheetAsk): SheetPart[] {
  const { signed } = job.proof;
  const lines = [
    ...(job.ready?.override ? [`Plan against the check, because: ${job.ready.override}`] : []),
    ...(signed?.override ? [`Signed against the verdict, because: ${signed.override}`] : []),
    ...(signed && signed.unseen.length > 0 ? [`Not seen: ${signed.unseen.join(" ")}`] : []),
    ...(label.assumed === "" ? [] : [`Assumed still: ${label.assumed}.`]),
  ];
  return lines.length > 0 ? [{ kind: "boxed", lines }] : [];
}

function photosPart({ photos }: Job): SheetPart[] {
  const ids = photos.slice(0, MOST_PHOTOS).map(({ id }) => id);
  return ids.length > 0
    ? [
        { kind: "heading", text: "Before" },
        { kind: "photos", ids },
      ]
    : [];
}

function readingsPart({ job, short }: SheetAsk): SheetPart[] {
  const { meter, conditions, pairReadings, shellReadings, insulation } = job;
  const rows = [
    ...pairReadings
      .filter(({ standing }) => standing)
      .map(({ between, shown }) => [between.map(short).join(" to "), ohms(shown, meter.resolutionOhms)]),
    ...shellReadings
      .filter(({ standing }) => standing)
      .map(({ lead, shown }) => [`${short(lead)} to the shell`, ohms(shown, meter.resolutionOhms)]),
    ...insulation.map(({ on, megohms, orMore, testVolts }) => [
      `Insulation, ${on}`,
      `${megohms}${orMore ? " or more" : ""} MΩ at ${testVolts} V`,
    ]),
  ];
  if (rows.length === 0) return [];
  const warm =
    conditions.windingC === undefined
      ? "winding’s temperature not told"
      : `winding at ${conditions.windingC} °C`;
  return [
    { kind: "heading", text: "Readings" },
    {
      kind: "text",
      text: `Meter ${meter.percent} % + ${meter.counts} counts of ${meter.resolutionOhms} Ω, ${warm}.`,
    },
    { kind: "table", head: ["Between", "Read"], rows, widths: [0.6, 0.4] },
  ];
}

function ohms(shown: Job["pairReadings"][number]["shown"], resolution: number): string {
  return "open" in shown ? "open" : formatOhms(shown.ohms, resolution);
}

function leadsPart({ rows }: LabelContent): SheetPart[] {
  if (rows.length === 0) return [];
  return [
    { kind: "heading", text: "Leads" },
    {
      kind: "table",
      head: ["Lead", "What it is", "Goes to"],
      rows: rows.map(({ wire, role, to }) => [wire, role, to]),
      widths: [0.2, 0.35, 0.45],
    },
  ];
}

function drawingPart({ wiring, short, nameOf }: SheetAsk): SheetPart[] {
  if (wiring.kind !== "plan" && wiring.kind !== "retrofit") return [];
  const { plan, asMade } = wiring;
  const moved = Object.entries(plan.landings).filter(
    ([lead, to]) => lead !== FRAME && asMade.landings[lead] !== to,
  );
  return [
    { kind: "heading", text: plan.title },
    { kind: "drawing" },
    ...(moved.length > 0
      ? ([
          {
            kind: "boxed",
            lines: moved.map(
              ([lead, to]) =>
                `Changed by hand: ${short(lead)} on ${nameOf(placeName(plan.compartment, to))} in place of ${nameOf(placeName(plan.compartment, asMade.landings[lead] ?? ""))}`,
            ),
          },
        ] as const)
      : []),
  ];
}

const FIGURE_WORDS = {
  "line-amps": ["Amps", "A"],
  "start-amps": ["Amps at power", "A"],
  "capacitor-amps": ["Amps into the capacitor", "A"],
  "capacitor-volts": ["Volts across the capacitor", "V"],
  rpm: ["Speed", "rpm"],
  "start-seconds": ["Up to speed", "s"],
} as const;

/** What was to be expected, and what was seen with its verdict. */
function proofPart({ job, diagnosis, short, say, wiring, dayOf }: SheetAsk): SheetPart[] {
  if (!diagnosis) return [];
  const calls = wiring.kind === "plan" ? wiring.plan.compartment.calls : [];
  const call = (id: string) => calls.find((one) => one.id === id)?.name ?? id;
  const figure = (value: number) => String(Number(value.toPrecision(3)));
  const expected = diagnosis.expected.map((one): string[] => {
    if (one.what === "turn") return [call(one.call), "Turns", one.says, ""];
    const [words, unit] = FIGURE_WORDS[one.what];
    const at = "lead" in one ? `, ${short(one.lead)}` : "at" in one ? `, ${one.at.toUpperCase()}` : "";
    return [
      call(one.call),
      `${words}${at}`,
      `${figure(one.low)} to ${figure(one.high)} ${unit}`,
      figure(one.likely),
    ];
  });
  const seen = job.proof.seen.map(({ seen: one }, i): string[] => {
    const line = diagnosis.lines.find(({ observation }) => observation === i);
    return [String(i + 1), line ? VERDICT[line.verdict] : "", say(line?.says ?? seenWords(one))];
  });
  const mended = job.proof.rounds.map(({ at, mended: what }) => `Mended ${dayOf(at)}: ${what}`);
  return [
    { kind: "heading", text: "Expected" },
    {
      kind: "table",
      head: ["Call", "What", "Between", "Likely"],
      rows: expected,
      widths: [0.2, 0.34, 0.32, 0.14],
    },
    ...(seen.length > 0
      ? ([
          { kind: "heading", text: "Proof" },
          { kind: "table", head: ["", "Verdict", "Seen"], rows: seen, widths: [0.06, 0.16, 0.78] },
        ] as const)
      : []),
    ...mended.map((text) => ({ kind: "text", text }) as const),
  ];
}

const VERDICT = { good: "good", again: "look again", stop: "STOP" } as const;

function seenWords(one: ProvingObservation): string {
  return one.what.replaceAll("-", " ");
}

function partsPart({ used }: Job): SheetPart[] {
  if (used.length === 0) return [];
  return [
    { kind: "heading", text: "Parts" },
    {
      kind: "table",
      head: ["Part", "Pieces"],
      rows: used.map(({ name, count }) => [name, String(count)]),
      widths: [0.8, 0.2],
    },
  ];
}

function signaturePart({ job, seal, dayOf }: SheetAsk): SheetPart[] {
  const { signed } = job.proof;
  return [
    { kind: "heading", text: "Signature" },
    {
      kind: "text",
      text: signed ? `Signed off by ${signed.by || "nobody named"}, ${dayOf(signed.at)}.` : "Not signed off.",
    },
    { kind: "text", text: sealWords(seal, dayOf) },
    {
      kind: "text",
      text: `Judged by version ${CORE_VERSION}. The plate, the maker’s drawing and local code come before this sheet.`,
    },
  ];
}

function sealWords(seal: SealState, dayOf: DayOf): string {
  if (seal.kind === "none") return "Not sealed.";
  const over = `Sealed ${dayOf(seal.at)} over ${seal.facts} entries by version ${seal.version}`;
  const holds = { holds: "holds", broken: "BROKEN", "other-version": "cannot be told by this version" }[
    seal.kind
  ];
  return `${over}: ${holds}. ${seal.later === 0 ? "Nothing" : String(seal.later)} entered since.`;
}
