import { qrModules } from "./qr";

/** The label's size in millimetres. */
export const LABEL_MM = { width: 100, height: 60 } as const;

/** A6, landscape: the same label larger. */
export const A6_MM = { width: 148, height: 105 } as const;
/** A strip for the shell of the motor. */
export const STRIP_MM = { width: 50, height: 12 } as const;

/** What a label says. Every text is plain; the wires are told by letters, so no colour is needed. */
export interface LabelContent {
  readonly unit: string;
  readonly date: string;
  readonly who: string;
  readonly supply: string;
  readonly capacitor: string;
  /** Amps of the proof; "" before it. */
  readonly proved: string;
  /** The record's address, for the code in the corner; "" for none. */
  readonly address: string;
  /** What is assumed still, in few words; "" where nothing is. */
  readonly assumed: string;
  readonly rows: readonly { readonly wire: string; readonly role: string; readonly to: string }[];
}

/** A line of type on the label: millimetres from the top left corner, size in millimetres of cap line. */
export interface PlacedText {
  readonly x: number;
  readonly y: number;
  readonly sizeMm: number;
  readonly bold: boolean;
  readonly text: string;
}

export interface LabelLayout {
  readonly texts: readonly PlacedText[];
  /** Horizontal rules, by height in millimetres. */
  readonly rules: readonly number[];
  /** The QR code of the record's address; null where it has none. */
  readonly qr: {
    readonly x: number;
    readonly y: number;
    readonly moduleMm: number;
    /** Dark ones by row and column. */
    readonly dark: readonly (readonly [row: number, column: number])[];
  } | null;
}

const MARGIN = 4;
const FIRST_ROW = 22.4;
const LAST_ROW = 53;

/** The strip for the shell, "WIRED 115 V"; null while it is not landed and proved, or its volts are not known. */
export function stripWords({ supply }: Pick<LabelContent, "supply">): string | null {
  const [, volts] = /^(?:Motor|Module) .*?(\d+(?:–\d+)? V)$/.exec(supply) ?? [];
  return volts ? `WIRED ${volts}` : null;
}

/** Lays a label out at 100 × 60 mm: head, a row for each wire in one or two columns, foot with the caution. */
export function layoutLabel(content: LabelContent): LabelLayout {
  const { rows } = content;
  const columns = rows.length > 7 ? 2 : 1;
  const perColumn = Math.max(1, Math.ceil(rows.length / columns));
  const pitch = Math.min(5, (LAST_ROW - FIRST_ROW) / perColumn);
  const size = Math.min(2.9, pitch * 0.78) * (columns === 2 ? 0.82 : 1);
  const columnWidth = (LABEL_MM.width - 2 * MARGIN) / columns;
  const whole = LABEL_MM.width - 2 * MARGIN;
  const qr = content.address === "" ? null : codeOf(content.address);
  const beside = qr ? whole - QR_MM - 2 : whole;
  const proved = content.proved === "" ? "" : `proved: ${content.proved}`;
  const texts: PlacedText[] = [
    line(MARGIN, 7.2, 4.4, true, content.unit || "Motor", beside),
    line(MARGIN, 11, 2.6, false, [content.date, content.who].filter(Boolean).join(" · "), beside),
    line(MARGIN, 14.6, 2.9, true, content.supply, beside),
    ...[content.capacitor, proved]
      .filter((text) => text !== "")
      .map((text, i) => line(MARGIN, 17.6 + 2.8 * i, 2.2, false, text, i === 0 ? beside : whole)),
  ];
  // Where nothing is landed the role has the room of the place as well.
  const landed = rows.some(({ to }) => to !== "—");
  const [roleX, toX] = columns === 1 ? [17, 48] : [12, landed ? 23 : columnWidth];
  rows.forEach((row, i) => {
    const x = MARGIN + Math.floor(i / perColumn) * columnWidth;
    const y = FIRST_ROW + 2.2 + (i % perColumn) * pitch;
    texts.push(line(x, y, size, true, row.wire, roleX - 1));
    texts.push(line(x + roleX, y, size, false, row.role, toX - roleX - 1));
    if (landed) texts.push(line(x + toX, y, size, false, `→ ${row.to}`, columnWidth - toX - 1));
  });
  if (content.assumed === "") texts.push(line(MARGIN, 57.4, 2.2, false, CAUTION, whole));
  else
    texts.push(
      line(MARGIN, 56.4, 2, true, `Assumed still: ${content.assumed}.`, whole),
      line(MARGIN, 58.8, 2, false, CAUTION, whole),
    );
  return { texts, rules: [21.2, 54.2], qr };
}

/** Side of the code in the corner, and the paper that it needs around: four of its modules. */
const QR_MM = 15.5;
const QR_TOP = 3;

function codeOf(address: string): LabelLayout["qr"] {
  const modules = qrModules(address);
  const moduleMm = QR_MM / modules.length;
  return {
    x: LABEL_MM.width - MARGIN - QR_MM + 0.5,
    y: QR_TOP,
    moduleMm,
    dark: modules.flatMap((row, y) => row.flatMap((dark, x) => (dark ? [[y, x] as const] : []))),
  };
}

const CAUTION = "Unused leads are live when running. Plate, maker’s drawing and local code come first.";

/** Mean width of a letter of the label's face, as a share of its size; bold is a little wider. */
const LETTER_WIDTH = 0.47;
const BOLD_LETTER_WIDTH = 0.52;

/** A line of type that keeps to its room: what does not fit ends in an ellipsis. */
function line(x: number, y: number, sizeMm: number, bold: boolean, text: string, roomMm: number): PlacedText {
  const most = Math.floor(roomMm / (sizeMm * (bold ? BOLD_LETTER_WIDTH : LETTER_WIDTH)));
  return { x, y, sizeMm, bold, text: clip(text, most) };
}

function clip(text: string, most: number): string {
  return text.length > most ? `${text.slice(0, most - 1)}…` : text;
}
