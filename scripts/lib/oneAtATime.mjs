import { readFileSync, renameSync, rmSync, statSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { isOurs } from "./instances.mjs";
import { DATA } from "./project.mjs";
import { say } from "./say.mjs";

const LOOK_MS = 400;
const WRITTEN_WITHIN_MS = 5000;

/**
 * Does what two commands of this checkout must not do at once; a second one waits for the first. A command that was killed
 * while it did it holds nobody up.
 *
 * @param name of what is done, as a file name.
 */
export async function oneAtATime(name, work) {
  const file = join(DATA, `${name}.pid`);
  let said = false;
  while (!taken(file)) {
    if (clearedOfTheDead(file)) continue;
    if (!said) say("Another command of this checkout is making it ready; waiting for it …");
    said = true;
    await new Promise((resolve) => setTimeout(resolve, LOOK_MS));
  }
  try {
    return await work();
  } finally {
    rmSync(file, { force: true });
  }
}

function taken(file) {
  try {
    writeFileSync(file, `${process.pid}\n`, { flag: "wx" });
    return true;
  } catch (error) {
    if (error.code !== "EEXIST") throw error;
    return false;
  }
}

/** Takes away the file of a command that is no more; whether there was one. */
function clearedOfTheDead(file) {
  const holder = holderOf(file);
  // In a container the command after a killed one has its very number.
  const lives = holder === null ? isYoung(file) : holder !== process.pid && isOurs(holder);
  if (lives) return false;
  // Renamed first: of two that clear, one alone has it, and nobody's new file is taken away.
  const aside = `${file}-${process.pid}`;
  try {
    renameSync(file, aside);
  } catch {
    return true;
  }
  if (holderOf(aside) === holder) rmSync(aside, { force: true });
  else renameSync(aside, file);
  return true;
}

/** Whether a file without a process in it may still be being written; a power cut leaves one that is not. */
function isYoung(file) {
  try {
    return Date.now() - statSync(file).mtimeMs < WRITTEN_WITHIN_MS;
  } catch {
    return false;
  }
}

/** The process that wrote a file; null where it is not there or not wholly written yet. */
function holderOf(file) {
  try {
    const text = readFileSync(file, "utf8");
    return text.endsWith("\n") ? Number(text) : null;
  } catch {
    return null;
  }
}
