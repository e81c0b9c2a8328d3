import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { DATA } from "./project.mjs";

/** Which start commands of this checkout are alive, so that the last one out stops the database. */

const FOLDER = join(DATA, "running");

/** Enters this process; gives the function that takes it out again. */
export function enter(what) {
  mkdirSync(FOLDER, { recursive: true });
  const file = join(FOLDER, String(process.pid));
  writeFileSync(file, `${what}\n`);
  return () => cleared(file);
}

/** Takes an entry out, or leaves it to the next command where this one has stepped down from the user that made it. */
function cleared(file) {
  try {
    rmSync(file, { force: true });
  } catch (error) {
    if (error.code !== "EACCES" && error.code !== "EPERM") throw error;
  }
}

/** Other living processes of this checkout; entries of dead ones (a kill -9, a power cut) are cleared away. */
export function others() {
  if (!existsSync(FOLDER)) return [];
  return readdirSync(FOLDER)
    .map((name) => ({ pid: Number(name), what: readFileSync(join(FOLDER, name), "utf8").trim() }))
    .filter(({ pid }) => {
      if (pid === process.pid) return false;
      const alive = isOurs(pid);
      if (!alive) cleared(join(FOLDER, String(pid)));
      return alive;
    });
}

/** A pid may have gone to a stranger since: only a node that runs one of our scripts counts. */
export function isOurs(pid) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, "utf8").includes("scripts/");
  } catch {
    return false;
  }
}
