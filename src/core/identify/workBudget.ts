import { EVERYTHING, type Hypotheses, type Scope, STEP_WORK } from "./hypotheses";

/** So many steps any search gets, however little is left. */
const LEAST_STEPS = 10_000;

/**
 * One budget of work for all searches that a call makes besides its first, however many they are, in the
 * units of {@link STEP_WORK}. What is left goes to those that still come, and once it is spent none does.
 */
export class WorkBudget {
  constructor(private left: number) {}

  get spent(): boolean {
    return this.left <= 0;
  }

  /** What is left for others. */
  get rest(): number {
    return Math.max(0, this.left);
  }

  /** The scope of the next of so many searches that still come; what it takes is to be paid. */
  share(searches: number): Scope {
    return { ...EVERYTHING, steps: Math.max(LEAST_STEPS, Math.floor(this.left / STEP_WORK / searches)) };
  }

  pay({ work }: Pick<Hypotheses, "work">): void {
    this.left -= work;
  }
}
