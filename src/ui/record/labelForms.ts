import { A6_MM, LABEL_MM, type LabelContent, layoutLabel, STRIP_MM } from "@/core";
import { embedFaces } from "../pdf/faces";

const POINTS_A_MM = 72 / 25.4;
/** Dots for each millimetre of a label as a picture: 300 for each inch. */
const DOTS_A_MM = 300 / 25.4;
const FACE = "Atkinson Hyperlegible Next Variable, sans-serif";
const FRAME = { inset: 1, width: 0.4 } as const;

/** The label as a PDF, faces embedded: of its own size, or as large as A6 takes it. */
export async function labelPdf(content: LabelContent, paper: "label" | "A6" = "label"): Promise<Uint8Array> {
  const { PDFDocument, rgb } = await import("pdf-lib");
  const document = await PDFDocument.create();
  document.setTitle(content.unit || "Label");
  document.setProducer("Odd Lead");
  const { plain, bold, letters } = await embedFaces(document);
  const sheet = paper === "A6" ? A6_MM : LABEL_MM;
  const page = document.addPage([sheet.width * POINTS_A_MM, sheet.height * POINTS_A_MM]);
  const ink = rgb(0, 0, 0);
  const times = sheet.width / LABEL_MM.width;
  /** Points of a millimetre of the label on this paper. */
  const mm = POINTS_A_MM * times;
  const at = (x: number, y: number) => ({ x: x * mm, y: sheet.height * POINTS_A_MM - y * mm });
  const { texts, rules, qr } = layoutLabel(content);
  page.drawRectangle({
    ...at(FRAME.inset, LABEL_MM.height - FRAME.inset),
    width: (LABEL_MM.width - 2 * FRAME.inset) * mm,
    height: (LABEL_MM.height - 2 * FRAME.inset) * mm,
    borderWidth: FRAME.width * mm,
    borderColor: ink,
  });
  for (const y of rules) page.drawLine({ start: at(4, y), end: at(96, y), thickness: 0.3 * mm });
  for (const { x, y, sizeMm, bold: strong, text } of texts)
    page.drawText(letters(text), { ...at(x, y), size: sizeMm * mm, font: strong ? bold : plain });
  if (qr)
    for (const [row, column] of qr.dark)
      page.drawRectangle({
        ...at(qr.x + column * qr.moduleMm, qr.y + (row + 1) * qr.moduleMm),
        // A hair over its place, so that no white shows between two of them.
        width: qr.moduleMm * mm + 0.05,
        height: qr.moduleMm * mm + 0.05,
        color: ink,
      });
  return document.save();
}

/** The strip for the motor's shell as a PDF. */
export async function stripPdf(words: string): Promise<Uint8Array> {
  const { PDFDocument } = await import("pdf-lib");
  const document = await PDFDocument.create();
  document.setTitle(words);
  document.setProducer("Odd Lead");
  const { bold, letters } = await embedFaces(document);
  const [width, height] = [STRIP_MM.width * POINTS_A_MM, STRIP_MM.height * POINTS_A_MM];
  const page = document.addPage([width, height]);
  const text = letters(words);
  const size = Math.min(22, (22 * (width - 12)) / bold.widthOfTextAtSize(text, 22));
  const wide = bold.widthOfTextAtSize(text, size);
  page.drawText(text, { x: (width - wide) / 2, y: (height - 0.7 * size) / 2, size, font: bold });
  return document.save();
}

/** The label as a picture, 300 dots an inch, in the page's own face. */
export async function labelPng(content: LabelContent): Promise<Blob> {
  await Promise.all([400, 700].map((weight) => document.fonts.load(`${weight} 40px ${FACE}`)));
  const canvas = document.createElement("canvas");
  canvas.width = Math.round(LABEL_MM.width * DOTS_A_MM);
  canvas.height = Math.round(LABEL_MM.height * DOTS_A_MM);
  const paint = canvas.getContext("2d");
  if (!paint) throw new Error("this browser draws no pictures");
  paint.scale(DOTS_A_MM, DOTS_A_MM);
  paint.fillStyle = "#fff";
  paint.fillRect(0, 0, LABEL_MM.width, LABEL_MM.height);
  paint.strokeStyle = "#000";
  paint.lineWidth = FRAME.width;
  paint.strokeRect(
    FRAME.inset,
    FRAME.inset,
    LABEL_MM.width - 2 * FRAME.inset,
    LABEL_MM.height - 2 * FRAME.inset,
  );
  paint.fillStyle = "#000";
  const { texts, rules, qr } = layoutLabel(content);
  for (const y of rules) paint.fillRect(4, y - 0.15, 92, 0.3);
  for (const { x, y, sizeMm, bold, text } of texts) {
    paint.font = `${bold ? 700 : 400} ${sizeMm}px ${FACE}`;
    paint.fillText(text, x, y);
  }
  if (qr) {
    // Whole dots, so that a camera finds edges where they belong.
    const dots = Math.max(1, Math.floor(qr.moduleMm * DOTS_A_MM));
    paint.setTransform(1, 0, 0, 1, Math.round(qr.x * DOTS_A_MM), Math.round(qr.y * DOTS_A_MM));
    for (const [row, column] of qr.dark) paint.fillRect(column * dots, row * dots, dots, dots);
  }
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error("no picture came"))), "image/png"),
  );
}

/** The label that is on the page as an SVG of its own, in millimetres. */
export function labelSvg(drawn: SVGSVGElement): Blob {
  const copy = drawn.cloneNode(true) as SVGSVGElement;
  copy.setAttribute("xmlns", "http://www.w3.org/2000/svg");
  copy.setAttribute("width", `${LABEL_MM.width}mm`);
  copy.setAttribute("height", `${LABEL_MM.height}mm`);
  for (const name of ["class", "display"]) copy.removeAttribute(name);
  return new Blob([new XMLSerializer().serializeToString(copy)], { type: "image/svg+xml" });
}
