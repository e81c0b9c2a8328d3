import type { PDFDocument, PDFFont, PDFImage, PDFPage } from "pdf-lib";
import type { JobSheet, SheetPart } from "@/core";
import type { WiringDrawing } from "@/core/wiring";
import { drawWiring, scaleFor, type WireLooks } from "../pdf/drawWiring";
import { embedFaces, type Faces } from "../pdf/faces";

/** Paper by the name of its format, points. */
export const PAPERS = {
  A4: { width: 595.28, height: 841.89 },
  Letter: { width: 612, height: 792 },
} as const;
export type Paper = keyof typeof PAPERS;

/** What the parts point at. */
export interface SheetMaterial {
  readonly drawing: WiringDrawing | null;
  readonly looks: WireLooks;
  /** A photo as JPEG; null where it cannot be had. */
  readonly photo: (id: string) => Promise<ArrayBuffer | null>;
}

const MARGIN = 48;
const FOOT = 30;
const SIZE = 10;
const LINE = 14;
const PHOTO_HEIGHT = 150;
const CELL_PAD = 4;
/** A part of a page is left free rather than a drawing cut up. */
const MOST_DRAWING = 420;

/** A job's sheet as PDF: vector drawing, embedded faces, the job on every page, page x of y. */
export async function sheetPdf(sheet: JobSheet, paper: Paper, material: SheetMaterial): Promise<Uint8Array> {
  const { PDFDocument } = await import("pdf-lib");
  const document = await PDFDocument.create();
  document.setTitle(sheet.title);
  document.setProducer("Odd Lead");
  const faces = await embedFaces(document);
  const writer = new Writer(document, paper, faces);
  writer.lines(sheet.title, faces.bold, 18, 24);
  writer.lines(sheet.line, faces.plain, SIZE, LINE);
  writer.space(8);
  for (const [i, part] of sheet.parts.entries()) {
    const next = sheet.parts[i + 1];
    // A drawing stands under its heading.
    if (part.kind === "heading" && next?.kind === "drawing" && material.drawing)
      writer.keepTogether(material.drawing);
    await write(writer, part, material);
  }
  writer.foot(sheet);
  return document.save();
}

async function write(writer: Writer, part: SheetPart, material: SheetMaterial): Promise<void> {
  switch (part.kind) {
    case "heading":
      writer.heading(part.text);
      return;
    case "text":
      writer.lines(part.text, writer.faces.plain, SIZE, LINE);
      return;
    case "boxed":
      writer.boxed(part.lines);
      return;
    case "pairs":
      writer.table(part.rows, [0.22, 0.78], null);
      return;
    case "table":
      writer.table(part.rows, part.widths, part.head);
      return;
    case "drawing":
      if (material.drawing) writer.drawing(material.drawing, material.looks);
      return;
    case "photos":
      for (const id of part.ids) {
        const bytes = await material.photo(id);
        if (bytes) await writer.photo(bytes);
      }
      writer.endRow();
  }
}

/** Writes from the top of a page to its foot, and on to the next. */
class Writer {
  private page: PDFPage;
  private y: number;
  /** Where the next photo of a row goes. */
  private photoX = MARGIN;
  private readonly pages: PDFPage[] = [];

  constructor(
    private readonly document: PDFDocument,
    private readonly paper: Paper,
    readonly faces: Faces,
  ) {
    this.page = this.another();
    this.y = this.top;
  }

  private get width(): number {
    return PAPERS[this.paper].width - 2 * MARGIN;
  }

  private get top(): number {
    return PAPERS[this.paper].height - MARGIN;
  }

  private another(): PDFPage {
    const { width, height } = PAPERS[this.paper];
    const page = this.document.addPage([width, height]);
    this.pages.push(page);
    return page;
  }

  /** Begins a page where so much does not fit on this one any more. */
  private room(height: number): void {
    if (this.y - height >= MARGIN + FOOT) return;
    this.page = this.another();
    this.y = this.top;
  }

  space(height: number): void {
    this.y -= height;
  }

  lines(text: string, font: PDFFont, size: number, line: number): void {
    for (const words of this.wrapped(text, font, size, this.width)) {
      this.room(line);
      this.y -= line;
      this.page.drawText(words, { x: MARGIN, y: this.y, size, font });
    }
  }

  keepTogether(drawing: WiringDrawing): void {
    this.room(60 + drawing.height * scaleFor(drawing, { width: this.width, height: MOST_DRAWING }));
  }

  heading(text: string): void {
    // Never alone at the foot of a page.
    this.room(26 + 3 * LINE);
    this.space(12);
    this.lines(text, this.faces.bold, 12, 16);
    this.rule(1.2);
    this.space(4);
  }

