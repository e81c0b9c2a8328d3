/**
 * How the letters of the pages come. Each face that ships has three parts: the letters that every page waits for (those
 * of English text and of what the application itself writes, in the weights that it draws), cut out of the face; the
 * face with all of western Europe; and the rest of the Latin script. A browser fetches a file once a page has a letter
 * that its rule names, and a rule names those alone that its file has and the ones before it have not: a character that
 * no face of ours has (the width of nothing by which buttons are as high as their text) fetches none.
 *
 * The first letters stand in the style sheet itself: no page is drawn before it, and a script of the page's has them read
 * before their first use (`LETTERS_SCRIPT`), so that hardly anything is drawn in other letters and moves when its own are there.
 */
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { createRequire } from "node:module";
import { join } from "node:path";
import fontkit from "@pdf-lib/fontkit";
import subsetFont from "subset-font";
import { ROOT } from "./project.mjs";

const SHEET = join(ROOT, "src/app/letters.css");
const ASCII = String.fromCharCode(...Array.from({ length: 0x7f - 0x20 }, (_, index) => 0x20 + index));

/** What a page's own words are written with. */
const FIRST_LETTERS = `${ASCII}\u00a0°±²·µ½×–—‘’“”…−`;

const FACES = [
  {
    family: "Atkinson Hyperlegible Next Variable",
    package: "@fontsource-variable/atkinson-hyperlegible-next",
    // No page draws thinner strokes or thicker ones, and a third of the bytes are for those.
    axes: { wght: { min: 400, max: 750 } },
    features: ["ccmp", "kern", "locl", "mark", "mkmk", "tnum"],
  },
  {
    family: "Atkinson Hyperlegible Mono Variable",
    package: "@fontsource-variable/atkinson-hyperlegible-mono",
    // Drawn from its thinnest: without that it is no smaller, and other by a shade.
    axes: {},
    features: ["ccmp", "locl", "mark", "mkmk"],
  },
];

/** The path of a face's file of one script, under the packages. */
const fileOf = (face, script) => {
  const name = face.package.split("/")[1];
  return `${face.package}/files/${name}-${script}-wght-normal.woff2`;
};

const require = createRequire(import.meta.url);

const read = (face, script) => readFileSync(require.resolve(fileOf(face, script)));

/** The letters that a font file has, as numbers; without the end mark of its table. */
const lettersIn = (bytes) => new Set(fontkit.create(bytes).characterSet.filter((code) => code < 0xffff));

/** Letters as a style sheet names them: "U+20-7E,U+A0". */
function unicodeRange(letters) {
  const runs = [];
  for (const code of [...letters].sort((one, other) => one - other)) {
    const last = runs.at(-1);
    if (last && code === last.to + 1) last.to = code;
    else runs.push({ from: code, to: code });
  }
  const hex = (code) => code.toString(16).toUpperCase();
  return runs.map(({ from, to }) => `U+${hex(from)}${to > from ? `-${hex(to)}` : ""}`).join(",");
}

// The weights as the whole face states them: only of rules that state the same does a browser make one face.
const rule = (family, url, letters) => `@font-face {
  font-family: "${family}";
  font-style: normal;
  font-display: swap;
  font-weight: 200 800;
  src: url("${url}") format("woff2-variations");
  unicode-range: ${unicodeRange(letters)};
}
`;

/** The rules of a face: of the letters that come first, and of its two files. */
async function rulesOf(face) {
  const first = await subsetFont(read(face, "latin"), FIRST_LETTERS, {
    targetFormat: "woff2",
    keepFeatures: face.features,
    variationAxes: face.axes,
  });
  const before = new Set();
  return [
    [`data:font/woff2;base64,${first.toString("base64")}`, first],
    ...["latin", "latin-ext"].map((script) => [
      `../../node_modules/${fileOf(face, script)}`,
      read(face, script),
    ]),
  ].map(([url, bytes]) => {
    const letters = [...lettersIn(bytes)].filter((code) => !before.has(code));
    for (const code of letters) before.add(code);
    return rule(face.family, url, letters);
  });
}

/** Writes the style sheet; false where it is as it should be. With `check` writes nothing. */
export async function writeLetters({ check = false } = {}) {
  const rules = await Promise.all(FACES.map(rulesOf));
  const sheet = ["/* Which file has which letters. Written by `npm run generate`. */", ...rules.flat()].join(
    "\n",
  );
  if (existsSync(SHEET) && readFileSync(SHEET, "utf8") === sheet) return false;
  if (!check) writeFileSync(SHEET, sheet);
  return true;
}
