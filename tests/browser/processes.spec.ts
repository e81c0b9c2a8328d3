import { execFileSync } from "node:child_process";
import { expect, test } from "@playwright/test";
import { v7 as uuid } from "uuid";
import { CheckoutOfOwn } from "../checkoutOfOwn";

/** npm start with several processes on one port: a caller cannot tell which one answers. */

const PROCESSES = 2;

let checkout: CheckoutOfOwn;
test.beforeEach(() => {
  checkout = new CheckoutOfOwn();
});
test.afterEach(() => checkout.remove());

/** Asks over a connection of its own, which the next process takes. */
async function asked(url: string, method = "GET", body?: unknown) {
  const response = await fetch(url, {
    method,
    headers: { connection: "close", "content-type": "application/json" },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  return { status: response.status, json: await response.json() };
}

/** Attaches a meter, moves its probes in all ways by whichever process, and detaches it. */
async function metersAlike(meters: string, seed: number): Promise<void> {
  const leads = ["a", "b", "c"].map((letter) => `${letter}${seed}`);
  const { json } = await asked(meters, "POST", { leads, seed });
  const meter = `${meters}/${json.meter}`;
  for (let touch = 0; touch < 8; touch++) {
    const there = await asked(`${meter}/probes`, "POST", { between: leads.slice(0, 2), touch });
    expect(there.status).toBe(200);
    const missing = await asked(`${meter}/probes`, "POST", { between: [leads[0], "z"], touch });
    expect(missing.status).toBe(422);
  }
  expect((await asked(meter, "DELETE")).status).toBe(200);
  for (let i = 0; i < PROCESSES; i++)
    expect((await asked(`${meter}/probes`, "POST", { lifted: true, touch: 9 })).status).toBe(404);
}

/** The processes that serve under a start command. */
function childrenOf(pid: number | undefined): number[] {
  const lines = execFileSync("ps", ["-eo", "pid=,ppid=,args="], { encoding: "utf8" }).split("\n");
  return lines.flatMap((line) => {
    const [child, parent] = line.trim().split(/\s+/).map(Number);
    return parent === pid && line.includes("serveOne.mjs") ? [child as number] : [];
  });
}

test("what one keeps all have; one that ends is started again, and all end with the start command", async () => {
  const started = checkout.start({ PROCESSES: String(PROCESSES) });
  const address = await started.address;
  const job = `${address}/api/v1/jobs/${uuid()}/facts`;
  const ids: string[] = [];
  for (let i = 0; i < 9; i++) {
    const fact = {
      id: uuid(),
      at: new Date().toISOString(),
      by: "",
      body: { kind: "title", title: `No. ${i}` },
    };
    ids.push(fact.id);
    expect((await asked(job, "POST", { facts: [fact] })).status).toBe(200);
    const { facts } = (await asked(job)).json as { facts: { id: string }[] };
    expect(facts.map(({ id }) => id)).toEqual(ids);
  }
  // Meters of both processes, side by side: each is on its own motor, whoever is asked.
  await Promise.all([1, 2, 3, 4].map((seed) => metersAlike(`${address}/api/v1/meter`, seed)));

  const [first, ...others] = childrenOf(started.child.pid);
  expect(others).toHaveLength(PROCESSES - 1);
  process.kill(first as number, "SIGKILL");
  await expect.poll(() => childrenOf(started.child.pid).length, { timeout: 30_000 }).toBe(PROCESSES);
  expect(started.said()).toContain("is started again");
  for (let i = 0; i < PROCESSES; i++) expect((await asked(`${address}/api/health`)).status).toBe(200);
  started.child.kill("SIGTERM");
  expect(await started.ended).toBe(0);
  expect(others.filter(lives)).toEqual([]);

  const again = checkout.start({ PROCESSES: String(PROCESSES) });
  await again.address;
  const children = childrenOf(again.child.pid);
  again.child.kill("SIGKILL");
  await again.ended;
  await expect.poll(() => children.filter(lives), { timeout: 30_000 }).toEqual([]);
});

test("a number of processes that is none is refused in a sentence", async () => {
  for (const count of ["0", "two", "1.5", "1000"]) {
    const started = checkout.start({ PROCESSES: count });
    started.address.catch(() => undefined);
    expect(await started.ended).toBe(1);
    expect(started.said()).toContain("give a number from 1 to 64");
  }
});

function lives(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
}