  private rule(thickness: number): void {
    this.y -= 3;
    this.page.drawLine({
      start: { x: MARGIN, y: this.y },
      end: { x: MARGIN + this.width, y: this.y },
      thickness,
    });
  }

  boxed(texts: readonly string[]): void {
    const all = texts.flatMap((text) => this.wrapped(text, this.faces.bold, SIZE, this.width - 20));
    const height = all.length * LINE + 12;
    this.room(height + 8);
    this.space(4);
    this.page.drawRectangle({
      x: MARGIN,
      y: this.y - height,
      width: this.width,
      height,
      borderWidth: 1.5,
      opacity: 0,
      borderOpacity: 1,
    });
    all.forEach((words, i) => {
      this.page.drawText(words, {
        x: MARGIN + 10,
        y: this.y - 6 - SIZE - i * LINE,
        size: SIZE,
        font: this.faces.bold,
      });
    });
    this.space(height + 4);
  }

  table(
    rows: readonly (readonly string[])[],
    widths: readonly number[],
    head: readonly string[] | null,
  ): void {
    if (head) this.row(head, widths, this.faces.bold);
    for (const row of rows) this.row(row, widths, this.faces.plain);
  }

  private row(cells: readonly string[], widths: readonly number[], font: PDFFont): void {
    const columns = cells.map((cell, i) =>
      this.wrapped(cell, font, SIZE, this.width * (widths[i] ?? 0.1) - 2 * CELL_PAD),
    );
    const height = Math.max(1, ...columns.map(({ length }) => length)) * LINE + 2;
    this.room(height);
    let x = MARGIN;
    columns.forEach((lines, i) => {
      lines.forEach((words, j) => {
        this.page.drawText(words, { x, y: this.y - SIZE - j * LINE, size: SIZE, font });
      });
      x += this.width * (widths[i] ?? 0.1);
    });
    this.y -= height;
    this.page.drawLine({
      start: { x: MARGIN, y: this.y + 1 },
      end: { x: MARGIN + this.width, y: this.y + 1 },
      thickness: 0.4,
    });
  }

  drawing(drawing: WiringDrawing, looks: WireLooks): void {
    const scale = scaleFor(drawing, { width: this.width, height: MOST_DRAWING });
    const height = drawing.height * scale;
    this.room(height + 8);
    drawWiring(
      this.page,
      drawing,
      { left: MARGIN, top: this.y, width: this.width, height: MOST_DRAWING },
      this.faces,
      looks,
    );
    this.space(height + 8);
  }

  async photo(bytes: ArrayBuffer): Promise<void> {
    const image: PDFImage = await this.document.embedJpg(bytes);
    const { width, height } = image.scaleToFit(this.width / 2 - 8, PHOTO_HEIGHT);
    if (this.photoX > MARGIN && this.photoX + width > MARGIN + this.width) this.endRow();
    if (this.photoX === MARGIN) this.room(PHOTO_HEIGHT + 8);
    this.page.drawImage(image, { x: this.photoX, y: this.y - height, width, height });
    this.photoX += width + 12;
  }

  endRow(): void {
    if (this.photoX === MARGIN) return;
    this.photoX = MARGIN;
    this.space(PHOTO_HEIGHT + 8);
  }

  /** The foot of every page, once it is known how many there are. */
  foot({ title, line }: JobSheet): void {
    this.pages.forEach((page, i) => {
      const number = `page ${i + 1} of ${this.pages.length}`;
      const right = this.faces.plain.widthOfTextAtSize(number, 8);
      const [words = ""] = this.wrapped(`${title} · ${line}`, this.faces.plain, 8, this.width - right - 20);
      const at = { y: MARGIN - 10, size: 8, font: this.faces.plain };
      page.drawText(words, { ...at, x: MARGIN });
      page.drawText(number, { ...at, x: MARGIN + this.width - right });
    });
  }

  /** Words in lines no wider than that; a word that is wider by itself is cut. */
  private wrapped(text: string, font: PDFFont, size: number, width: number): string[] {
    const fits = (words: string) => font.widthOfTextAtSize(words, size) <= width;
    const lines: string[] = [];
    let line = "";
    for (const word of this.faces.letters(text).split(/\s+/)) {
      const longer = line === "" ? word : `${line} ${word}`;
      if (fits(longer)) {
        line = longer;
        continue;
      }
      if (line !== "") lines.push(line);
      line = word;
      while (!fits(line) && line.length > 1) {
        let most = line.length - 1;
        while (most > 1 && !fits(line.slice(0, most))) most -= 1;
        lines.push(line.slice(0, most));
        line = line.slice(most);
      }
    }
    return line === "" ? lines : [...lines, line];
  }
}
