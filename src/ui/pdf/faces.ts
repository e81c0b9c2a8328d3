import type { PDFDocument, PDFFont } from "pdf-lib";

const PLAIN = new URL(
  "@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff",
  import.meta.url,
);
const BOLD = new URL(
  "@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff",
  import.meta.url,
);

/** The faces of a PDF, embedded, and words as far as they have letters. */
export interface Faces {
  readonly plain: PDFFont;
  readonly bold: PDFFont;
  /** Words in letters that the faces have. */
  readonly letters: (words: string) => string;
}

/** Signs that the faces lack, in letters. */
const IN_LETTERS: readonly (readonly [RegExp, string])[] = [
  [/\s*MΩ/g, " Mohm"],
  [/\s*Ω/g, " ohm"],
  [/[µμ](?=F|A|s)/g, "u"],
  [/→\s*/g, ""],
  [/≥/g, "at least"],
  [/≤/g, "at most"],
  [/−/g, "-"],
];

/** Embeds the product's own faces into a document, cut down to the letters that it uses. */
export async function embedFaces(document: PDFDocument): Promise<Faces> {
  const [{ default: fontkit }, ...bytes] = await Promise.all([
    import("@pdf-lib/fontkit"),
    ...[PLAIN, BOLD].map(async (url) => (await fetch(url)).arrayBuffer()),
  ]);
  document.registerFontkit(fontkit);
  const [plain, bold] = await Promise.all(bytes.map((face) => document.embedFont(face, { subset: true })));
  if (!plain || !bold) throw new Error("a face is missing");
  const has = new Set(plain.getCharacterSet());
  const letters = (words: string) => {
    const spelled = IN_LETTERS.reduce((text, [sign, word]) => text.replace(sign, word), words);
    return [...spelled].map((letter) => (has.has(letter.codePointAt(0) ?? 0) ? letter : "?")).join("");
  };
  return { plain, bold, letters };
}
