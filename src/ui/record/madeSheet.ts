import {
  type Fact,
  type Identification,
  type Job,
  type JobWiring,
  jobSheet,
  type LabelContent,
  provingSheetOf,
  sealState,
} from "@/core";
import { diagnose } from "@/core/proving";
import { wiringDrawing } from "@/core/wiring";
import { localDay } from "../parts/useLocalDay";
import { type Paper, type SheetMaterial, sheetPdf } from "./sheetPdf";

/** What a sheet is made of. */
interface Made extends Pick<SheetMaterial, "looks" | "photo"> {
  readonly job: Job;
  readonly facts: readonly Fact[];
  readonly answer: Identification | null;
  readonly wiring: JobWiring;
  readonly label: LabelContent;
  /** A sentence of ours in the words that are shown. */
  readonly say: (text: string) => string;
}

/** The job's sheet as PDF with its proof weighed anew: brought with all that it needs when somebody asks for it. */
export function madeSheet(
  paper: Paper,
  { job, facts, answer, wiring, label, say, looks, photo }: Made,
): Promise<Uint8Array> {
  const proved = provingSheetOf(job, answer, wiring);
  const diagnosis = proved ? diagnose(proved) : null;
  const sheet = jobSheet({
    job,
    wiring,
    label,
    diagnosis: diagnosis?.ok ? diagnosis : null,
    seal: sealState(facts),
    short: looks.name,
    say,
    nameOf: looks.nameOf,
    today: localDay(new Date()),
    dayOf: localDay,
  });
  const drawn = wiring.kind === "plan" || wiring.kind === "retrofit" ? wiring : null;
  return sheetPdf(sheet, paper, {
    drawing: drawn ? wiringDrawing(drawn.plan, drawn.leads) : null,
    looks,
    photo,
  });
}
