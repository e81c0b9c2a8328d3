"use client";

import { useEffect, useState, useSyncExternalStore } from "react";
import type { FactsSince } from "@/contract/routes/jobs";
import { JobFacts, type JobFactsState } from "@/store/jobFacts";
import { deviceName } from "./deviceName";

/** The facts of a job as this device has them, and what changes them. */
export function useFacts(jobId: string, first: FactsSince | null): { store: JobFacts; state: JobFactsState } {
  const [store] = useState(() => new JobFacts(jobId, first, deviceName));
  useEffect(() => store.open(), [store]);
  const state = useSyncExternalStore(store.subscribe, store.state, store.state);
  return { store, state };
}
