import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, describe, expect, it } from "vitest";
import { offlineFiles } from "./offlineFiles";

const root = mkdtempSync(join(tmpdir(), "odd-lead-"));
afterAll(() => rmSync(root, { recursive: true }));

function put(path: string, text = ""): void {
  const file = join(root, path);
  mkdirSync(join(file, ".."), { recursive: true });
  writeFileSync(file, text);
}

describe("what a device keeps of the application", () => {
  it("is every file of the build once, by the address that a page asks for", () => {
    put(".next/BUILD_ID", "one\n");
    put(".next/static/css/a.css");
    put(".next/static/css/a.css.br");
    put(".next/static/chunks/app/jobs/[job]/page.js");
    put(".next/static/chunks/app/jobs/[job]/page.js.br");
    put("public/icons/small.png");
    const { build, files } = offlineFiles(root);
    expect(build).toBe("one");
    expect(files).toEqual([
      "/kept",
      "/manifest.webmanifest",
      "/_next/static/chunks/app/jobs/%5Bjob%5D/page.js",
      "/_next/static/css/a.css",
      "/icons/small.png",
    ]);
  });
});
