/** The label's size in millimetres. */
export const LABEL_MM = { width: 100, height: 60 } as const;

/** What a label says. Every text is plain; the wires are told by letters, so no colour is needed. */
export interface LabelContent {
  readonly unit: string;
  readonly date: string;
  readonly who: string;
  readonly supply: string;
  readonly capacitor: string;
  readonly rows: readonly { readonly wire: string; readonly role: string; readonly to: string }[];
}

/** A line of type on the label: millimetres from the top left corner, size in millimetres of cap line. */
export interface LabelText {
  readonly x: number;
  readonly y: number;
  readonly sizeMm: number;
  readonly bold: boolean;
  readonly text: string;
}

export interface LabelLayout {
  readonly texts: readonly LabelText[];
  /** Horizontal rules, by height in millimetres. */
  readonly rules: readonly number[];
}

const MARGIN = 4;
const FIRST_ROW = 20.5;
const LAST_ROW = 53;

/** Lays a label out at 100 × 60 mm: head, a row for each wire in one or two columns, foot with the caution. */
export function layoutLabel(content: LabelContent): LabelLayout {
  const { rows } = content;
  const columns = rows.length > 7 ? 2 : 1;
  const perColumn = Math.max(1, Math.ceil(rows.length / columns));
  const pitch = Math.min(5, (LAST_ROW - FIRST_ROW) / perColumn);
  const size = Math.min(3.1, pitch * 0.78) * (columns === 2 ? 0.82 : 1);
  const columnWidth = (LABEL_MM.width - 2 * MARGIN) / columns;
  const texts: LabelText[] = [
    { x: MARGIN, y: 8, sizeMm: 4.6, bold: true, text: clip(content.unit || "Motor", 38) },
    {
      x: MARGIN,
      y: 13,
      sizeMm: 3,
      bold: false,
      text: clip([content.date, content.who].filter(Boolean).join(" · "), 58),
    },
    {
      x: MARGIN,
      y: 17,
      sizeMm: 3,
      bold: true,
      text: clip([content.supply, content.capacitor].filter(Boolean).join(" · "), 58),
    },
  ];
  const [roleX, toX] = columns === 1 ? [19, 52] : [13, 26];
  rows.forEach((row, i) => {
    const x = MARGIN + Math.floor(i / perColumn) * columnWidth;
    const y = FIRST_ROW + 2.2 + (i % perColumn) * pitch;
    texts.push({ x, y, sizeMm: size, bold: true, text: clip(row.wire, columns === 1 ? 9 : 7) });
    texts.push({ x: x + roleX, y, sizeMm: size, bold: false, text: clip(row.role, columns === 1 ? 22 : 9) });
    texts.push({
      x: x + toX,
      y,
      sizeMm: size,
      bold: false,
      text: clip(`→ ${row.to}`, columns === 1 ? 24 : 13),
    });
  });
  texts.push({
    x: MARGIN,
    y: 57.4,
    sizeMm: 2.3,
    bold: false,
    text: "Unused leads are live when running. Plate, maker’s drawing and local code come first.",
  });
  return { texts, rules: [18.8, 54.2] };
}

function clip(text: string, most: number): string {
  return text.length > most ? `${text.slice(0, most - 1)}…` : text;
}
