import { chownSync, existsSync, mkdirSync } from "node:fs";
import { join } from "node:path";
import { BACKUPS, backupsIn } from "./backups.mjs";
import { isRoot, SYSTEM_USER } from "./cluster.mjs";
import { DATA, ROOT } from "./project.mjs";
import { capture } from "./run.mjs";
import { say } from "./say.mjs";

/** Who serves where the database is somebody else's to run. */
const NOBODY = "nobody";

/**
 * Gives up root once all is made ready, for good: from here on this process serves, watches the database and backs up as
 * the user who runs the database, or as nobody where that is run elsewhere. Where that user cannot read the checkout it is
 * said, and root is kept.
 *
 * @param ownDatabase whether the database is run by this checkout.
 * @param quietly where another process says what there is to say.
 */
export function stepDown(ownDatabase, { quietly = false } = {}) {
  if (!isRoot()) return;
  const user = ownDatabase ? SYSTEM_USER : NOBODY;
  const [uid, gid] = ["-u", "-g"].map((what) => Number(capture("id", [what, user]).out.trim() || Number.NaN));
  const needed = [".next/BUILD_ID", "node_modules/next/package.json", "scripts/backup.mjs"];
  const read = needed.map((name) => join(ROOT, name));
  const reads = read.every((path) => capture("runuser", ["-u", user, "--", "test", "-r", path]).status === 0);
  if (!uid || !gid || !reads) {
    if (quietly) return;
    say(
      `It runs as root, for the user “${user}” cannot read ${ROOT}; better put the checkout where everybody can read it, or start it as a user of its own.`,
    );
    return;
  }
  handOverBackups(user, uid, gid);
  process.chdir(ROOT);
  process.initgroups(user, gid);
  process.setgid(gid);
  process.setuid(uid);
  // What looks for its settings at home must not look in root's.
  process.env.HOME = ROOT;
}

/** Gives the backups to who makes them from now on: our own files and folder alone, nothing else of a folder that was named. */
function handOverBackups(user, uid, gid) {
  const own = BACKUPS.startsWith(DATA) || !existsSync(BACKUPS);
  mkdirSync(BACKUPS, { recursive: true, mode: 0o700 });
  if (own) chownSync(BACKUPS, uid, gid);
  for (const name of backupsIn(BACKUPS)) chownSync(join(BACKUPS, name), uid, gid);
  if (capture("runuser", ["-u", user, "--", "test", "-w", BACKUPS]).status !== 0)
    say(`The user “${user}” may not write in ${BACKUPS}: backups fail until it may.`);
}
