import { BaseSequencer, type TestSpecification } from "vitest/node";

/** The files that take longest, the longest first. */
const LONGEST = [
  "src/core/identify/broken.random.test.ts",
  "src/core/wiring/check/attack.test.ts",
  "src/core/proving/led.test.ts",
  "src/core/wiring/check/mutation.test.ts",
  "src/core/practice/practice.test.ts",
  "src/core/identify/findings/readsAlike.test.ts",
  "src/core/wiring/check/retrofitAttack.test.ts",
  "tests/database/meters.test.ts",
];

/** Begins with the files that take longest: begun last, one would run on alone while the other cores idle. */
export class LongestFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const place = ({ moduleId }: TestSpecification) => {
      const found = LONGEST.findIndex((name) => moduleId.endsWith(name));
      return found < 0 ? LONGEST.length : found;
    };
    return (await super.sort(files)).sort((one, other) => place(one) - place(other));
  }
}
