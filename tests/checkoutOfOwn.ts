import { type ChildProcess, spawn, spawnSync } from "node:child_process";
import {
  chmodSync,
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  symlinkSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

/** What a start reads of a checkout: copied, for where a file lies says which checkout it is of. */
const COPIED = [
  "scripts",
  "src",
  "public",
  "drizzle.config.ts",
  "package.json",
  "package-lock.json",
  "next.config.ts",
  "tsconfig.json",
  "tsconfig.build.json",
];
/** What is large, and the same for every checkout of these sources. */
const SHARED = ["node_modules", ".next"];

/** A started application of a checkout. */
export interface Started {
  readonly child: ChildProcess;
  /** Where it serves; refused with what it said where it ended before. */
  readonly address: Promise<string>;
  readonly ended: Promise<number | null>;
  /** All that it said so far. */
  readonly said: () => string;
}

/**
 * A checkout of a test's own with a database cluster of its own, to be started, killed and filled up as a person's
 * would be: built packages and sources are those of this checkout.
 */
export class CheckoutOfOwn {
  private folder: string;
  private readonly running: ChildProcess[] = [];

  constructor() {
    if (!isReady())
      throw new Error("packages or build are not those of the sources; run npm test, or npm start once");
    this.folder = mkdtempSync(join(tmpdir(), "odd-lead-checkout-"));
    // The user who runs the database must be able to pass.
    chmodSync(this.root, 0o755);
    for (const name of COPIED) if (existsSync(name)) cpSync(name, join(this.root, name), { recursive: true });
    for (const name of SHARED) symlinkSync(join(process.cwd(), name), join(this.root, name));
    mkdirSync(this.data);
  }

  get root(): string {
    return this.folder;
  }

  /** Puts all of it elsewhere; nothing of it may run. */
  move(): void {
    const elsewhere = `${this.folder}-moved`;
    renameSync(this.folder, elsewhere);
    this.folder = elsewhere;
  }

  /** What the commands keep between runs. */
  get data(): string {
    return join(this.root, ".data");
  }

  /** `npm start` as a person runs it. */
  start(env: Record<string, string> = {}, words: readonly string[] = []): Started {
    const { DATABASE_URL: _, ...own } = process.env;
    const child = spawn("node", ["scripts/start.mjs", ...words], { cwd: this.root, env: { ...own, ...env } });
    this.running.push(child);
    let said = "";
    const ended = new Promise<number | null>((resolve) => child.once("exit", resolve));
    const address = new Promise<string>((resolve, reject) => {
      const hear = (part: Buffer) => {
        said += part.toString();
        const found = /runs at (http:\S+)/.exec(said)?.[1];
        if (found) resolve(found);
      };
      child.stdout?.on("data", hear);
      child.stderr?.on("data", hear);
      void ended.then((code) => reject(new Error(`ended with ${code}: ${said}`)));
    });
    // Who does not ask where it serves is not to be told that it never did.
    address.catch(() => undefined);
    return { child, address, ended, said: () => said };
  }

  /** The database's own process; null while none runs. */
  postmaster(): number | null {
    const file = join(this.data, "postgres", "data", "postmaster.pid");
    if (!existsSync(file)) return null;
    const pid = Number(readFileSync(file, "utf8").split("\n")[0]);
    return isAlive(pid) ? pid : null;
  }

  /** The database server with all that it started, to be frozen or killed as one. */
  databaseProcesses(): number[] {
    const head = this.postmaster();
    return head === null ? [] : [head, ...childrenOf(head)];
  }

  /** Ends whatever runs, at once. */
  kill(): void {
    for (const child of this.running) child.kill("SIGKILL");
    for (const pid of this.databaseProcesses()) signal(pid, "SIGKILL");
  }

  /** Ends whatever runs and takes the folder away. */
  remove(): void {
    this.kill();
    rmSync(this.root, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 });
  }
}

/** Sends a signal to a process that may be gone by then. */
export function signal(pid: number, name: NodeJS.Signals): void {
  try {
    process.kill(pid, name);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== "ESRCH") throw error;
  }
}

/** Whether a start would install and build nothing: in the shared folders it would do so under everybody's feet. */
function isReady(): boolean {
  const program = `
    import { installed, isBuilt } from "./scripts/lib/project.mjs";
    process.exit(installed().isThese && isBuilt() ? 0 : 1);`;
  return spawnSync("node", ["--input-type=module", "-e", program]).status === 0;
}

function isAlive(pid: number): boolean {
  return existsSync(`/proc/${pid}`);
}

function childrenOf(parent: number): number[] {
  return readdirSync("/proc")
    .filter((name) => /^\d+$/.test(name))
    .map(Number)
    .filter((pid) => {
      try {
        // After the name in brackets: state, then the parent.
        return Number(/\) \S (\d+)/.exec(readFileSync(`/proc/${pid}/stat`, "utf8"))?.[1]) === parent;
      } catch {
        return false;
      }
    });
}
