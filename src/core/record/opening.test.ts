import { describe, expect, it } from "vitest";
import demoJobs from "../../server/demo/jobs.json";
import { diagnose } from "../proving";
import { checkPlan } from "../wiring/check/check";
import { checked } from "./checked";
import type { Fact } from "./facts";
import { identified } from "./identified";
import { deriveJob } from "./job";
import { opening } from "./opening";
import { provingSheetOf } from "./provingSheetOf";
import { identifyQuestion, wiringQuestion } from "./questions";
import { wired } from "./wired";

const jobs = demoJobs as unknown as readonly { readonly demo: string; readonly facts: readonly Fact[] }[];

describe.each(jobs.map(({ demo, facts }) => [demo, facts] as const))(
  "what demo job %s opens with",
  (_, facts) => {
    it("is data alone: it comes over from a thread as it was", () => {
      const made = opening(facts);
      expect(structuredClone(made)).toEqual(made);
    });

    it("is what its questions are answered by, and the page asks the same ones", () => {
      const { identified: leads, wired: plan, checked: check } = opening(facts);
      const job = deriveJob(facts);
      expect(leads.question).toBe(identifyQuestion(job));
      expect(leads.value).toEqual(identified(leads.question));
      expect(plan.question).toBe(wiringQuestion(job, leads.value));
      expect(plan.value).toEqual(wired(plan.question));
      expect(check.question).toBe(plan.question);
      expect(check.value).toEqual(checked(check.question));
      // As text it is the same plan: nothing of it is lost that the check would miss.
      if (plan.value.kind === "plan")
        expect(check.value).toMatchObject({ weight: checkPlan(plan.value.plan, plan.value).weight });
    });
  },
);

describe("a demo job that is signed off", () => {
  const signed = jobs.filter(({ facts }) => deriveJob(facts).proof.signed);

  it("there are several, two of them with a fault that was found and mended", () => {
    expect(signed.length).toBeGreaterThan(3);
    const mended = signed.filter(({ facts }) => deriveJob(facts).proof.rounds.length > 0);
    expect(mended.length).toBeGreaterThanOrEqual(2);
  });

  it.each(signed.map(({ demo, facts }) => [demo, facts] as const))("%s is proved good", (_, facts) => {
    const made = opening(facts);
    const sheet = provingSheetOf(deriveJob(facts), made.identified.value, made.wired.value);
    expect(diagnose(sheet)).toMatchObject({ ok: true, status: "good", nextCheck: null });
  });
});
