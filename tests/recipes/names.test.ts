import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { expect, it } from "vitest";

const SRC = join(import.meta.dirname, "../../src");
const EXPORTED_TYPE = /^export (?:interface|type) ([A-Z]\w*)/gm;

it("no two types that files share have one name: each noun is described once", () => {
  const files = readdirSync(SRC, { recursive: true, encoding: "utf8" }).filter((file) =>
    /\.tsx?$/.test(file),
  );
  const homes = new Map<string, string[]>();
  for (const file of files)
    for (const [, name = ""] of readFileSync(join(SRC, file), "utf8").matchAll(EXPORTED_TYPE))
      homes.set(name, [...(homes.get(name) ?? []), file]);
  expect(homes.size).toBeGreaterThan(400);
  const twice = [...homes].filter(([, list]) => new Set(list).size > 1);
  expect(Object.fromEntries(twice)).toEqual({});
});
