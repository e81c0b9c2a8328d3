import { Worker } from "node:worker_threads";
import { afterEach, describe, expect, it, vi } from "vitest";
import { QueueFull } from "../queue";
import { LOADED } from "./order";
import { Abandoned, Threads, TooLong } from "./threads";

/** A thread that says back, dawdles, fails or ends, as it is told. */
const WORKER = `
const { parentPort } = require("node:worker_threads");
parentPort.on("message", ({ id, what, given }) => {
  if (what === "end") process.exit(3);
  if (what === "fail") return parentPort.postMessage({ id, failed: { message: given[0], code: given[1] } });
  const until = Date.now() + (what === "dawdle" ? given[0] : 0);
  while (Date.now() < until);
  parentPort.postMessage({ id, value: given });
});
parentPort.postMessage(${JSON.stringify(LOADED)});`;

const opened: Threads[] = [];
let made = 0;
function threads(most: Partial<ConstructorParameters<typeof Threads>[1]> = {}, code = WORKER) {
  made = 0;
  const all = new Threads(
    () => {
      made += 1;
      return new Worker(code, { eval: true });
    },
    { threads: 1, waiting: 20, waitingOfOne: 10, workMs: 2000, loadMs: 30_000, ...most },
  );
  opened.push(all);
  return all;
}
afterEach(async () => {
  for (const one of opened.splice(0)) await one.close();
});

const say = (n: number, account = "a") => ({ account, what: "say", given: [n] });
const dawdle = (ms: number, more: { account?: string; signal?: AbortSignal } = {}) => ({
  account: "a",
  what: "dawdle",
  given: [ms],
  ...more,
});

describe("threads", () => {
  it("answer each what it asked, and stay for the next", async () => {
    const all = threads({ threads: 2 });
    const values = await Promise.all(Array.from({ length: 8 }, (_, n) => all.run(say(n))));
    expect(values).toEqual(Array.from({ length: 8 }, (_, n) => [n]));
    expect(made).toBe(2);
    await all.run(say(9));
    expect(made).toBe(2);
  });

  it("hand on what was thrown, with its code", async () => {
    const all = threads();
    await expect(all.run({ account: "a", what: "fail", given: ["no road", "57P01"] })).rejects.toMatchObject({
      message: "no road",
      code: "57P01",
    });
    expect(await all.run(say(1))).toEqual([1]);
  });

  it("end what takes too long, tell its time, and go on", async () => {
    const all = threads({ workMs: 800 });
    const spent: number[] = [];
    await expect(all.run(dawdle(60_000), (ms) => spent.push(ms))).rejects.toBeInstanceOf(TooLong);
    expect(spent).toHaveLength(1);
    expect(spent[0]).toBeGreaterThan(700);
    expect(await all.run(say(1))).toEqual([1]);
    expect(made).toBe(2);
  });

  it("count no start of a thread as its work", async () => {
    const slow = `const ready = Date.now() + 900; while (Date.now() < ready); ${WORKER}`;
    const spent: number[] = [];
    const all = threads({ workMs: 600 }, slow);
    expect(await all.run(say(1), (ms) => spent.push(ms))).toEqual([1]);
    expect(spent[0]).toBeLessThan(600);
  });

  it("give up one that never loads", async () => {
    const all = threads({ loadMs: 300 }, "setInterval(() => undefined, 1000);");
    await expect(all.run(say(1))).rejects.toThrow("does not load");
  });

  it("go on after a thread ended by itself", async () => {
    const all = threads();
    await expect(all.run({ account: "a", what: "end", given: [] })).rejects.toThrow("ended");
    expect(await all.run(say(1))).toEqual([1]);
  });

  it("let accounts take turns: one who asks much does not hold up another", async () => {
    const all = threads();
    const order: string[] = [];
    const asked = (account: string, n: number) => all.run(say(n, account)).then(() => order.push(account));
    await Promise.all([
      asked("greedy", 1),
      asked("greedy", 2),
      asked("greedy", 3),
      asked("greedy", 4),
      asked("other", 1),
    ]);
    expect(order.indexOf("other")).toBeLessThan(3);
  });

  it("take no more than may wait, of one and of all", async () => {
    const all = threads({ waitingOfOne: 1, waiting: 2 });
    const busy = all.run(dawdle(150));
    const own = all.run(say(1));
    await expect(all.run(say(2))).rejects.toBeInstanceOf(QueueFull);
    const other = all.run(say(3, "b"));
    await expect(all.run(say(4, "c"))).rejects.toBeInstanceOf(QueueFull);
    expect(await Promise.all([busy, own, other])).toEqual([[150], [1], [3]]);
  });

  it("stop what nobody waits for, running or still to come", async () => {
    const all = threads({ workMs: 60_000 });
    const gone = new AbortController();
    const running = all.run(dawdle(50_000, { signal: gone.signal }));
    const waiting = all.run(dawdle(50_000, { signal: gone.signal }));
    gone.abort();
    await expect(running).rejects.toBeInstanceOf(Abandoned);
    await expect(waiting).rejects.toBeInstanceOf(Abandoned);
    expect(await all.run(say(1))).toEqual([1]);
  });
});

describe("how work ended is told", () => {
  it("also of an error whose class another route was built with a copy of", async () => {
    const first = await import("./threads");
    vi.resetModules();
    const second = await import("./threads");
    const queue = await import("../queue");
    expect(second.Abandoned).not.toBe(first.Abandoned);
    expect(second.isAbandoned(new first.Abandoned("nobody waits"))).toBe(true);
    expect(second.isTooLong(new first.TooLong(5))).toBe(true);
    expect(queue.isQueueFull(new QueueFull("too many"))).toBe(true);
    for (const other of [new Error("Abandoned"), { name: "Abandoned" }, null]) {
      expect(second.isAbandoned(other)).toBe(false);
      expect(queue.isQueueFull(other)).toBe(false);
    }
  });
});
