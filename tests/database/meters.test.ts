import { connect } from "node:net";
import { sql } from "drizzle-orm";
import { afterAll, afterEach, beforeAll, describe, expect, it, vi } from "vitest";
import { USUAL_METER } from "@/core";
import { motorForLeads, scpiMeter, seededRandom, shownOf } from "@/core/bench";
import { attachedMeters } from "@/server/instrument/attachedMeters";
import { meterStream } from "@/server/instrument/meterStream";
import { scpiClient } from "@/server/instrument/scpiClient";
import { serveInstrument } from "@/server/instrument/standIn";
import { makeTestDatabase, type TestDatabase } from "./testDatabase";

type Meters = ReturnType<typeof attachedMeters>;

let test: TestDatabase;
let meters: Meters;

beforeAll(async () => {
  test = await makeTestDatabase();
  meters = attachedMeters(test.db);
});
afterAll(async () => {
  await test.drop();
});

const open: string[] = [];
afterEach(async () => {
  for (const id of open.splice(0)) await meters.detach(id);
});

/** The meters as another process behind the same database has them. */
async function another(): Promise<Meters> {
  const here = Reflect.get(globalThis, "oddLeadMeters");
  vi.resetModules();
  Reflect.deleteProperty(globalThis, "oddLeadMeters");
  const made = await import("@/server/instrument/attachedMeters");
  Reflect.set(globalThis, "oddLeadMeters", here);
  return made.attachedMeters(test.db);
}

async function bench(leads = ["a", "b", "c", "d"], seed = 7, client = "10.0.0.1", of = meters) {
  const meter = await of.openBench(client, leads, seed);
  open.push(meter.id);
  return meter;
}

type Meter = Awaited<ReturnType<typeof bench>>;

/** What the meter comes to rest on between two leads. */
async function rested(meter: Meter, a: string, b: string) {
  meter.scpi.command(`ROUT:TOUC "${a}","${b}"`);
  await new Promise((resolve) => setTimeout(resolve, 1500));
  return shownOf(await meter.scpi.query("READ?"));
}

describe("the stand-in meter over TCP", () => {
  it("answers in order, many questions at once", async () => {
    const { scpi } = await bench();
    const answers = await Promise.all(["*IDN?", "READ?", "SYST:ERR?", "READ?"].map(scpi.query));
    expect(answers[0]).toContain("VIRTUAL OHMMETER");
    expect(answers[2]).toBe('0,"No error"');
    expect(answers.every((answer) => answer !== "")).toBe(true);
  });

  it("reads the same motor for the same leads and seed", async () => {
    const [one, other] = [await bench(), await bench()];
    const [first, second] = await Promise.all([rested(one, "a", "b"), rested(other, "a", "b")]);
    if (first && second && "ohms" in first && "ohms" in second)
      expect(Math.abs(first.ohms - second.ohms)).toBeLessThan(0.05 * first.ohms + 0.5);
    else expect(first).toEqual(second);
  });

  it("drops a caller who sends no line but a flood, and serves the next", async () => {
    const meter = await bench();
    await new Promise<void>((resolve) => {
      const rude = connect(meter.port, "127.0.0.1", () => rude.write("x".repeat(5000)));
      rude.on("close", () => resolve());
      rude.on("error", () => undefined);
    });
    expect(await meter.scpi.query("*IDN?")).toContain("VIRTUAL");
  });

  it("is gone after it is closed: who asks is told", async () => {
    const meter = await bench();
    await meters.detach(meter.id);
    expect(await meters.find(meter.id)).toBeUndefined();
    await expect(meter.scpi.query("READ?")).rejects.toThrow();
    await expect(scpiClient(meter.port)).rejects.toThrow();
  });

  it("keeps only so many of one client, whose longest unused makes room, and leaves another’s alone", async () => {
    const other = await bench(["a", "b"], 1, "10.0.0.2");
    const first = await bench();
    const second = await bench();
    await test.db.execute(
      sql`update meters set used_at = now() - interval '1 minute' where id = ${second.id}`,
    );
    for (let i = 0; i < 5; i++) await bench(["a", "b"], i);
    expect(await meters.find(second.id)).toBeUndefined();
    await expect(scpiClient(second.port)).rejects.toThrow();
    expect(await meters.find(first.id)).toBeDefined();
    for (let i = 0; i < 8; i++) await bench(["a", "b"], i);
    expect(await meters.find(first.id)).toBeUndefined();
    expect(await meters.find(other.id)).toBeDefined();
  });

  it("that is read stays, however many are attached that nobody reads", async () => {
    const read = await bench();
    for (let i = 0; i < 5; i++) await bench(["a", "b"], i);
    await test.db.execute(sql`update meters set used_at = now() - interval '5 seconds'`);
    await meters.find(read.id);
    for (let i = 0; i < 5; i++) await bench(["a", "b"], i);
    expect(await meters.find(read.id)).toBeDefined();
  });

  it("keeps only so many of all, and none that was long unused", async () => {
    const idle = await bench(["a", "b"], 1, "10.0.1.99");
    await test.db.execute(
      sql`update meters set used_at = now() - interval '11 minutes' where id = ${idle.id}`,
    );
    const first = await bench(["a", "b"], 1, "10.0.1.0");
    expect(await meters.find(idle.id)).toBeUndefined();
    for (let i = 1; i < 26; i++) await bench(["a", "b"], i, `10.0.1.${i}`);
    expect(await meters.find(first.id)).toBeUndefined();
  });

  it("opened by many at once are all there", async () => {
    const all = await Promise.all(Array.from({ length: 12 }, (_, i) => bench(["a", "b"], i, `10.0.2.${i}`)));
    for (const { id, scpi } of all) {
      expect(await meters.find(id)).toBeDefined();
      expect(await scpi.query("*IDN?")).toContain("VIRTUAL");
    }
  });
});

