import { describe, expect, it } from "vitest";
import { Gathered } from "./gathered";

/** A line that answers a number with twice it, when it is let go; what was sent together is kept. */
function line() {
  const sent: (readonly number[])[] = [];
  const held: (() => void)[] = [];
  const gathered = new Gathered<number, number>(
    async (asked) => {
      sent.push(asked);
      await new Promise<void>((resolve) => held.push(resolve));
      if (asked.includes(13)) throw new Error("thirteen is refused");
      if (asked.includes(99)) throw Object.assign(new Error("away"), { code: "ECONNREFUSED" });
      return asked.map((one) => 2 * one);
    },
    { most: 32, keyOf: String },
  );
  const letGo = async () => {
    for (const release of held.splice(0)) release();
    await new Promise((resolve) => setImmediate(resolve));
  };
  return { gathered, sent, letGo };
}

const numbers = (count: number) => Array.from({ length: count }, (_, i) => 100 + i);

describe("what is asked while a statement is under way", () => {
  it("goes at once and alone where none is", async () => {
    const { gathered, sent, letGo } = line();
    const answer = gathered.ask(1);
    expect(sent).toEqual([[1]]);
    await letGo();
    expect(await answer).toBe(2);
  });

  it("goes together when that has come back, each with its own answer", async () => {
    const { gathered, sent, letGo } = line();
    const answers = [1, 2, 3].map((one) => gathered.ask(one));
    expect(sent).toEqual([[1]]);
    await letGo();
    expect(sent).toEqual([[1], [2, 3]]);
    await letGo();
    expect(await Promise.all(answers)).toEqual([2, 4, 6]);
  });

  it("goes so many at a time, and of one key one after the other", async () => {
    const { gathered, sent, letGo } = line();
    const answers = [...numbers(40), 139, 139].map((one) => gathered.ask(one));
    for (let i = 0; i < 5; i++) await letGo();
    expect(sent.map(({ length }) => length)).toEqual([1, 32, 7, 1, 1]);
    expect(await Promise.all(answers)).toEqual([...numbers(40), 139, 139].map((one) => 2 * one));
  });

  it("fails alone where it fails: the others are asked again, each alone", async () => {
    const { gathered, sent, letGo } = line();
    const answers = Promise.allSettled([1, 2, 13, 3].map((one) => gathered.ask(one)));
    for (let i = 0; i < 3; i++) await letGo();
    expect(sent).toEqual([[1], [2, 13, 3], [2], [13], [3]]);
    expect(
      (await answers).map((one) => (one.status === "fulfilled" ? one.value : one.reason.message)),
    ).toEqual([2, 4, "thirteen is refused", 6]);
  });

  it("fails together where the database is away: nobody waits for it once for each", async () => {
    const { gathered, sent, letGo } = line();
    const answers = Promise.allSettled([1, 2, 99].map((one) => gathered.ask(one)));
    for (let i = 0; i < 2; i++) await letGo();
    expect(sent).toEqual([[1], [2, 99]]);
    expect((await answers).map(({ status }) => status)).toEqual(["fulfilled", "rejected", "rejected"]);
    const later = gathered.ask(4);
    await letGo();
    expect(await later).toBe(8);
  });

  it("does not wait for ever for one that is held up", async () => {
    const { gathered, sent, letGo } = line();
    const answers = [1, 2, 3].map((one) => gathered.ask(one));
    await expect.poll(() => sent).toEqual([[1], [2, 3]]);
    await letGo();
    expect(await Promise.all(answers)).toEqual([2, 4, 6]);
  });
});
