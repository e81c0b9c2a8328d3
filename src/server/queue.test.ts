import { describe, expect, it } from "vitest";
import { Queue, QueueFull } from "./queue";

describe("a queue", () => {
  it("runs so many at a time, in turn, and hands every turn on, failed ones too", async () => {
    const queue = new Queue({ atATime: 2, waiting: 10 });
    let running = 0;
    let most = 0;
    const begun: number[] = [];
    const work = (n: number) => async () => {
      begun.push(n);
      running += 1;
      most = Math.max(most, running);
      await new Promise((resolve) => setTimeout(resolve, 2));
      running -= 1;
      if (n % 3 === 0) throw new Error("failed");
      return n;
    };
    const done = await Promise.allSettled(Array.from({ length: 9 }, (_, n) => queue.run(work(n))));
    expect(most).toBe(2);
    expect(begun).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8]);
    expect(done.map(({ status }) => status === "rejected")).toEqual(
      Array.from({ length: 9 }, (_, n) => n % 3 === 0),
    );
    expect(await queue.run(async () => "again")).toBe("again");
  });

  it("takes no more than may wait", async () => {
    const queue = new Queue({ atATime: 1, waiting: 1 });
    let end: () => void = () => undefined;
    const first = queue.run(
      () =>
        new Promise<void>((resolve) => {
          end = resolve;
        }),
    );
    const second = queue.run(async () => 2);
    await expect(queue.run(async () => 3)).rejects.toBeInstanceOf(QueueFull);
    end();
    await first;
    expect(await second).toBe(2);
  });
});
