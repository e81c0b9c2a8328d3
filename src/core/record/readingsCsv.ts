import Papa from "papaparse";
import { leadNames } from "../motor/lead";
import type { Job } from "./job";

const HEAD = ["from", "to", "typed", "ohms", "open", "standing"] as const;

/** The readings of a job as CSV, in the order taken, those struck through marked; cells that a spreadsheet would run are text. */
export function readingsCsv(job: Pick<Job, "leads" | "pairReadings" | "shellReadings">): string {
  const names = leadNames(job.leads);
  const name = (id: string) => names.get(id)?.short ?? id;
  const rows = [
    ...job.pairReadings.map(({ between: [a, b], ...reading }) => [name(a), name(b), ...shown(reading)]),
    ...job.shellReadings.map(({ lead, ...reading }) => [name(lead), "shell", ...shown(reading)]),
  ];
  return `${Papa.unparse([[...HEAD], ...rows], { escapeFormulae: true, newline: "\r\n" })}\r\n`;
}

function shown({
  typed,
  shown,
  standing,
}: Pick<Job["pairReadings"][number], "typed" | "shown" | "standing">) {
  return [
    typed,
    "open" in shown ? "" : String(shown.ohms),
    "open" in shown ? "yes" : "no",
    standing ? "yes" : "no",
  ];
}
