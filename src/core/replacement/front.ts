/** The first few of a long list in its order, kept while the list goes by: what comes after them all is not kept. */
export class Front {
  readonly #most: number;
  readonly #before: (one: number, other: number) => number;
  /** Kept as a heap, the last in the order on top: whoever comes before it takes its place. */
  readonly #heap: number[] = [];

  /** @param order of two entries of the list, by their places in it: negative where the first comes first. */
  constructor(most: number, order: (one: number, other: number) => number) {
    this.#most = most;
    this.#before = order;
  }

  /** The last that is kept, once there are as many as are wanted: what comes after it needs no looking at. */
  get last(): number | undefined {
    return this.#heap.length < this.#most ? undefined : this.#heap[0];
  }

  add(entry: number): void {
    const heap = this.#heap;
    if (heap.length < this.#most) {
      heap.push(entry);
      this.#rise(heap.length - 1);
    } else if (heap.length > 0 && this.#before(entry, heap[0] as number) < 0) {
      heap[0] = entry;
      this.#sink();
    }
  }

  /** What is kept, in order. */
  inOrder(): number[] {
    return [...this.#heap].sort(this.#before);
  }

  #rise(from: number): void {
    let at = from;
    while (at > 0) {
      const above = (at - 1) >> 1;
      if (!this.#later(at, above)) return;
      this.#exchange(at, above);
      at = above;
    }
  }

  #sink(): void {
    const { length } = this.#heap;
    let at = 0;
    for (;;) {
      let last = at;
      for (const below of [2 * at + 1, 2 * at + 2])
        if (below < length && this.#later(below, last)) last = below;
      if (last === at) return;
      this.#exchange(at, last);
      at = last;
    }
  }

  #later(one: number, other: number): boolean {
    return this.#before(this.#heap[one] as number, this.#heap[other] as number) > 0;
  }

  #exchange(one: number, other: number): void {
    const heap = this.#heap;
    [heap[one], heap[other]] = [heap[other] as number, heap[one] as number];
  }
}
