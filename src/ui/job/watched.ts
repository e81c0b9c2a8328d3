/** A value that is looked at in parts: who subscribes hears of every change and looks whether its own part changed. */
export class Watched<T> {
  private readonly listeners = new Set<() => void>();

  constructor(private value: T) {}

  readonly now = (): T => this.value;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  show(next: T): void {
    if (next === this.value) return;
    this.value = next;
    for (const listener of this.listeners) listener();
  }
}
