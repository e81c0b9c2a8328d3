import { PLATE_FIELDS } from "./fields";
import type { PlateFieldId } from "./plateField";
import type { TypedPlate } from "./readPlate";

/** A whole plate typed in one line, taken apart. */
export interface PlateLine {
  readonly typed: TypedPlate;
  /** What nobody could place, as it was typed; empty where all was understood. */
  readonly left: string;
}

const N = String.raw`\d+(?:[.,]\d+)?`;

/** Each field by how plates mark it, the surest marks first: what one has taken the next does not see. */
const PIECES: readonly {
  readonly field: PlateFieldId;
  readonly pattern: RegExp;
  readonly as?: (match: string) => string;
}[] = [
  {
    field: "startCapacitor",
    pattern: /\b\d{2,4}\s*-\s*\d{2,4}\s*(?:µf|uf|mfd)\b\s*\/?\s*(?:\d{3}\s*v?(?:ac)?\b)?/i,
  },
  {
    field: "runCapacitor",
    pattern: new RegExp(
      String.raw`\b${N}(?:\s*[+/]\s*${N})?\s*(?:µf|uf|mfd)\b\s*[/@]?\s*(?:\d{3}\s*v?(?:ac)?\b)?`,
      "i",
    ),
  },
  {
    field: "rotation",
    pattern:
      /\b(?:ccw|acw|cw)\s*[/&]\s*(?:ccw|acw|cw)\b|\b(?:ccw|acw|cw)[\s,]*(?:le|se|lead ?end|shaft ?end)?\b|\breversible\b|\brev\b/i,
  },
  {
    field: "insulationClass",
    pattern: /\b(?:ins(?:ulation)?\.?\s*)?cl(?:ass)?\.?\s*[abfh]\b/i,
    as: (text) => text.slice(-1).toUpperCase(),
  },
  {
    field: "serviceFactor",
    pattern: /\bs\.?f\.?\s*:?\s*\d\.\d+|\b\d\.\d+\s*s\.?f\b\.?/i,
    as: (text) => /\d\.\d+/.exec(text)?.[0] ?? "",
  },
  {
    field: "phase",
    pattern: /\b[13]\s*(?:ph(?:ase)?|ø|φ)(?![a-z])\.?|\bph\s*[13]\b|\b(?:single|three)[\s-]?phase\b/i,
    as: (text) => (/3|three/i.test(text) ? "3" : "1"),
  },
  { field: "hertz", pattern: /\b[56]0(?:\s*\/\s*[56]0)?\s*(?:hz|hertz|cy(?:cles)?)\b/i },
  {
    field: "lockedRotorAmps",
    pattern: new RegExp(String.raw`\blra\s*:?\s*${N}|\b${N}\s*lra\b`, "i"),
    as: figureOf,
  },
  {
    field: "power",
    pattern:
      /(?:(?:\d+[\s-])?\d{1,2}\/\d{1,2}\s*(?:,|-|to)\s*)*(?:(?:\d+[\s-])?\d{1,2}\/\d{1,2}|\d+(?:[.,]\d+)?|\.\d+)\s*(?:hp|kw)\b/i,
  },
  { field: "power", pattern: /\b\d{2,4}\s*(?:w|watts?)\b/i },
  {
    field: "speed",
    pattern:
      /\b\d{3,4}\s*(?:rpm|r\/min)?\s*[/-]?\s*\d{1,2}\s*-?\s*(?:spd|speeds?|sp)\b|\b\d{3,4}(?:\s*\/\s*\d{3,4})*\s*(?:rpm|r\/min)\b/i,
  },
  { field: "volts", pattern: /\b\d{2,3}(?:\s*[-/]\s*\d{2,3}){0,2}\s*v(?:olts?|ac)?\b/i },
  {
    field: "volts",
    pattern: /\b(?:115|120|200|208|220|230|240|277|460|575)(?:\s*[-/]\s*(?:115|208|220|230|240|460))+\b/,
  },
  {
    field: "amps",
    pattern: new RegExp(
      String.raw`\bf\.?l\.?a\.?\s*:?\s*${N}(?:\s*\/\s*${N})?|\b${N}(?:\s*\/\s*${N})?\s*(?:f\.?l\.?a\b\.?|amps?\b|a\b)`,
      "i",
    ),
    as: figuresOf,
  },
  {
    field: "frame",
    pattern: /\bfr(?:ame)?\.?\s*:?\s*\d{2,3}[a-z]{0,3}\b/i,
    as: (text) => text.replace(/^fr(?:ame)?\.?\s*:?\s*/i, ""),
  },
  {
    field: "ambient",
    pattern: /\b(?:amb(?:ient)?\.?\s*:?\s*)?\d{2,3}\s*°?\s*[cf]\b(?:\s*amb(?:ient)?\b)?/i,
    as: (text) => /\d{2,3}\s*°?\s*[cf]/i.exec(text)?.[0] ?? "",
  },
  { field: "frame", pattern: /\b(?:42|48|56|143|145|182|184)(?:y|yz|z|c|h|hz|j|t)\b/i },
  { field: "poles", pattern: /\b\d{1,2}\s*-?\s*(?:poles?|p)\b/i, as: figureOf },
  { field: "enclosure", pattern: /\bteao\b|\bair[\s-]?over\b/i, as: () => "air-over" },
  { field: "enclosure", pattern: /\btefc\b/i, as: () => "fan-cooled" },
  { field: "enclosure", pattern: /\btenv\b/i, as: () => "non-ventilated" },
  { field: "enclosure", pattern: /\bodp\b|\bopen\b/i, as: () => "open-drip-proof" },
  { field: "bearings", pattern: /\bsleeve\b|\bball\b/i, as: (text) => text.toLowerCase() },
  { field: "protector", pattern: /\bthermally protected\b|\bauto(?:matic)?\b/i, as: () => "auto" },
  { field: "protector", pattern: /\bmanual\b/i, as: () => "manual" },
];