describe("a meter behind two processes", () => {
  it("is found and read by either, and gone for both", async () => {
    const others = await another();
    const meter = await bench();
    const found = await others.find(meter.id);
    expect(await found?.scpi.query("*IDN?")).toBe(meter.identity);
    const there = found ? await rested(found, "a", "b") : null;
    expect(kindOf(there)).toBe(kindOf(shownOf(await meter.scpi.query("READ?"))));
    await others.detach(meter.id);
    expect(await meters.find(meter.id)).toBeUndefined();
  });

  it("is closed by its own process with the next that is attached, where the other detached it", async () => {
    const others = await another();
    const meter = await bench();
    await others.detach(meter.id);
    await bench();
    await expect(scpiClient(meter.port)).rejects.toThrow();
  });

  it("whose process is gone is gone, and another that listens there since is not taken for it", async () => {
    const others = await another();
    const gone = await bench();
    const stranger = await bench();
    await test.db.execute(sql`update meters set port = ${stranger.port} where id = ${gone.id}`);
    expect(await others.find(gone.id)).toBeUndefined();
    expect(await others.find(stranger.id)).toBeDefined();
  });

  it("moved by both at once rests where the last of them put it, under that one's number", async () => {
    const others = await another();
    const meter = await bench(["a", "b", "c"], 11);
    const pairs = ["ab", "ac", "bc"].map((pair) => pair.split(""));
    const same = await Promise.all(pairs.map(() => bench(["a", "b", "c"], 11, "10.0.0.9")));
    const truth = await Promise.all(
      pairs.map(async ([a = "", b = ""], i) => kindOf(await rested(same[i] as Meter, a, b))),
    );
    expect(new Set(truth).size).toBeGreaterThan(1);
    for (let round = 0; round < 3; round++) {
      await Promise.all(
        Array.from({ length: 9 }, async (_, touch) => {
          const of = touch % 2 === 0 ? meters : others;
          const own = await of.find(meter.id);
          await of.moved(meter.id, touch, "ohms", async () => {
            const [a, b] = pairs[touch % 3] as string[];
            own?.scpi.command(`ROUT:TOUC "${a}","${b}"`);
            await own?.scpi.query("SYST:ERR?");
          });
        }),
      );
      await new Promise((resolve) => setTimeout(resolve, 1500));
      const shown = kindOf(shownOf(await meter.scpi.query("READ?")));
      expect(shown).toBe(truth[((await meters.resting(meter.id)) ?? 0) % 3]);
    }
  });

  it("rests again where what was to move the probes failed", async () => {
    const meter = await bench();
    const moved = meters.moved(meter.id, 4, "ohms", () => Promise.reject(new Error("slipped")));
    await expect(moved).rejects.toThrow("slipped");
    expect(await meters.resting(meter.id)).toBe(4);
    expect(await meters.moved(meter.id, 5, "ohms", async () => "there")).toBe("there");
  });

  it("is moved on once the turn of a process that died is over, and moved no more once it is gone", async () => {
    const meter = await bench();
    const died = (ago: string) =>
      test.db.execute(
        sql`update meters set moving = gen_random_uuid(), moving_until = now() + ${ago}::interval where id = ${meter.id}`,
      );
    await died("0.4 seconds");
    const began = performance.now();
    expect(await meters.moved(meter.id, 2, "ohms", async () => "moved")).toBe("moved");
    expect(performance.now() - began).toBeGreaterThan(300);
    expect(await meters.resting(meter.id)).toBe(2);
    await died("10 minutes");
    const waits = meters.moved(meter.id, 3, "ohms", async () => "moved");
    await meters.detach(meter.id);
    expect(await waits).toBeUndefined();
  });

  it("streams in one what the probes are on in the other, each value with the touch it is of", async () => {
    const others = await another();
    const meter = await bench(["a", "b", "c"], 11);
    const pairs = [
      ["a", "b"],
      ["a", "c"],
      ["b", "c"],
    ] as const;
    const same = await Promise.all(pairs.map(() => bench(["a", "b", "c"], 11)));
    const truth = await Promise.all(
      pairs.map(async ([a, b], i) => kindOf(await rested(same[i] as Meter, a, b))),
    );
    const seen = await streamed(others, meter.id, async () => {
      for (const [touch, [a, b]] of pairs.entries()) {
        const own = await meters.find(meter.id);
        if (own)
          await meters.moved(own.id, touch, "ohms", async () => {
            own.scpi.command(`ROUT:TOUC "${a}","${b}"`);
            await own.scpi.query("SYST:ERR?");
          });
        await new Promise((resolve) => setTimeout(resolve, 1700));
      }
    });
    for (const touch of truth.keys()) {
      const last = seen.filter((value) => value.touch === touch).at(-1);
      expect(kindOf(last?.shown ?? null)).toBe(truth[touch]);
    }
  });
});

