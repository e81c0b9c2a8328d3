import { randomBytes } from "node:crypto";
import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { capture } from "./run.mjs";
import { Remedy, say } from "./say.mjs";

/** Whether this process is root now; a started server gives that up. */
export const isRoot = () => process.getuid?.() === 0;
/** Who runs the database where we are root, which it refuses to run as. */
export const SYSTEM_USER = "postgres";

/** Runs a database program as the unprivileged user, away from folders that user may not enter. */
export function asUser(program, args, options = {}) {
  const env = { ...process.env, LC_ALL: "C.UTF-8" };
  return isRoot()
    ? capture("runuser", ["-u", SYSTEM_USER, "--", program, ...args], { cwd: "/", env, ...options })
    : capture(program, args, { cwd: "/", env, ...options });
}

/**
 * The cluster in `place`, made at its first use; gives the password of its one user. A data folder that is there is
 * never deleted, replaced or written over: where something of it is missing it is mended, or said with what to do.
 *
 * @param programs folder of initdb.
 */
export function ensureCluster(programs, place) {
  const data = join(place, "data");
  const secret = join(place, "password");
  if (holdsSomething(data)) {
    if (!existsSync(join(data, "PG_VERSION")))
      throw new Remedy(
        `The database folder ${data} holds files but no PG_VERSION and was left as it is; put that file back from a copy, or move the folder away to begin with an empty database.`,
      );
    if (!existsSync(secret)) giveNewPassword(programs, { data, secret });
    return readFileSync(secret, "utf8").trim();
  }
  say(`Making a database cluster in ${place} …`);
  mkdirSync(place, { recursive: true });
  // Data may have been moved away for a while: a password that is there goes on serving.
  if (!existsSync(secret))
    writeFileSync(secret, `${randomBytes(18).toString("hex")}\n`, { mode: 0o600, flag: "wx" });
  make(programs, place, { data, secret });
  return readFileSync(secret, "utf8").trim();
}

/**
 * A new password for the cluster's user where the file was lost, by PostgreSQL alone with the data (`--single`), which asks
 * for none. Nothing else of the data is touched. One interrupted in between is
 * begun anew.
 */
function giveNewPassword(programs, { data, secret }) {
  if (existsSync(join(data, "postmaster.pid")))
    throw new Remedy(
      `The password file ${secret} is missing and the database in ${data} may be running; stop it, or put the file back from a copy, and try again.`,
    );
  say(
    `The password file ${secret} is missing; giving the database a new password, its data stay as they are …`,
  );
  const password = randomBytes(18).toString("hex");
  const statement = `alter role odd_lead password '${password}';\n`;
  const done = asUser(`${programs}/postgres`, ["--single", "-D", data, "postgres"], { input: statement });
  if (done.status !== 0 || /ERROR|FATAL/.test(done.err))
    throw new Remedy(
      `The password file ${secret} of the database in ${data} is missing and could not be made anew (${lastLine(done.err)}); put it back from a copy, or move ${data} away to begin with an empty database.`,
    );
  const unfinished = `${secret}-${randomBytes(4).toString("hex")}`;
  writeFileSync(unfinished, `${password}\n`, { mode: 0o600, flag: "wx" });
  if (isRoot()) capture("chown", [SYSTEM_USER, unfinished]);
  renameSync(unfinished, secret);
}

/** Made under a name of its own and renamed when whole, so that an interrupted start leaves no half of a data folder. */
function make(programs, place, { data, secret }) {
  const unfinished = join(place, `unfinished-${randomBytes(6).toString("hex")}`);
  mkdirSync(unfinished);
  if (isRoot()) for (const path of [place, secret, unfinished]) capture("chown", [SYSTEM_USER, path]);
  capture("chmod", ["700", place]);
  const words = ["-D", unfinished, "-U", "odd_lead", "-A", "scram-sha-256", `--pwfile=${secret}`];
  const made = asUser(`${programs}/initdb`, [...words, "-E", "UTF8", "--locale=C.UTF-8", "--data-checksums"]);
  if (made.status !== 0) {
    rmSync(unfinished, { recursive: true, force: true });
    throw new Remedy(`The database cluster in ${place} could not be made: ${lastLine(made.err || made.out)}`);
  }
  // Onto nothing or an empty folder; anything else in the way makes this fail and stays.
  renameSync(unfinished, data);
}

/** The major version that made a cluster's data; null where there is none yet. */
export function versionOf(place) {
  const file = join(place, "data", "PG_VERSION");
  return existsSync(file) ? readFileSync(file, "utf8").trim() : null;
}

/** Whether a cluster is in a place, as far as one can look. */
export function holdsCluster(place) {
  return holdsSomething(join(place, "data"));
}

/** Whether a folder is there with anything in it; what cannot be looked into counts as holding something. */
function holdsSomething(folder) {
  try {
    return readdirSync(folder).length > 0;
  } catch (error) {
    if (error.code === "ENOENT") return false;
    throw new Remedy(
      `The database folder ${folder} cannot be read (${error.code}) and was left as it is; run as the user it belongs to, or move it away to begin with an empty database.`,
    );
  }
}

/** The last line of what a program printed. */
export function lastLine(text) {
  return text.trim().split("\n").at(-1) ?? "";
}
