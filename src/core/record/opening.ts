import type { Identification } from "../identify/identification";
import { type Checked, checkOf } from "./checked";
import type { Fact } from "./facts";
import { identified } from "./identified";
import { deriveJob } from "./job";
import type { JobWiring } from "./jobWiring";
import { identifyQuestion, wiringQuestion } from "./questions";
import { wired } from "./wired";

/** A question with its answer. */
export interface Worked<A> {
  readonly question: string;
  readonly value: A;
}

/** What a page that opens a job shows at once: what its leads are, where they go, and whether that is right. */
export interface Opening {
  readonly identified: Worked<Identification | null>;
  readonly wired: Worked<JobWiring>;
  readonly checked: Worked<Checked | null>;
}

/** All of it of a job as its facts make it. Takes as long as identifying and running the plan. */
export function opening(facts: readonly Fact[]): Opening {
  const job = deriveJob(facts);
  const sheet = identifyQuestion(job);
  const answer = identified(sheet);
  const asked = wiringQuestion(job, answer);
  const wiring = wired(asked);
  return {
    identified: { question: sheet, value: answer },
    wired: { question: asked, value: wiring },
    checked: { question: asked, value: checkOf(wiring) },
  };
}
