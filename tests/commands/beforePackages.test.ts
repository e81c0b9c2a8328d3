import { readFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { expect, test } from "vitest";

/** The commands that install the packages themselves where they are missing. */
const COMMANDS = ["start", "test", "dev", "backup", "restore"];
/** What is imported as a file is loaded, not what is asked for while it runs. */
const LOADED = /^(?:import|export)\s(?:[^;"]*?\sfrom\s)?"([^"]+)";/gm;

/** Everything that is loaded with a file, from the file on: by who loads it, what of it is neither Node's own nor ours. */
function strangers(file: string, seen = new Set<string>()): string[] {
  if (seen.has(file)) return [];
  seen.add(file);
  return [...readFileSync(file, "utf8").matchAll(LOADED)].flatMap(([, name = ""]) => {
    if (name.startsWith(".")) return strangers(join(dirname(file), name), seen);
    return name.startsWith("node:") ? [] : [`${file} loads ${name}`];
  });
}

test.each(COMMANDS)("npm run %s loads nothing of a package before packages are installed", (command) => {
  expect(strangers(`scripts/${command}.mjs`)).toEqual([]);
});

test("a package that is loaded too early is found", () => {
  expect(strangers("scripts/lib/directly.mjs")).toContain("scripts/lib/directly.mjs loads compression");
});
