import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";

/** What browsers that know it take for: compile all of this while it comes. Others read a comment. */
const ALL_CALLED = "//# allFunctionsCalledOnLoad\n";
/** Where the build writes down which scripts a page brings: those of every page, those of each, and parts of pages. */
const LISTS = /^(build-manifest|react-loadable-manifest)\.json$|_client-reference-manifest\.js$/;
const SCRIPT = /static\/chunks\/[^"\\]+?\.js/g;

/**
 * Has the browser compile the scripts of the pages whole while they come over the line, beside the page's thread. Else it
 * reads each function twice on that thread, once to find its end and again when it is called, and nearly all are.
 *
 * @param build the folder of the production build, before its scripts are packed.
 */
export function compileEarly(build) {
  const lists = readdirSync(build, { recursive: true }).filter((name) =>
    LISTS.test(name.split(/[\\/]/).at(-1)),
  );
  const scripts = new Set(
    lists
      .flatMap((name) => readFileSync(join(build, name), "utf8").match(SCRIPT) ?? [])
      .map(decodeURIComponent),
  );
  for (const script of scripts) {
    const file = join(build, script);
    const plain = readFileSync(file, "utf8");
    if (!plain.startsWith(ALL_CALLED)) writeFileSync(file, ALL_CALLED + plain);
  }
}
