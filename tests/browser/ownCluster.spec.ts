import { spawnSync } from "node:child_process";
import { chmodSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { request } from "node:http";
import { dirname, join } from "node:path";
import { expect, test } from "@playwright/test";
import { v7 as uuid } from "uuid";
import { CheckoutOfOwn, type Started, signal } from "../checkoutOfOwn";

/** npm start with a database cluster of its own: whatever befalls it, what was entered is there afterwards. */

const isRoot = process.getuid?.() === 0;

/** A fact that names a job, as a device sends it. */
function named(title: string) {
  const made = { device: uuid(), seq: 0 };
  return { id: uuid(), at: new Date().toISOString(), by: "", made, body: { kind: "title", title } };
}

const factsAt = (address: string, job: string) => `${address}/api/v1/jobs/${job}/facts`;

/** A line of its own for each question: one kept open is closed by the server while a command holds this thread up. */
const ONCE = { connection: "close" };

/** Enters a job; gives its id, once the server confirmed it. */
async function entered(address: string, title: string): Promise<string> {
  const job = uuid();
  expect(await send(address, job, title)).toBe(200);
  return job;
}

/** Sends a title; the answer's status, 0 where there is none. */
async function send(address: string, job: string, title: string): Promise<number> {
  const body = JSON.stringify({ facts: [named(title)] });
  const headers = { "content-type": "application/json", ...ONCE };
  return fetch(factsAt(address, job), { method: "POST", headers, body }).then(
    ({ status }) => status,
    () => 0,
  );
}

async function titleOf(address: string, job: string): Promise<string | undefined> {
  const { facts } = await (await fetch(factsAt(address, job), { headers: ONCE })).json();
  return facts.at(-1)?.body.title;
}

const health = async (address: string) => (await fetch(`${address}/api/health`, { headers: ONCE })).json();

/** One plain sentence, and the start is over. */
async function refusal(started: Started): Promise<string> {
  expect(await started.ended).toBe(1);
  return started.said();
}

test.describe("a checkout that is started the first time", () => {
  let checkout: CheckoutOfOwn;
  test.beforeEach(() => {
    checkout = new CheckoutOfOwn();
  });
  test.afterEach(() => checkout.remove());

  test("killed at whatever moment, the next start goes on, and leaves nothing half made", async () => {
    for (const ms of [300, 900, 1600, 2400, 3300, 4300]) {
      const { child, ended } = checkout.start();
      await new Promise((resolve) => setTimeout(resolve, ms));
      child.kill("SIGKILL");
      await ended;
    }
    const { address, child, ended } = checkout.start();
    const job = await entered(await address, "Attic");
    expect(await titleOf(await address, job)).toBe("Attic");
    expect((await fetch(`${await address}/`)).status).toBe(200);
    child.kill("SIGTERM");
    expect(await ended).toBe(0);
    const again = checkout.start();
    expect(await titleOf(await again.address, job)).toBe("Attic");
  });

  test("started twice at once both serve, from one cluster", async () => {
    const both = [checkout.start(), checkout.start()];
    const [one, other] = await Promise.all(both.map(({ address }) => address));
    expect(one).not.toBe(other);
    const job = await entered(one ?? "", "Roof");
    expect(await titleOf(other ?? "", job)).toBe("Roof");
    const left = readdirSync(join(checkout.data, "postgres")).filter((name) => /^unfinished/.test(name));
    expect(left).toEqual([]);
  });

  test("whose data lie elsewhere, for nobody else could enter it then, finds them there when it can be entered", async () => {
    test.skip(!isRoot, "only root runs the database as somebody else");
    chmodSync(checkout.root, 0o700);
    const first = checkout.start();
    const job = await entered(await first.address, "Elsewhere");
    first.child.kill("SIGTERM");
    await first.ended;
    const place = readFileSync(join(checkout.data, "postgres-place"), "utf8").trim();
    try {
      expect(place).toMatch(/^\/var\/lib\/odd-lead\//);
      chmodSync(checkout.root, 0o755);
      const again = checkout.start();
      expect(await titleOf(await again.address, job)).toBe("Elsewhere");
      again.child.kill("SIGTERM");
      expect(await again.ended).toBe(0);
    } finally {
      rmSync(dirname(place), { recursive: true, force: true });
    }
  });

  test("on a disk that is full what is sent waits, and is taken once there is room, without a start", async () => {
    test.skip(!isRoot, "a small disk of one's own is root's to make");
    const place = join(checkout.data, "postgres");
    mkdirSync(place, { recursive: true });
    const mounted = spawnSync("mount", ["-t", "tmpfs", "-o", "size=192m,mode=755", "tmpfs", place]);
    test.skip(mounted.status !== 0, "this machine lets nobody make a small disk");
    try {
      const started = checkout.start();
      const address = await started.address;
      const job = await entered(address, "Before");
      const filler = join(place, "filler");
      spawnSync("dd", ["if=/dev/zero", `of=${filler}`, "bs=64k"]);
      expect(Number(spawnSync("stat", ["-f", "-c", "%a", place], { encoding: "utf8" }).stdout)).toBe(0);
      // Small writes fit into files that are there already: it is sent until it is refused.
      let status = 200;
      const long = "x".repeat(60);
      for (let i = 0; i < 3000 && status === 200; i++) status = await sendMany(address, job, long);
      expect([0, 503]).toContain(status);
      rmSync(filler);
      await expect.poll(() => send(address, job, "After"), { timeout: 60_000 }).toBe(200);
      expect(await titleOf(address, job)).toBe("After");
      expect(started.child.exitCode).toBeNull();
    } finally {
      checkout.kill();
      spawnSync("umount", ["-l", place]);
    }
  });
});

/** Hundreds of facts at once. */
async function sendMany(address: string, job: string, title: string): Promise<number> {
  const body = JSON.stringify({ facts: Array.from({ length: 400 }, () => named(title)) });
  const headers = { "content-type": "application/json", ...ONCE };
  return fetch(factsAt(address, job), { method: "POST", headers, body }).then(
    ({ status }) => status,
    () => 0,
  );
}

test.describe("a checkout that is at work", () => {
  test.describe.configure({ mode: "serial" });
  let checkout: CheckoutOfOwn;
  let started: Started;
  let address = "";
  let job = "";
  test.beforeAll(async () => {
    checkout = new CheckoutOfOwn();
    started = checkout.start();
    address = await started.address;
    job = await entered(address, "Attic");
  });
  test.afterAll(() => checkout.remove());

  async function restarted(words: readonly string[] = []): Promise<void> {
    started = checkout.start({}, words);
    address = await started.address;
  }

  test("its database killed is started again, and takes what is sent again", async () => {
    const head = checkout.postmaster();
    expect(head).not.toBeNull();
    signal(head ?? 0, "SIGKILL");
    await expect.poll(() => send(address, job, "Attic again"), { timeout: 60_000 }).toBe(200);
    expect(await titleOf(address, job)).toBe("Attic again");
    expect(checkout.postmaster()).not.toBe(head);
    expect(started.said()).toContain("started again");
  });

  test("its database frozen is told as away in time, and holds nothing up once it thaws", async () => {
    const frozen = checkout.databaseProcesses();
    for (const pid of frozen) signal(pid, "SIGSTOP");
    try {
      expect(await send(address, job, "Frozen")).toBe(503);
      const { status, database } = await health(address);
      expect([status, database]).toEqual(["degraded", "away"]);
    } finally {
      for (const pid of frozen) signal(pid, "SIGCONT");
    }
    await expect.poll(() => send(address, job, "Thawed"), { timeout: 30_000 }).toBe(200);
    expect(await titleOf(address, job)).toBe("Thawed");
  });

  test("it is backed up while it runs, by the user that it serves as", async () => {
    const command = ["node", join(checkout.root, "scripts", "backup.mjs")];
    const [program = "", ...words] = isRoot ? ["runuser", "-u", "postgres", "--", ...command] : command;
    const { DATABASE_URL: _, ...env } = process.env;
    const done = spawnSync(program, words, { cwd: "/", env, encoding: "utf8" });
    expect(done.stderr).toBe("");
    expect(done.stdout).toContain("Backed up and proved");
    expect(await titleOf(address, job)).toBe("Thawed");
  });

  test("told to stop it finishes what it is being sent, and then ends", async () => {
    const body = JSON.stringify({ facts: [named("Late")] });
    const status = new Promise<number>((resolve, reject) => {
      const sending = request(factsAt(address, job), {
        method: "POST",
        headers: { "content-type": "application/json", "content-length": body.length },
      });
      sending.once("response", ({ statusCode }) => resolve(statusCode ?? 0));
      sending.once("error", reject);
      sending.write(body.slice(0, 20));
      setTimeout(() => started.child.kill("SIGTERM"), 500);
      setTimeout(() => sending.end(body.slice(20)), 1500);
    });
    expect(await status).toBe(200);
    expect(await started.ended).toBe(0);
    expect(checkout.postmaster()).toBeNull();
    await restarted();
    expect(await titleOf(address, job)).toBe("Late");
  });

  test("begun anew it puts what was entered aside under its day", async () => {
    started.child.kill("SIGTERM");
    await started.ended;
    await restarted(["--fresh"]);
    expect(started.said()).toMatch(/put aside as the database odd_lead_20\d\d_\d\d_\d\d_/);
    expect((await (await fetch(factsAt(address, job))).json()).facts).toEqual([]);
    started.child.kill("SIGTERM");
    await started.ended;
  });

  test("moved as a whole it finds what was entered", async () => {
    await restarted();
    const other = await entered(address, "Cellar");
    started.child.kill("SIGTERM");
    await started.ended;
    checkout.move();
    await restarted();
    expect(await titleOf(address, other)).toBe("Cellar");
    job = other;
    started.child.kill("SIGTERM");
    await started.ended;
  });

  test("made private, or of another version, it says what to do and changes nothing", async () => {
    const version = join(checkout.data, "postgres", "data", "PG_VERSION");
    const own = readFileSync(version, "utf8");
    writeFileSync(version, "9\n");
    expect(await refusal(checkout.start())).toMatch(
      /made by PostgreSQL 9, which is not installed.*Nothing was changed/,
    );
    expect(readFileSync(version, "utf8")).toBe("9\n");
    writeFileSync(version, own);
    if (isRoot) {
      chmodSync(checkout.root, 0o700);
      expect(await refusal(checkout.start())).toMatch(/cannot enter any more.*Nothing was changed/);
      chmodSync(checkout.root, 0o755);
    }
    await restarted();
    expect(await titleOf(address, job)).toBe("Cellar");
    expect(existsSync(join(checkout.data, "postgres", "password"))).toBe(true);
  });
});
