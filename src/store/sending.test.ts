import fc from "fast-check";
import { v7 as uuid } from "uuid";
import { afterEach, describe, expect, it, vi } from "vitest";
import { type Fact, factUpload } from "@/core";
import { testStorage } from "../../tests/material/storage";
import { waitingRow } from "./factRow";
import { makeFact } from "./making";
import { sendWaiting } from "./sending";
import { MemoryShelf } from "./shelf";

const JOB = uuid();

/** How an answer can fail to come: the request lost on its way, the answer lost on its way back, or too busy. */
type Fault = "none" | "lost" | "answer-lost" | "busy";

/** A server that keeps facts as ours does, behind a line that fails as told. It refuses titles of one word, "bad". */
function serverBehind(faults: Iterator<Fault, Fault>) {
  const kept: Fact[] = [];
  const answer = (status: number, json: object) => new Response(JSON.stringify(json), { status });
  vi.stubGlobal("localStorage", testStorage());
  vi.stubGlobal("fetch", async (_: string, init: RequestInit) => {
    const fault = faults.next().value;
    if (fault === "lost") throw new TypeError("no line");
    if (fault === "busy") return answer(503, { type: "about:blank", status: 503, title: "Busy." });
    const { facts } = factUpload.parse(JSON.parse(String(init.body)));
    const refused = facts.flatMap(({ body }, i) =>
      body.kind === "title" && body.title === "bad"
        ? [{ code: "custom", path: ["facts", i, "body"], says: "It is bad." }]
        : [],
    );
    if (refused.length > 0)
      return answer(422, { type: "about:blank", status: 422, title: "Refused.", faults: refused });
    for (const fact of facts) if (!kept.some(({ id }) => id === fact.id)) kept.push(fact);
    if (fault === "answer-lost") throw new TypeError("no line");
    return answer(200, { kept: facts.length });
  });
  return kept;
}

function* then(faults: readonly Fault[]): Iterator<Fault, Fault> {
  yield* faults;
  for (;;) yield "none";
}

const titled = (title: string) => makeFact({ kind: "title", title }, "Ilo Brandt");
const titlesOf = (facts: readonly Fact[]) =>
  facts.map(({ body }) => (body.kind === "title" ? body.title : ""));

afterEach(() => vi.unstubAllGlobals());

describe("sending what waits", () => {
  it("loses nothing and doubles nothing, whatever the line does, and keeps the order", async () => {
    const fault = fc.constantFrom<Fault>("none", "lost", "answer-lost", "busy");
    await fc.assert(
      fc.asyncProperty(
        fc.array(fault, { maxLength: 8 }),
        fc.integer({ min: 1, max: 9 }),
        async (faults, n) => {
          const kept = serverBehind(then(faults));
          const shelf = new MemoryShelf();
          const made: string[] = [];
          for (let i = 0; i < n; i++) {
            const fact = titled(`entry ${i}`);
            made.push(`entry ${i}`);
            await shelf.put([waitingRow(JOB, fact)]);
            await sendWaiting(shelf, "");
          }
          for (let i = 0; i <= faults.length; i++) await sendWaiting(shelf, "");
          expect(titlesOf(kept)).toEqual(made);
          expect(await shelf.waiting()).toEqual([]);
        },
      ),
      { numRuns: 60 },
    );
  });

  it("sets a refused fact aside with why, and nothing behind it waits", async () => {
    const kept = serverBehind(then([]));
    const shelf = new MemoryShelf();
    await shelf.put(["one", "bad", "two"].map((title) => waitingRow(JOB, titled(title))));
    expect(await sendWaiting(shelf, "")).toBe("sent");
    expect(titlesOf(kept)).toEqual(["one", "two"]);
    const aside = (await shelf.own(JOB)).filter(({ standing }) => standing === "aside");
    expect(aside.map(({ says }) => says)).toEqual(["It is bad."]);
  });

  it("leaves a newer version's facts untouched for that to send", async () => {
    const kept = serverBehind(then([]));
    const shelf = new MemoryShelf();
    const newer = { ...titled("x"), body: { kind: "proof-of-tomorrow" } };
    await shelf.put([{ job: JOB, id: newer.id, fact: newer, standing: "waiting" }]);
    await shelf.put([waitingRow(JOB, titled("one"))]);
    expect(await sendWaiting(shelf, "")).toBe("sent");
    expect(titlesOf(kept)).toEqual(["one"]);
    expect((await shelf.waiting()).map(({ fact }) => fact)).toEqual([newer]);
  });

  it("finds the one at fault by halves where the answer does not say which", async () => {
    serverBehind(then([]));
    const seen: string[] = [];
    vi.stubGlobal("fetch", async (_: string, init: RequestInit) => {
      const { facts } = factUpload.parse(JSON.parse(String(init.body)));
      if (titlesOf(facts).includes("bad"))
        return new Response(JSON.stringify({ type: "about:blank", status: 413, title: "Too long." }), {
          status: 413,
        });
      seen.push(...titlesOf(facts));
      return new Response(JSON.stringify({ kept: facts.length }), { status: 200 });
    });
    const shelf = new MemoryShelf();
    await shelf.put(["a", "b", "bad", "c", "d"].map((title) => waitingRow(JOB, titled(title))));
    await sendWaiting(shelf, "");
    expect(seen).toEqual(["a", "b", "c", "d"]);
    expect((await shelf.own(JOB)).filter(({ standing }) => standing === "aside")).toHaveLength(1);
  });

  it("makes facts one after the other though the clock goes back", () => {
    vi.stubGlobal("localStorage", testStorage());
    vi.useFakeTimers({ now: Date.UTC(2026, 4, 5, 9) });
    const first = titled("first");
    vi.setSystemTime(Date.UTC(2026, 4, 4, 9));
    const second = titled("second");
    vi.setSystemTime(0);
    const third = titled("third");
    vi.useRealTimers();
    expect(second.made?.seq).toBeGreaterThan(first.made?.seq ?? 0);
    expect(third.made?.seq).toBeGreaterThan(second.made?.seq ?? 0);
    expect(factUpload.shape.facts.def.element.shape.at.safeParse(third.at).success).toBe(true);
  });

  it("to a server that was set back leaves to it what it has otherwise, and asks nobody about it", async () => {
    const kept = serverBehind(then([]));
    const shelf = new MemoryShelf();
    const [fine, bad] = [titled("fine"), titled("bad")];
    await shelf.learn(JOB, { facts: [fine, bad], after: 0, arrival: 2 });
    await shelf.waitAgain();
    expect(await sendWaiting(shelf, "Ilo Brandt")).toBe("sent");
    expect(titlesOf(kept)).toEqual(["fine"]);
    expect(await shelf.waiting()).toEqual([]);
    expect((await shelf.own(JOB)).map(({ standing }) => standing)).toEqual(["sent"]);
  });
});
