import { type PDFPage, rgb } from "pdf-lib";
import { symbolPath, type WiringDrawing } from "@/core/wiring";
import { paintOf } from "../parts/insulation";
import type { Faces } from "./faces";

/** Room on a page for a drawing, from its top left corner, points. */
export interface Room {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** How leads of a drawing are named and coloured. */
export interface WireLooks {
  readonly name: (lead: string) => string;
  /** The name of a device or a terminal in the words that are shown. */
  readonly nameOf: (name: string) => string;
  /** The colour word of a lead's insulation; undefined for bare ones. */
  readonly colourOf: (lead: string) => string | undefined;
}

const MOST_SCALE = 1.1;
const INK = rgb(0.1, 0.086, 0.075);

/** The scale at which a drawing fits into a width and a height. */
export function scaleFor(drawing: WiringDrawing, { width, height }: Pick<Room, "width" | "height">): number {
  return Math.min(width / drawing.width, height / drawing.height, MOST_SCALE);
}

/** Draws a wiring drawing as lines and letters from its geometry. */
export function drawWiring(
  page: PDFPage,
  drawing: WiringDrawing,
  room: Room,
  { plain, bold, letters }: Faces,
  { name, colourOf, nameOf }: WireLooks,
): void {
  const scale = scaleFor(drawing, room);
  const at = (x: number, y: number) => ({ x: room.left + x * scale, y: room.top - y * scale });
  const text = (words: string, x: number, y: number, size: number, strong = false) =>
    page.drawText(letters(words), {
      ...at(x, y),
      size: size * scale,
      font: strong ? bold : plain,
      color: INK,
    });
  const wide = (words: string, size: number) => plain.widthOfTextAtSize(letters(words), size);
  for (const device of drawing.devices) {
    page.drawRectangle({
      ...at(device.x, device.y + device.height),
      width: device.width * scale,
      height: device.height * scale,
      borderColor: INK,
      borderWidth: 1,
    });
    text(nameOf(device.name), device.x + 10, device.y + 17, 13, true);
    text(device.note, device.x + device.width - 10 - wide(device.note, 11), device.y + 17, 11);
    for (const symbol of device.symbols)
      page.drawSvgPath(symbolPath(symbol), {
        x: room.left,
        y: room.top,
        scale,
        borderColor: INK,
        borderWidth: 1.2,
      });
    for (const { name: printed, at: where, used } of device.terminals) {
      const terminal = nameOf(printed);
      text(terminal, where.x - 14 - wide(terminal, 12), where.y + 4, 12);
      page.drawCircle({
        ...at(where.x, where.y),
        size: 4 * scale,
        color: used ? INK : rgb(1, 1, 1),
        borderColor: INK,
        borderWidth: 1,
      });
    }
  }
  for (const { points, kind, lead } of drawing.wires)
    points.slice(1).forEach((to, i) => {
      const from = points[i] ?? to;
      const run = { start: at(from.x, from.y), end: at(to.x, to.y) };
      page.drawLine({ ...run, thickness: kind === "equipment" ? 1 : 3.4 * scale, color: INK });
      const paint = lead ? colourOf(lead) : undefined;
      if (kind === "lead" && paint)
        page.drawLine({ ...run, thickness: 2 * scale, color: colour(paintOf(paint)) });
    });
  for (const { x, y1, y2, name: joint } of drawing.joints) {
    page.drawLine({ start: at(x, y1 - 8), end: at(x, y2 + 8), thickness: 8 * scale, color: INK });
    text(joint, x + 9, y1 - 9, 11);
  }
  for (const { id, at: where, cap } of drawing.leads) {
    text(name(id), where.x + 10, where.y + 5, 14, true);
    if (cap) page.drawCircle({ ...at(cap.x, cap.y), size: 6 * scale, color: INK });
  }
}

function colour(hex: string) {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((i) => Number.parseInt(hex.slice(i, i + 2), 16) / 255);
  return rgb(r, g, b);
}
