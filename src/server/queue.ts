import { isNamed } from "./isNamed";

/** A queue was full: the caller is to ask again later. */
export class QueueFull extends Error {
  override readonly name = "QueueFull";
}

export function isQueueFull(error: unknown): error is QueueFull {
  return isNamed<QueueFull>(error, "QueueFull");
}

/** Work that takes turns, so many at a time; beyond so many waiting none is taken. */
export class Queue {
  private running = 0;
  private readonly waiting: (() => void)[] = [];

  constructor(private readonly most: { readonly atATime: number; readonly waiting: number }) {}

  /** Does the work when its turn comes. Throws {@link QueueFull} at once where too many wait. */
  async run<T>(work: () => Promise<T>): Promise<T> {
    if (this.running >= this.most.atATime) {
      if (this.waiting.length >= this.most.waiting) throw new QueueFull("too many are waiting");
      await new Promise<void>((resolve) => this.waiting.push(resolve));
    } else this.running += 1;
    try {
      return await work();
    } finally {
      const next = this.waiting.shift();
      // The turn is handed on: the number running stays.
      if (next) next();
      else this.running -= 1;
    }
  }
}
