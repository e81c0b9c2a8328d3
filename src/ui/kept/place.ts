import { isStage, type Stage } from "../job/stages";

/** Where an address of ours leads. */
export type KeptPlace =
  | {
      readonly at:
        | "home"
        | "practice"
        | "practice-wiring"
        | "practice-fault"
        | "stock"
        | "truck"
        | "files"
        | "words"
        | "start"
        | "nowhere";
    }
  | { readonly at: "unit"; readonly unit: string }
  | { readonly at: "job"; readonly job: string; readonly stage: Stage };

const UNIT = /^\/units\/([0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12})\/?$/i;
const JOB = /^\/jobs\/([0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12})\/([a-z]+)\/?$/i;

/** The place of an address, for a page that has to find out by itself what it stands for. */
export function placeOf(path: string): KeptPlace {
  const [, job, stage] = JOB.exec(path) ?? [];
  if (job && stage && isStage(stage)) return { at: "job", job: job.toLowerCase(), stage };
  const [, unit] = UNIT.exec(path) ?? [];
  if (unit) return { at: "unit", unit: unit.toLowerCase() };
  switch (path.replace(/\/+$/, "")) {
    case "":
    case "/kept":
      return { at: "home" };
    case "/practice":
      return { at: "practice" };
    case "/practice/wiring":
      return { at: "practice-wiring" };
    case "/practice/fault":
      return { at: "practice-fault" };
    case "/stock":
      return { at: "stock" };
    case "/start":
      return { at: "start" };
    case "/words":
      return { at: "words" };
    case "/files":
      return { at: "files" };
    case "/truck":
      return { at: "truck" };
    default:
      return { at: "nowhere" };
  }
}