type Shown = NonNullable<ReturnType<typeof shownOf>>;

/** Ohms to two figures: a meter is off by its own each time its probes touch. */
function kindOf(shown: Shown | null): string {
  if (shown === null) return "nothing";
  return "open" in shown ? "open" : `${Math.round(Math.log(Math.max(shown.ohms, 0.5)) / 0.25)}`;
}

/** What a stream tells while something is done. */
async function streamed(
  of: Meters,
  id: string,
  work: () => Promise<void>,
): Promise<{ touch: number; shown: Shown }[]> {
  const gone = new AbortController();
  const response = meterStream(
    of,
    id,
    new Request("http://127.0.0.1/", { signal: gone.signal }),
    () => undefined,
  );
  const text = response.text();
  await work();
  gone.abort();
  return (await text)
    .split("\n\n")
    .filter((line) => line !== "")
    .map((line) => JSON.parse(line.replace("data: ", "")));
}

describe("a meter at its address", () => {
  it("that was switched off and on again is found again by the next who asks", async () => {
    const network = motorForLeads(seededRandom(3), ["a", "b"]);
    const instrument = () => scpiMeter(network, USUAL_METER, seededRandom(4));
    const first = await serveInstrument(instrument());
    const meter = await meters.attachAt("10.0.0.1", { host: "127.0.0.1", port: first.port }, "ohms");
    open.push(meter.id);
    first.close();
    await expect(meter.scpi.query("READ?")).rejects.toThrow();
    await expect(meter.scpi.query("READ?")).rejects.toThrow();
    const second = await serveInstrument(instrument(), first.port);
    expect(await (await meters.find(meter.id))?.scpi.query("*IDN?")).toBe(meter.identity);
    second.close();
  });

  it("is attached by its name, and read like the stand-in", async () => {
    const standIn = await bench();
    const address = { host: "127.0.0.1", port: standIn.port };
    const real = await meters.attachAt("10.0.0.1", address, "ohms");
    open.push(real.id);
    expect(real.identity).toContain("VIRTUAL OHMMETER");
    expect(shownOf(await real.scpi.query("READ?"))).toEqual({ open: true });
  });

  it("is refused where nothing answers, and outside the own network", async () => {
    const at = (host: string, port: number) => meters.attachAt("10.0.0.1", { host, port }, "ohms");
    await expect(at("127.0.0.1", 1999)).rejects.toMatchObject({ why: "no-answer" });
    await expect(at("203.0.113.5", 5025)).rejects.toMatchObject({ why: "not-private" });
  });
});
