import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import ts from "typescript";
import { describe, expect, it } from "vitest";
import { NEVER_DRAWN } from "../../../scripts/lib/fewScripts";
import { COMPONENTS } from "./components";

const SOURCES = readdirSync("src", { recursive: true, encoding: "utf8" })
  .filter((name) => name.endsWith(".tsx"))
  .map((name) => join("src", name));

/** Every attribute of every element in a file, as "Button loading". */
function attributes(file: string): string[] {
  const source = ts.createSourceFile(file, readFileSync(file, "utf8"), ts.ScriptTarget.Latest, true);
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isJsxOpeningElement(node) || ts.isJsxSelfClosingElement(node))
      for (const one of node.attributes.properties)
        if (one.name) found.push(`${node.tagName.getText()} ${one.name.getText()}`);
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

describe("what the build leaves out of the pages", () => {
  it("is there in the package, so that leaving it out does something", () => {
    for (const file of ["ButtonBase/TouchRipple.mjs", "CircularProgress/index.mjs"]) {
      const path = join("node_modules", "@mui", "material", file);
      expect(readFileSync(path, "utf8")).not.toBe("");
      expect(join("/somewhere", path)).toMatch(NEVER_DRAWN.which);
    }
  });

  it("is drawn by nobody: no button ripples, and none is told that it loads", () => {
    expect(COMPONENTS.MuiButtonBase?.defaultProps?.disableRipple).toBe(true);
    const all = SOURCES.flatMap(attributes);
    expect(all).toContain("Button onClick");
    const asks = /Button loading$| (disableRipple|TouchRippleProps|touchRippleRef)$/;
    expect(all.filter((one) => asks.test(one))).toEqual([]);
    for (const file of SOURCES) expect(readFileSync(file, "utf8")).not.toContain("CircularProgress");
  });
});
