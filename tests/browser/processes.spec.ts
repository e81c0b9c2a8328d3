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
  const { json } = await asked(`${address}/api/v1/meter`, "POST", { leads: ["a", "b", "c"], seed: 4 });
  const meter = `${address}/api/v1/meter/${json.meter}`;
  for (let touch = 0; touch < 6; touch++)
    expect((await asked(`${meter}/probes`, "POST", { between: ["a", "b"], touch })).status).toBe(200);
  expect((await asked(meter, "DELETE")).status).toBe(200);
  for (let i = 0; i < PROCESSES; i++)
    expect((await asked(`${meter}/probes`, "POST", { lifted: true, touch: 9 })).status).toBe(404);

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
