import { readdirSync } from "node:fs";
import { dirname, join, sep } from "node:path";
import { bundled } from "./bundled.mjs";

/**
 * The routes under /api are asked many times a second and need nothing of the framework: the build makes a second
 * entrance to the same route files, and a request that is for one of them goes there at once.
 */

const ROUTES = join("src", "app", "api");
const ROUTE = "route.ts";

/** Makes the entrance out of the route files of a checkout. */
export async function makeDirect(root, outfile) {
  const files = readdirSync(join(root, ROUTES), { recursive: true })
    .filter((name) => name === ROUTE || name.endsWith(sep + ROUTE))
    .map((name) => ({ file: `./${join(ROUTES, name)}`, address: addressOf(dirname(name).split(sep)) }))
    .filter(({ address }) => !address.includes("["))
    // A name in the address before a place for any: of two that fit, the first answers.
    .sort((a, b) => (a.address.replaceAll(":", "~") < b.address.replaceAll(":", "~") ? -1 : 1));
  const imports = files.map(({ file }, i) => `import * as r${i} from ${JSON.stringify(file)};`);
  const list = files.map(({ address }, i) => `  [${JSON.stringify(address)}, r${i}],`);
  const text = [...imports, "export const routes = [", ...list, "];", ""].join("\n");
  await bundled({ text, folder: root }, outfile, "cjs");
}

/** The address of a folder of the App Router, what is in brackets as the router here takes it: `:job`. */
function addressOf(folders) {
  return `/api/${folders.map((name) => name.replace(/^\[(\w+)\]$/, ":$1")).join("/")}`;
}
