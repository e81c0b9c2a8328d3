import { execFileSync } from "node:child_process";
import {
  cpSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";

const ROOT = join(import.meta.dirname, "../..");
/** What the lists are made from, and the script that makes them. */
const TAKEN = [
  "src",
  "scripts",
  "docs/formats",
  "package.json",
  "package-lock.json",
  "tsconfig.json",
  "drizzle.config.ts",
  "NOTICES.md",
];

const NEW_FILES = {
  "src/core/motor/families/kilnFan.ts": `import type { Family } from "../family";
import { oneWinding } from "./oneWinding";

export const kilnFan: Family = { ...oneWinding, id: "kiln-fan", title: "kiln fan, one winding" };
`,
  "src/core/wiring/equipment/kilnSwitch.ts": `import type { Equipment } from "../equipmentEntry";
import { benchCord } from "./benchCord";

export const kilnSwitch: Equipment = {
  place: 999,
  meantFor: [{ family: "kiln-fan", leads: [2] }],
  made: { ...benchCord.made, id: "kiln-switch", title: "Kiln switch" },
};
`,
  "src/core/record/facts/kinds/kilnHeat.ts": `import * as z from "zod/mini";
import { factKind, named } from "../kind";

export const kilnHeatFact = factKind("kiln-heat", {
  schema: z.object({ kind: named("kiln-heat"), says: z.string() }),
  change: (draft, body) => {
    draft.title = body.says;
  },
});
`,
  "src/contract/routes/kiln.ts": `import * as z from "zod/mini";
import { route } from "../route";

export const kilnHeat = route({
  id: "kilnHeat",
  method: "GET",
  path: "/api/v1/kilns/{kiln}",
  summary: "How hot it is",
  params: z.object({ kiln: z.uuid() }),
  answer: z.object({ degrees: z.number() }),
});
`,
} as const;

const USES = `
import { deriveJob, familyById, readFact } from "./src/core";
import { openApi } from "./src/contract";
import { compartmentById } from "./src/core/wiring";
const read = readFact({ id: "019c6adf-2698-7f89-84a8-17c898cd6c18", at: "2026-02-17T09:12:15.256Z", by: "", body: { kind: "kiln-heat", says: "hot" } });
console.log(JSON.stringify({
  family: familyById("kiln-fan")?.title,
  equipment: compartmentById("kiln-switch")?.title,
  title: read.ok ? deriveJob([read.fact]).title : read.faults,
  operation: openApi().paths["/api/v1/kilns/{kiln}"]?.get?.operationId,
}));
`;

let copy = "";

beforeAll(() => {
  copy = mkdtempSync(join(tmpdir(), "odd-lead-recipes-"));
  for (const part of TAKEN) cpSync(join(ROOT, part), join(copy, part), { recursive: true });
  symlinkSync(join(ROOT, "node_modules"), join(copy, "node_modules"));
});

afterAll(() => rmSync(copy, { recursive: true, force: true }));

/** Every file under a folder with what stands in it. */
function contents(folder: string): Map<string, string> {
  return new Map(
    readdirSync(folder, { recursive: true, withFileTypes: true })
      .filter((entry) => entry.isFile())
      .map((entry) => join(entry.parentPath, entry.name))
      .map((path) => [path, readFileSync(path, "latin1")]),
  );
}

describe("adding a family, an equipment, a fact and a route", () => {
  it("is one new file each; the lists follow by `npm run generate`, and all of it is known", () => {
    const before = contents(join(copy, "src"));
    for (const [path, text] of Object.entries(NEW_FILES)) {
      expect(existsSync(join(copy, path))).toBe(false);
      writeFileSync(join(copy, path), text);
    }
    execFileSync("node", ["scripts/generate.mjs"], { cwd: copy });
    const after = contents(join(copy, "src"));
    const changed = [...after].filter(([path, text]) => before.get(path) !== text).map(([path]) => path);
    const lists = ["core/motor/families", "core/wiring/equipment", "core/record/facts", "contract"].map(
      (folder) => `src/${folder}/found.ts`,
    );
    expect(changed.sort()).toEqual(
      [...Object.keys(NEW_FILES), ...lists].map((path) => join(copy, path)).sort(),
    );
    writeFileSync(join(copy, "uses.ts"), USES);
    const said = execFileSync(join(ROOT, "node_modules/.bin/tsx"), ["uses.ts"], {
      cwd: copy,
      encoding: "utf8",
    });
    expect(JSON.parse(said)).toEqual({
      family: "kiln fan, one winding",
      equipment: "Kiln switch",
      title: "hot",
      operation: "kilnHeat",
    });
  });
});