/**
 * Takes a plate typed in one line apart, by the marks that plates carry: "1/3 HP 1075/3SPD 208-230V 60HZ 1PH 2.6A 5MFD
 * 370V CWLE". A piece that its field cannot read stays with what is left, so that nothing is swallowed.
 */
export function readPlateLine(line: string): PlateLine {
  const typed: Partial<Record<PlateFieldId, string>> = {};
  let rest = line;
  for (const { field, pattern, as = (text: string) => text } of PIECES) {
    if (typed[field] !== undefined) continue;
    const [found] = pattern.exec(rest) ?? [];
    if (found === undefined) continue;
    const text = as(found).trim();
    // A turn without its end is kept as typed: its own field then asks for the end.
    if (field !== "rotation" && !PLATE_FIELDS.find(({ id }) => id === field)?.read(text).ok) continue;
    typed[field] = text;
    rest = rest.replace(found, " | ");
  }
  const left = rest
    .split(/[|,;]+/)
    .map((piece) => piece.trim().replace(/\s+/g, " "))
    .filter((piece) => /[\p{L}\p{N}]/u.test(piece));
  // A lone figure left over in the hundreds or thousands can only be the rpm.
  const rpm = left.findIndex(
    (piece) => /^\d{3,4}$/.test(piece) && Number(piece) >= 400 && Number(piece) <= 3600,
  );
  if (typed.speed === undefined && rpm >= 0) [typed.speed] = left.splice(rpm, 1);
  return { typed, left: left.join(", ") };
}

function figureOf(text: string): string {
  return /\d+(?:[.,]\d+)?/.exec(text)?.[0] ?? "";
}

function figuresOf(text: string): string {
  return /\d+(?:[.,]\d+)?(?:\s*\/\s*\d+(?:[.,]\d+)?)?/.exec(text)?.[0] ?? "";
}
