/** A word, a figure or a mark that parts them, of a plate typed in one line. */
export type PlateToken =
  | { readonly kind: "figure"; readonly text: string; readonly from: number; readonly to: number }
  | {
      readonly kind: "label";
      readonly says: LabelKind;
      readonly text: string;
      readonly from: number;
      readonly to: number;
      /** Written onto the figure before it: "825RPM". */
      readonly glued: boolean;
      /** Followed by a colon or an equals sign: its figure comes after. */
      readonly colon: boolean;
    }
  | { readonly kind: "other"; readonly text: string; readonly from: number; readonly to: number };

/** What a label on a plate announces. */
export type LabelKind =
  | "hp"
  | "watts"
  | "kilowatts"
  | "rpm"
  | "speeds"
  | "poles"
  | "volts"
  | "amps"
  | "lockedAmps"
  | "serviceAmps"
  | "hertz"
  | "phase"
  | "microfarads"
  | "capacitor"
  | "serviceFactor";

/** How plates write each label, in capitals and without the dots of abbreviations. */
const WORDS: Readonly<Record<LabelKind, readonly string[]>> = {
  hp: ["HP", "HORSEPOWER"],
  watts: ["W", "WATT", "WATTS"],
  kilowatts: ["KW", "KILOWATT", "KILOWATTS"],
  rpm: ["RPM", "RPMS", "UPM"],
  speeds: ["SPD", "SPDS", "SPEED", "SPEEDS", "SP"],
  poles: ["POLE", "POLES", "P"],
  volts: ["V", "VOLT", "VOLTS", "VAC", "VOLTAGE"],
  amps: ["A", "AMP", "AMPS", "AMPERES", "FLA", "FLC", "FLAMPS"],
  lockedAmps: ["LRA", "LRC"],
  serviceAmps: ["SFA"],
  hertz: ["HZ", "HERTZ", "CY", "CYC", "CYCLE", "CYCLES", "CPS"],
  phase: ["PH", "PHASE", "PHASES", "Ø", "Φ", "PHS"],
  microfarads: ["MFD", "UF", "ΜF", "MF", "MICROFARAD", "MICROFARADS"],
  capacitor: ["CAP", "CAPACITOR", "RUNCAP", "CAPS"],
  serviceFactor: ["SF"],
};
const KIND_OF = new Map(
  Object.entries(WORDS).flatMap(([kind, words]) => words.map((word) => [word, kind as LabelKind] as const)),
);

/**
 * The line with what plates write in several ways written in one, every change of the same length where it can be, so
 * that the pieces left over are shown nearly as typed: "min-1" and "1/min" are rpm, "3~" is three phases, dots of
 * abbreviations go; what parts without a space gets one.
 */
export function plainPlate(line: string): string {
  return (
    line
      .normalize("NFC")
      .replace(
        /(?<!\p{L})(?:min\s?[-–⁻]\s?[1¹]|min⁻¹|1\/min|r\/min|u\/min|rev\/min)(?![\p{L}\d])|(?<=\d\s?)\/\s?min\b/giu,
        "RPM",
      )
      .replace(/\blocked[\s-]*rotor[\s-]*(?:amps?|current)\b/gi, "LRA")
      .replace(/\b(?:full|rated)[\s-]*load[\s-]*(?:amps?|current)\b/gi, "FLA")
      .replace(/\bservice[\s-]*factor[\s-]*amps?\b/gi, "SFA")
      .replace(/\bservice[\s-]*factor\b/gi, "SF")
      .replace(/(?<=\d\s?)c\/s\b/gi, "CPS")
      // A comma between figures is a decimal one; after a unit it parts.
      .replace(/(?<=\p{L}),(?=\S)/gu, ", ")
      .replace(/\b([13])\s*~/g, "$1 PH ")
      .replace(/~\s*([13])\b/g, "$1 PH ")
      .replace(/\b(single|one)[\s-]*phase\b/gi, "1 PH")
      .replace(/\bthree[\s-]*phase\b/gi, "3 PH")
      .replace(/\b(?:\p{L}\.){2,4}(?!\p{L})/gu, (letters) => letters.replaceAll(".", ""))
      .replace(/\b(\d)\s+(?=\d\/\d{1,2}\b)/g, "$1-")
  );
}

const FIGURE = /^[.,]?\d+(?:[.,]\d+)*(?:\s?[/–-]\s?\d+(?:[.,]\d+)?)*(?:\s?\+\s?\d+(?:[.,]\d+)?)?/;
const WORD = /^[\p{L}µ°ØΦ][\p{L}\dµ°]*(?:[-_][\p{L}\d]+)*/u;

/** Takes a line apart; a label glued before its figure ("FLA5.8") is parted from it. */
export function plateTokens(line: string): PlateToken[] {
  const tokens: PlateToken[] = [];
  let at = 0;
  while (at < line.length) {
    const rest = line.slice(at);
    const figure = FIGURE.exec(rest)?.[0];
    const word = figure === undefined ? WORD.exec(rest)?.[0] : undefined;
    if (figure !== undefined) {
      tokens.push({ kind: "figure", text: figure, from: at, to: at + figure.length });
      at += figure.length;
    } else if (word !== undefined) {
      const text = labelBefore(word) ?? word;
      const says = KIND_OF.get(text.toUpperCase().replace("µ", "Μ").replace("φ", "Φ"));
      const to = at + text.length;
      const before = tokens.at(-1);
      tokens.push(
        says === undefined
          ? { kind: "other", text, from: at, to }
          : {
              kind: "label",
              says,
              text,
              from: at,
              to,
              glued: before?.kind === "figure" && before.to === at,
              colon: /^\s*\.?\s*[:=]/.test(line.slice(to)),
            },
      );
      at = to;
    } else {
      const [mark = rest[0] ?? ""] = /^(?:\s+|\.(?=\s|$)|[:=/@]|.)/su.exec(rest) ?? [];
      // Spaces, a full stop, and what stands between a label and its figure part nothing.
      if (!/^(?:\s+|[.:=/@])$/.test(mark))
        tokens.push({ kind: "other", text: mark, from: at, to: at + mark.length });
      at += mark.length;
    }
  }
  return tokens;
}

/** The label that a word begins with where a figure follows at once; a single letter is a model's name sooner. */
function labelBefore(word: string): string | null {
  const match = /^(\p{L}{2,})(?=\d+$)/u.exec(word);
  return match?.[1] && KIND_OF.has(match[1].toUpperCase()) ? match[1] : null;
}
