import { isDatabaseAway } from "./failure";

/** After so long the next do not wait for those before them, which wait for somebody's row. */
const HELD_UP_MS = 100;
/** So many statements are under way at most, however long they take. */
const MOST_UNDER_WAY = 4;

interface Waiting<Asked, Answer> {
  readonly asked: Asked;
  readonly answer: (answer: Answer) => void;
  readonly fail: (error: unknown) => void;
}

/**
 * What is asked of the database while a statement is under way, sent together when that has come back: one for many costs
 * the server and the database little more than one for one. Where nothing is under way, it goes at once and alone.
 */
export class Gathered<Asked, Answer> {
  readonly #waiting: Waiting<Asked, Answer>[] = [];
  #underWay = 0;
  #sentAt = 0;
  #timer: NodeJS.Timeout | undefined;

  /**
   * @param send asks for all in one statement, and answers in their order.
   * @param how so many together at most, and no two of one key.
   */
  constructor(
    private readonly send: (asked: readonly Asked[]) => Promise<readonly Answer[]>,
    private readonly how: { readonly most: number; readonly keyOf: (asked: Asked) => string },
  ) {}

  ask(asked: Asked): Promise<Answer> {
    return new Promise((answer, fail) => {
      this.#waiting.push({ asked, answer, fail });
      this.#sendOn();
    });
  }

  #sendOn(): void {
    if (this.#waiting.length === 0) return;
    const heldUp = performance.now() - this.#sentAt >= HELD_UP_MS;
    if (this.#underWay === 0 || (heldUp && this.#underWay < MOST_UNDER_WAY)) {
      this.#underWay += 1;
      this.#sentAt = performance.now();
      void this.#sent(this.#next()).then(() => {
        this.#underWay -= 1;
        this.#sendOn();
      });
    }
    if (this.#waiting.length > 0 && this.#timer === undefined)
      this.#timer = setTimeout(() => {
        this.#timer = undefined;
        this.#sendOn();
      }, HELD_UP_MS);
  }

  /** The first that wait, of each key one. */
  #next(): Waiting<Asked, Answer>[] {
    const { most, keyOf } = this.how;
    const taken = new Map<string, Waiting<Asked, Answer>>();
    const left: Waiting<Asked, Answer>[] = [];
    for (const one of this.#waiting) {
      const key = keyOf(one.asked);
      if (taken.size < most && !taken.has(key)) taken.set(key, one);
      else left.push(one);
    }
    this.#waiting.splice(0, this.#waiting.length, ...left);
    return [...taken.values()];
  }

  /** Sends some; where that fails, each goes alone, so that none fails for another. */
  async #sent(some: readonly Waiting<Asked, Answer>[]): Promise<void> {
    try {
      const answers = await this.send(some.map(({ asked }) => asked));
      some.forEach(({ answer }, i) => {
        answer(answers[i] as Answer);
      });
    } catch (error) {
      if (some.length === 1 || isDatabaseAway(error)) for (const { fail } of some) fail(error);
      else await Promise.all(some.map((one) => this.#sent([one])));
    }
  }
}
