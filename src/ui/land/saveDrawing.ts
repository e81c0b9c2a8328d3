import type { WiringDrawing } from "@/core/wiring";
import { saveFile } from "../parts/saveFile";
import type { WireLooks } from "../pdf/drawWiring";

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
  // What the step at hand lights is for the screen.
  for (const glow of copy.querySelectorAll("[data-glow]")) glow.remove();
  for (const shaded of copy.querySelectorAll("[data-shade]")) {
    shaded.removeAttribute("data-shade");
    shaded.removeAttribute("opacity");
  }
  const ground = document.createElementNS("http://www.w3.org/2000/svg", "rect");
  for (const [name, value] of Object.entries({ width, height, fill: "#ffffff" }))
    ground.setAttribute(name, value);
  copy.prepend(ground);
  saveFile(new Blob([new XMLSerializer().serializeToString(copy)], { type: "image/svg+xml" }), `${file}.svg`);
}

/** Saves the drawing as a PDF of one landscape page, from its geometry, its faces embedded. */
export async function saveDrawingPdf(
  drawing: WiringDrawing,
  { title, file, ...looks }: WireLooks & { readonly title: string; readonly file: string },
): Promise<void> {
  const [{ PDFDocument }, { embedFaces }, { drawWiring }] = await Promise.all([
    import("pdf-lib"),
    import("../pdf/faces"),
    import("../pdf/drawWiring"),
  ]);
  const document = await PDFDocument.create();
  document.setTitle(title);
  const faces = await embedFaces(document);
  const page = document.addPage([PAGE.width, PAGE.height]);
  const { margin } = PAGE;
  page.drawText(faces.letters(title), {
    x: margin,
    y: PAGE.height - margin - 12,
    size: 13,
    font: faces.bold,
  });
  const room = {
    left: margin,
    top: PAGE.height - margin - PAGE.head,
    width: PAGE.width - 2 * margin,
    height: PAGE.height - 2 * margin - PAGE.head,
  };
  drawWiring(page, drawing, room, faces, looks);
  page.drawText(faces.letters(CAUTION), { x: margin, y: margin - 14, size: 9, font: faces.plain });
  const bytes = await document.save();
  saveFile(new Blob([new Uint8Array(bytes)], { type: "application/pdf" }), `${file}.pdf`);
}

/** A4, landscape, points. */
const PAGE = { width: 842, height: 595, margin: 36, head: 26 } as const;
const CAUTION =
  "Ground first, lines last. The plate, the maker’s drawing and local code come before this drawing.";
