"use client";

import { createContext, useContext, useEffect, useSyncExternalStore } from "react";
import { useSyncExternalStoreWithSelector } from "use-sync-external-store/with-selector";
import type { Fact, FactBody, Identification, Job, JobWiring } from "@/core";
import type { JobNow, LeadNames } from "./jobNow";
import type { OpenJob } from "./openJob";
import type { Watched } from "./watched";

export const JobContext = createContext<OpenJob | null>(null);

function useOpenJob(): OpenJob {
  const open = useContext(JobContext);
  if (!open) throw new Error("a part of a job is used outside a job page");
  return open;
}

function usePart<T, P>(watched: Watched<T>, part: (now: T) => P, isEqual?: (a: P, b: P) => boolean): P {
  return useSyncExternalStoreWithSelector(watched.subscribe, watched.now, watched.now, part, isEqual);
}

/**
 * The open job's parts of these names, its id, and the one way to add a fact. Who asks for parts is drawn again when one
 * of them became another, and at no other time.
 */
export function useJob<Part extends keyof Job = never>(...parts: readonly Part[]) {
  const { id, now, store } = useOpenJob();
  const job: Pick<Job, Part> = usePart(
    now,
    (all) => all.job,
    (a, b) => parts.every((part) => a[part] === b[part]),
  );
  const add: (body: FactBody) => string = store.add;
  return { id, job, add };
}

/** Has worked out what a fact would come to, for who sees it coming: once it is added, that is there. Null takes it back. */
export function useForesee(): (body: FactBody | null) => void {
  return useOpenJob().foresee;
}

/** Whether anything was read yet. */
export function useIsBegun(): boolean {
  return usePart(useOpenJob().now, ({ job }) => job.pairReadings.length + job.shellReadings.length > 0);
}

/** All of the open job, for what hangs on nearly all of it. */
export function useWholeJob() {
  const { id, now, store } = useOpenJob();
  return { id, job: usePart(now, ({ job }) => job), add: store.add };
}

/** The job's facts themselves. */
export function useJobFacts(): readonly Fact[] {
  return usePart(useOpenJob().now, ({ facts }) => facts);
}

/** What the readings say; null before the first answer. */
export function useAnswer(): Identification | null {
  return usePart(useOpenJob().now, ({ answer }) => answer);
}

/** True while the answer is still that of the readings before. */
export function useWorking(): boolean {
  return usePart(useOpenJob().now, ({ working }) => working);
}

/** True from the moment in which a reading is entered until its answer is on the page. */
export function useAsking(): boolean {
  const { asking } = useOpenJob();
  return useSyncExternalStore(asking.subscribe, asking.now, asking.now);
}

/** Tells the same at the moment in which something is done, to who is not drawn for it. */
export function useIsAsking(): () => boolean {
  return useOpenJob().asking.now;
}

/** Tells at the moment in which something is done whether all that was entered is drawn, or is what is drawn next. */
export function useIsShown(): () => boolean {
  return useOpenJob().isShown;
}

/** Tells at the moment in which something is done whether what who does it sees is of all that was entered. */
export function useSeesAll(): () => boolean {
  const { latestFacts } = useOpenJob();
  const seen = useJobFacts();
  return () => latestFacts() === seen;
}

/** True once all that was entered is on the page, for who waits for that. */
export function useIsDrawn(waits: () => boolean): boolean {
  const { now, isShown } = useOpenJob();
  return usePart(now, () => waits() && isShown());
}

/** Tells at the moment in which something is done the job with all that was entered: what is drawn may be of before. */
export function useLatestJob(): () => Job {
  return useOpenJob().latest;
}

/** True while the first answer is being worked out: there is none yet that could be shown. */
export function useFirstAnswerComes(): boolean {
  return usePart(useOpenJob().now, ({ answer, working }) => working && answer === null);
}

/** The job's wiring. */
export function useJobWiring(): JobWiring {
  return usePart(useOpenJob().now, ({ wiring }) => wiring);
}

/** True while the wiring is of the facts before. */
export function usePlanning(): boolean {
  return usePart(useOpenJob().now, ({ planning }) => planning);
}

/** The check of the plan, as far as it is worked out; asked for as long as it is shown. */
export function useCheck(): Pick<JobNow, "check" | "checking"> {
  const { now, showCheck } = useOpenJob();
  useEffect(showCheck, [showCheck]);
  const check = usePart(now, (all) => all.check);
  const checking = usePart(now, (all) => all.checking);
  return { check, checking };
}

export function useLeadNames(): LeadNames {
  return usePart(useOpenJob().now, ({ leadNames }) => leadNames);
}

/** How far it is kept and sent, and what sees to what is not. */
export function useSaving() {
  const { saved, store } = useOpenJob();
  const { addPhoto, dropPhoto, dropAside, sendAgain, mendAside } = store;
  return { ...usePart(saved, (all) => all), addPhoto, dropPhoto, dropAside, sendAgain, mendAside };
}
