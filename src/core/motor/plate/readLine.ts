import { type Fault, fault } from "../../quantity/fault";
import { parseNumber } from "../../quantity/number";
import { PLATE_FIELDS } from "./fields";
import { plateDoubts } from "./plateDoubts";
import type { PlateFieldId } from "./plateField";
import { type LabelKind, type PlateToken, plainPlate, plateTokens } from "./plateTokens";
import { readPlate, type TypedPlate } from "./readPlate";

/** A whole plate typed in one line, taken apart. */
export interface PlateLine {
  readonly typed: TypedPlate;
  /** What nobody could place, as it was typed; empty where all was understood. */
  readonly left: string;
  /** Figures that cannot be, each under its field: not stored, asked back. */
  readonly asked: readonly Fault[];
}

/** What plates say in words, or by a mark of its own; what one has taken the next does not see. */
const PIECES: readonly {
  readonly field: PlateFieldId;
  readonly pattern: RegExp;
  readonly as?: (match: string) => string;
}[] = [
  {
    field: "rotation",
    pattern:
      /\b(?:rot(?:ation)?\.?\s*[:=]?\s*)?(?:(?:ccw|acw|cw)\s*[/&]\s*(?:ccw|acw|cw)\b|\b(?:ccw|acw|cw)[\s,]*(?:le|se|lead ?end|shaft ?end)?\b|reversible\b|rev\b)/i,
    as: (text) => text.replace(/^rot(?:ation)?\.?\s*[:=]?\s*/i, ""),
  },
  {
    field: "insulationClass",
    pattern: /\b(?:ins(?:ulation)?\.?\s*(?:cl(?:ass)?\.?)?|cl(?:ass)?\.?)\s*:?\s*[abfh]\b/i,
    as: (text) => text.slice(-1).toUpperCase(),
  },
  {
    field: "codeLetter",
    pattern: /\bcode\.?\s*:?\s*[a-hj-npr-v]\b/i,
    as: (text) => text.slice(-1).toUpperCase(),
  },
  {
    field: "frame",
    pattern: /\bfr(?:ame)?\.?\s*:?\s*\d{2,3}[a-z]{0,3}\b/i,
    as: (text) => text.replace(/^fr(?:ame)?\.?\s*:?\s*/i, ""),
  },
  { field: "frame", pattern: /\b(?:42|48|56|143|145|182|184)(?:y|yz|z|c|h|hz|j|t)\b/i },
  {
    field: "ambient",
    pattern: /\bamb(?:ient)?\.?\s*:?\s*\d{2,3}\s*°?\s*[cf]\b|\b\d{2,3}\s*°?\s*[cf]\b(?:\s*amb(?:ient)?\b)?/i,
    as: (text) => /\d{2,3}\s*°?\s*[cf]/i.exec(text)?.[0] ?? "",
  },
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
 * 370V CWLE", or labels before figures, "HP 1/6 RPM 1550 VOLTS 115 AMPS 3.2 HZ 60": the line's own pattern decides which
 * figure belongs to which label. Units glued or apart, any case, dots in abbreviations, decimal commas. What nobody can
 * place is left and shown; a figure that cannot be for the others is asked back and not stored.
 */
export function readPlateLine(line: string): PlateLine {
  const typed: Partial<Record<PlateFieldId, string>> = {};
  let rest = plainPlate(line);
  for (const { field, pattern, as = (text: string) => text } of PIECES) {
    if (typed[field] !== undefined) continue;
    const [found] = pattern.exec(rest) ?? [];
    if (found === undefined) continue;
    const text = as(found).trim();
    // A turn without its end is kept as typed: its own field then asks for the end.
    if (field !== "rotation" && !reads(field, text)) continue;
    typed[field] = text;
    rest = rest.replace(found, " | ");
  }
  const tokens = plateTokens(rest);
  const used = new Set<PlateToken>();
  for (const [field, text] of figuresOf(tokens, used)) if (typed[field] === undefined) typed[field] = text;
  unlabelled(tokens, used, typed);
  const { asked, kept } = plausible(typed);
  return { typed: kept, left: leftOver(rest, tokens, used), asked };
}

function reads(field: PlateFieldId, text: string): boolean {
  return PLATE_FIELDS.find(({ id }) => id === field)?.read(text).ok ?? false;
}

/** What figures of a kind can be on a plate of these motors; parts of "208-230" or "5.2/2.6" each. */
const CAN_BE: Readonly<Record<LabelKind, (value: number) => boolean>> = {
  hp: (v) => v > 0 && v <= 15,
  watts: (v) => v >= 1 && v <= 15_000,
  kilowatts: (v) => v > 0 && v <= 15,
  rpm: (v) => v >= 200 && v <= 3600,
  speeds: (v) => Number.isInteger(v) && ((v >= 1 && v <= 10) || (v >= 200 && v <= 3600)),
  poles: (v) => [2, 4, 6, 8, 10, 12, 16].includes(v),
  volts: (v) => v >= 12 && v <= 700,
  amps: (v) => v > 0 && v <= 130,
  lockedAmps: (v) => v > 0 && v <= 500,
  serviceAmps: (v) => v > 0 && v <= 130,
  hertz: (v) => v === 50 || v === 60,
  phase: (v) => v === 1 || v === 3,
  microfarads: (v) => v > 0 && v <= 1500,
  capacitor: (v) => v > 0 && v <= 1500,
  serviceFactor: (v) => v >= 1 && v <= 2,
};

type Label = Extract<PlateToken, { kind: "label" }>;
type Figure = Extract<PlateToken, { kind: "figure" }>;

function canBe(kind: LabelKind, { text }: Figure): boolean {
  if (kind === "hp") {
    if (/^\d{1,2}\/\d{1,2}(?:[-–]\d{1,2}\/\d{1,2})+$/.test(text)) return true;
    const value = parseNumber(text.replace(/–/g, "-"));
    return value !== null && CAN_BE.hp(value);
  }
  const parts = text.split(/\s?[/+–-]\s?/).map(parseNumber);
  return parts.length > 0 && parts.every((value) => value !== null && CAN_BE[kind](value));
}

/** Each label with the figure that is its own, under the reading of the line that gives more labels one. */
function figuresOf(tokens: readonly PlateToken[], used: Set<PlateToken>): [PlateFieldId, string][] {
  const [before, after] = [matched(tokens, "before"), matched(tokens, "after")];
  const pairs = after.size > before.size ? after : before;
  const found: [PlateFieldId, string][] = [];
  const take = (...taken: PlateToken[]) => {
    for (const token of taken) used.add(token);
  };
  for (const [label, figure] of pairs) {
    const entry = fieldOf(label, figure, tokens, pairs, take);
    if (!entry) continue;
    // A second figure for a field is shown as left over, not dropped in silence.
    if (found.some(([field, text]) => field === entry[0] && text !== entry[1])) continue;
    take(label, figure);
    found.push(entry);
  }
  // "CAP 5 MFD": the word said no more than its unit did.
  if (found.some(([field]) => /Capacitor$/.test(field)))
    take(...tokens.filter((token) => token.kind === "label" && token.says === "capacitor"));
  return found;
}

/** Labels and their figures where figures stand on one side as a rule; on the other where only that can be. */
function matched(tokens: readonly PlateToken[], side: "before" | "after"): Map<Label, Figure> {
  const pairs = new Map<Label, Figure>();
  const taken = new Set<Figure>();
  const free = (token: PlateToken | undefined, kind: LabelKind): token is Figure =>
    token?.kind === "figure" && !taken.has(token) && canBe(kind, token);
  const pair = (label: Label, figure: Figure) => {
    pairs.set(label, figure);
    taken.add(figure);
  };
  const labels = tokens.flatMap((token, i) => (token.kind === "label" ? [{ label: token, i }] : []));
  // What is glued or has a colon leaves no choice, so it goes first.
  for (const { label, i } of labels) {
    const [prev, next] = [tokens[i - 1], tokens[i + 1]];
    const announced = tokens[i - 2];
    if (label.glued && free(prev, label.says)) pair(label, prev);
    // "CAP 5 MFD": the unit belongs to the value that the word announced.
    else if (
      label.says === "microfarads" &&
      announced?.kind === "label" &&
      announced.says === "capacitor" &&
      free(prev, label.says)
    )
      pair(label, prev);
    else if (label.colon && free(next, label.says)) pair(label, next);
  }
  for (const first of [side, side === "before" ? "after" : "before"] as const)
    for (const { label, i } of labels) {
      // A capacitor is announced; what stands before the word is another's.
      if (pairs.has(label) || (label.says === "capacitor" && first === "before")) continue;
      const figure = first === "before" ? tokens[i - 1] : tokens[i + 1];
      if (free(figure, label.says)) pair(label, figure);
    }
  return pairs;
}

/** Volts that capacitors are rated for; some are a supply's too. */
const CAPACITOR_VOLTS = new Set([110, 125, 165, 220, 250, 330, 370, 400, 440, 450, 475, 500]);
const SUPPLY_TOO = new Set([110, 220, 400, 440]);

/** The field that a label and its figure fill; null where they only go with another. */
function fieldOf(
  label: Label,
  figure: Figure,
  tokens: readonly PlateToken[],
  pairs: ReadonlyMap<Label, Figure>,
  take: (...taken: PlateToken[]) => void,
): [PlateFieldId, string] | null {
  const text = figure.text.replace(/\s+/g, "");
  switch (label.says) {
    case "hp":
      return ["power", `${[...listBefore(figure, tokens, take), text].join(", ")} HP`];
    case "watts":
      return ["power", `${text} W`];
    case "kilowatts":
      return ["power", `${text} kW`];
    case "rpm":
      return ["speed", text];
    case "speeds":
      return /\//.test(text) || Number(text) >= 200 ? ["speed", speedText(text)] : ["speeds", text];
    case "poles":
      return ["poles", text];
    case "volts":
      return isCapacitorVolts(label, figure, tokens, pairs) ? null : ["volts", text];
    case "amps":
      return ["amps", text];
    case "lockedAmps":
      return ["lockedRotorAmps", text];
    case "serviceAmps":
      return ["serviceFactorAmps", text];
    case "hertz":
      return ["hertz", text];
    case "phase":
      return ["phase", text];
    case "serviceFactor":
      return ["serviceFactor", text.replace(",", ".")];
    case "microfarads":
    case "capacitor": {
      const rating = /[/]/.test(text)
        ? null
        : (ratingAfter(label, figure, tokens, pairs) ?? ratingBefore(label, figure, tokens, pairs));
      if (rating) take(...rating.tokens);
      const field = /\d[-–]\d/.test(text) ? "startCapacitor" : "runCapacitor";
      return [field, `${text} MFD${rating ? ` ${rating.volts}V` : ""}`.replace(/\/(\d{3}) MFD/, " MFD $1V")];
    }
  }
}

/** "1/2, 1/3, 1/4 HP": the powers before the last, parted by commas. */
function listBefore(
  figure: Figure,
  tokens: readonly PlateToken[],
  take: (...taken: PlateToken[]) => void,
): string[] {
  const list: string[] = [];
  for (let i = tokens.indexOf(figure); i >= 2; i -= 2) {
    const [parted, before] = [tokens[i - 1], tokens[i - 2]];
    const part = parted?.kind === "other" && /^(?:,|;|&|to|or)$/i.test(parted.text);
    if (!part || before?.kind !== "figure" || !/^\d{1,2}\/\d{1,2}$/.test(before.text)) break;
    list.unshift(before.text);
    take(parted, before);
  }
  return list;
}

/** "1075/3" with SPD: a speed and its count. */
function speedText(text: string): string {
  return /^\d{3,4}[/-]\d{1,2}$/.test(text) ? `${text.replace("-", "/")}SPD` : text;
}

/** The volts that stand after a capacitor's value: "5 MFD 370 VAC", "CAP 5 MFD VOLTS 370". */
function ratingAfter(
  label: Label,
  figure: Figure,
  tokens: readonly PlateToken[],
  pairs: ReadonlyMap<Label, Figure>,
): { readonly volts: string; readonly tokens: readonly PlateToken[] } | null {
  const at = Math.max(tokens.indexOf(label), tokens.indexOf(figure));
  const near = tokens
    .slice(at + 1, at + 3)
    .filter((token) => !(token.kind === "label" && token.says === "microfarads"));
  const next = near.find((token): token is Figure => token.kind === "figure");
  if (!next || !CAPACITOR_VOLTS.has(Number(next.text))) return null;
  const [owner] = [...pairs].find(([, own]) => own === next) ?? [];
  if (owner && owner.says !== "volts") return null;
  if (owner && !isCapacitorVolts(owner, next, tokens, pairs)) return null;
  return { volts: next.text, tokens: owner ? [next, owner] : [next] };
}

/** The volts that stand right before a capacitor's value, "370 VAC 7.5 MFD", where the line has others for the motor. */
function ratingBefore(
  label: Label,
  figure: Figure,
  tokens: readonly PlateToken[],
  pairs: ReadonlyMap<Label, Figure>,
): { readonly volts: string; readonly tokens: readonly PlateToken[] } | null {
  const at = Math.min(tokens.indexOf(label), tokens.indexOf(figure));
  const near = tokens.slice(Math.max(0, at - 2), at);
  const [owner, own] =
    [...pairs].find(([one, its]) => one.says === "volts" && near.includes(one) && near.includes(its)) ?? [];
  return owner && own && isCapacitorVolts(owner, own, tokens, pairs)
    ? { volts: own.text, tokens: [own, owner] }
    : null;
}

/** Volts that stand right beside a capacitor's value, are a capacitor's, and are not the only volts of the line. */
function isCapacitorVolts(
  label: Label,
  figure: Figure,
  tokens: readonly PlateToken[],
  pairs: ReadonlyMap<Label, Figure>,
): boolean {
  if (!CAPACITOR_VOLTS.has(Number(figure.text))) return false;
  const at = Math.min(tokens.indexOf(label), tokens.indexOf(figure));
  const before = tokens.slice(Math.max(0, at - 2), at);
  const of = (token: PlateToken | undefined) =>
    token?.kind === "label" && /^(?:microfarads|capacitor)$/.test(token.says);
  const others =
    [...pairs].some(([one, own]) => one.says === "volts" && own !== figure) ||
    tokens.some((token) => token.kind === "figure" && isSupplyList(token));
  const supplyToo = SUPPLY_TOO.has(Number(figure.text));
  if (before.some(of)) return others || !supplyToo;
  // Before a value where the motor has volts of its own; what a supply has too only where none stand after the value.
  const end = Math.max(tokens.indexOf(label), tokens.indexOf(figure));
  const after = tokens.slice(end + 3, end + 5);
  const ratedAfter = after.some(
    (token) => token.kind === "figure" && CAPACITOR_VOLTS.has(Number(token.text)),
  );
  return others && tokens.slice(end + 1, end + 3).some(of) && !(supplyToo && ratedAfter);
}

const SUPPLIES = new Set([115, 120, 200, 208, 220, 230, 240, 277, 380, 400, 415, 440, 460, 480, 575]);

/** "208-230", "115/230": nothing but volts of supplies. */
function isSupplyList({ text }: Figure): boolean {
  const parts = text.split(/\s?[/–-]\s?/).map(Number);
  return parts.length > 1 && parts.every((part) => SUPPLIES.has(part));
}

/** Figures without a label: volts that can only be that, a speed with its count after it, a lone figure in the thousands. */
function unlabelled(
  tokens: readonly PlateToken[],
  used: Set<PlateToken>,
  typed: Partial<Record<PlateFieldId, string>>,
): void {
  const free = () => tokens.filter((token): token is Figure => token.kind === "figure" && !used.has(token));
  if (typed.volts === undefined) {
    const volts = free().find(isSupplyList);
    if (volts) {
      typed.volts = volts.text.replace(/\s+/g, "");
      used.add(volts);
    }
  }
  if (typed.speed === undefined) {
    const rpm = free().find(
      ({ text }) =>
        /^\d{3,4}(?:\/\d{3,4})*$/.test(text) &&
        CAN_BE.rpm(Number(text.split("/")[0])) &&
        Number(text.split("/")[0]) >= 400,
    );
    if (rpm) {
      typed.speed = rpm.text;
      used.add(rpm);
    }
  }
}

/** Figures that cannot be together are not stored but asked for. */
function plausible(typed: Partial<Record<PlateFieldId, string>>): { asked: Fault[]; kept: TypedPlate } {
  const kept = { ...typed };
  const asked: Fault[] = [];
  for (const field of Object.keys(kept) as PlateFieldId[]) {
    const text = kept[field] ?? "";
    if (field === "rotation" || reads(field, text)) continue;
    asked.push(fault("not-read", `“${text}” was not understood: type it in its own field.`, [field]));
    delete kept[field];
  }
  for (const doubt of plateDoubts(readPlate(kept).plate)) {
    const [field] = doubt.path as [PlateFieldId];
    if (doubt.code !== "cannot-be") continue;
    asked.push({ ...doubt, says: `${doubt.says} It was typed as “${kept[field] ?? ""}”; look again.` });
    delete kept[field];
  }
  return { asked, kept };
}

/** What no field took, as it was typed. */
function leftOver(line: string, tokens: readonly PlateToken[], used: ReadonlySet<PlateToken>): string {
  const pieces: string[] = [];
  let open: { from: number; to: number } | null = null;
  const close = () => {
    const piece = open ? line.slice(open.from, open.to).trim().replace(/\s+/g, " ") : "";
    if (/[\p{L}\p{N}]/u.test(piece)) pieces.push(piece);
    open = null;
  };
  for (const token of tokens) {
    const parts = token.kind === "other" && /^[|,;]$/.test(token.text);
    if (used.has(token) || parts) close();
    else open = { from: open ? (open as { from: number }).from : token.from, to: token.to };
  }
  close();
  return pieces.join(", ");
}
