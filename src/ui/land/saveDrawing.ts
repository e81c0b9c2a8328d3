import type { WiringDrawing } from "@/core/wiring";
import { paintOf } from "../parts/insulation";
import { saveFile } from "../parts/saveFile";

/** Ink and paper of a saved drawing: it leaves the page's scheme behind. */
const INK = "#1a1613";
const FACE = "Atkinson Hyperlegible Next, Verdana, sans-serif";

/** Saves the drawing that is on the page as an SVG of its own, ink on white. */
export function saveDrawingSvg(svg: SVGSVGElement, file: string): void {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const [, , width = "800", height = "600"] = (svg.getAttribute("viewBox") ?? "").split(" ");
  copy.setAttribute("xmlns", "http://www.w3.org/2000/svg");
  copy.setAttribute("width", width);
  copy.setAttribute("height", height);
  copy.setAttribute("color", INK);
  copy.setAttribute("font-family", FACE);
  copy.removeAttribute("style");
  for (const node of copy.querySelectorAll("[tabindex],[role],[style]"))
    for (const name of ["tabindex", "role", "style", "aria-pressed"]) node.removeAttribute(name);
  const ground = document.createElementNS("http://www.w3.org/2000/svg", "rect");
  for (const [name, value] of Object.entries({ width, height, fill: "#ffffff" }))
    ground.setAttribute(name, value);
  copy.prepend(ground);
  saveFile(new Blob([new XMLSerializer().serializeToString(copy)], { type: "image/svg+xml" }), `${file}.svg`);
}

/** Saves the drawing as a PDF of one landscape page, from its geometry. */
export async function saveDrawingPdf(
  drawing: WiringDrawing,
  {
    title,
    name,
    colourOf,
    file,
  }: {
    title: string;
    name: (lead: string) => string;
    /** The colour word of a lead's insulation; undefined for bare ones. */
    colourOf: (lead: string) => string | undefined;
    file: string;
  },
): Promise<void> {
  const { PDFDocument, StandardFonts, rgb } = await import("pdf-lib");
  const document = await PDFDocument.create();
  document.setTitle(title);
  const [plain, bold] = await Promise.all([
    document.embedFont(StandardFonts.Helvetica),
    document.embedFont(StandardFonts.HelveticaBold),
  ]);
  const page = document.addPage([PAGE.width, PAGE.height]);
  const room = { width: PAGE.width - 2 * PAGE.margin, height: PAGE.height - 2 * PAGE.margin - PAGE.head };
  const scale = Math.min(room.width / drawing.width, room.height / drawing.height, 1.1);
  const at = (x: number, y: number) => ({
    x: PAGE.margin + x * scale,
    y: PAGE.height - PAGE.margin - PAGE.head - y * scale,
  });
  const colour = (hex: string) => {
    const [r = 0, g = 0, b = 0] = [1, 3, 5].map((i) => Number.parseInt(hex.slice(i, i + 2), 16) / 255);
    return rgb(r, g, b);
  };
  const ink = colour(INK);
  const text = (words: string, x: number, y: number, size: number, strong = false) =>
    page.drawText(latin(words), { ...at(x, y), size: size * scale, font: strong ? bold : plain, color: ink });
  page.drawText(latin(title), {
    x: PAGE.margin,
    y: PAGE.height - PAGE.margin - 12,
    size: 13,
    font: bold,
    color: ink,
  });
  for (const device of drawing.devices) {
    const corner = at(device.x, device.y + device.height);
    page.drawRectangle({
      ...corner,
      width: device.width * scale,
      height: device.height * scale,
      borderColor: ink,
      borderWidth: 1,
    });
    text(device.name, device.x + 10, device.y + 17, 13, true);
    const noteWide = plain.widthOfTextAtSize(latin(device.note), 11);
    text(device.note, device.x + device.width - 10 - noteWide, device.y + 17, 11);
    for (const terminal of device.terminals) {
      const wide = plain.widthOfTextAtSize(latin(terminal.name), 12);
      text(terminal.name, terminal.at.x - 14 - wide, terminal.at.y + 4, 12);
      page.drawCircle({
        ...at(terminal.at.x, terminal.at.y),
        size: 4 * scale,
        color: terminal.used ? ink : rgb(1, 1, 1),
        borderColor: ink,
        borderWidth: 1,
      });
    }
  }
  for (const { points, kind, lead } of drawing.wires)
    points.slice(1).forEach((to, i) => {
      const from = points[i] ?? to;
      const run = { start: at(from.x, from.y), end: at(to.x, to.y) };
      page.drawLine({ ...run, thickness: kind === "equipment" ? 1 : 3.4 * scale, color: ink });
      const paint = lead ? colourOf(lead) : undefined;
      if (kind === "lead" && paint)
        page.drawLine({ ...run, thickness: 2 * scale, color: colour(paintOf(paint)) });
    });
  for (const { x, y1, y2, name: joint } of drawing.joints) {
    page.drawLine({ start: at(x, y1 - 8), end: at(x, y2 + 8), thickness: 8 * scale, color: ink });
    text(joint, x + 9, y1 - 9, 11);
  }
  for (const { id, at: where, cap } of drawing.leads) {
    text(name(id), where.x + 10, where.y + 5, 14, true);
    if (cap) page.drawCircle({ ...at(cap.x, cap.y), size: 6 * scale, color: ink });
  }
  page.drawText(
    "Ground first, lines last. The plate, the maker's drawing and local code come before this drawing.",
    {
      x: PAGE.margin,
      y: PAGE.margin - 14,
      size: 9,
      font: plain,
      color: ink,
    },
  );
  const bytes = await document.save();
  saveFile(new Blob([new Uint8Array(bytes)], { type: "application/pdf" }), `${file}.pdf`);
}

/** A4, landscape, points. */
const PAGE = { width: 842, height: 595, margin: 36, head: 26 } as const;

/** The standard faces of a PDF hold western letters only. */
function latin(words: string): string {
  return words
    .replace(/[–—]/g, "-")
    .replace(/’/g, "'")
    .replace(/[^\x20-\xff]/g, "?");
}
