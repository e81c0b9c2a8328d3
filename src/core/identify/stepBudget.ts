import { EVERYTHING, type Hypotheses, type Scope } from "./hypotheses";

/** So many steps any search gets, however little is left. */
const LEAST_STEPS = 10_000;

/**
 * One budget of steps for all searches that a call makes besides its first: what they may take in all, however many they
 * are. A search of a small sheet takes some thousands; what is left goes to those that still come.
 */
export class StepBudget {
  constructor(private left: number) {}

  /** The scope of the next of so many searches that still come; what it takes is to be paid. */
  share(searches: number): Scope {
    return { ...EVERYTHING, steps: Math.max(LEAST_STEPS, Math.floor(this.left / searches)) };
  }

  pay({ steps }: Pick<Hypotheses, "steps">): void {
    this.left -= steps;
  }
}
