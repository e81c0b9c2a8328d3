"use client";

import { usePathname } from "next/navigation";
import { type ReactNode, useLayoutEffect, useMemo, useState } from "react";
import type { FactsSince } from "@/contract/routes/jobs";
import { jobFollower, type Lead, leadNames, type Opening } from "@/core";
import { JobContext, type JobNow, type JobSaving, type LeadNames, type OpenJob } from "./JobContext";
import { useDevice } from "./useDevice";
import { useFacts } from "./useFacts";
import { useIdentification } from "./useIdentification";
import { useWiring } from "./useWiring";
import { Watched } from "./watched";

interface Props {
  readonly id: string;
  /** What the server had when the page was made; null where it did not answer. */
  readonly first: FactsSince | null;
  /** What these facts come to; null where it was not worked out in time. */
  readonly opening?: Opening | null;
  readonly children: ReactNode;
}

/** Opens a job for the stages inside. Each key makes this alone anew; the stages ask for the parts they show. */
export function JobProvider({ id, first, opening = null, children }: Props) {
  const { store, state } = useFacts(id, first);
  const { facts, saving, unreadable, aside, photos } = state;
  const device = useDevice();
  const [derive] = useState(jobFollower);
  const job = useMemo(() => derive(facts, device), [derive, facts, device]);
  const identified = useIdentification(job, opening?.identified ?? null, usePathname().endsWith("/probe"));
  const { answer, working } = identified;
  const { wiring, planning } = useWiring(job, identified, opening?.wired ?? null);
  const names = useMemo(() => namesOf(job.leads), [job.leads]);
  const now = useMemo<JobNow>(
    () => ({ facts, job, leadNames: names, answer, working, wiring, planning }),
    [facts, job, names, answer, working, wiring, planning],
  );
  const saved = useMemo<JobSaving>(
    () => ({ saving, aside, photosOnWay: photos, unreadable }),
    [saving, aside, photos, unreadable],
  );
  const [open] = useState<OpenJob>(() => ({
    id,
    now: new Watched(now),
    saved: new Watched(saved),
    store,
    opening,
  }));
  useLayoutEffect(() => open.now.show(now), [open, now]);
  useLayoutEffect(() => open.saved.show(saved), [open, saved]);
  return <JobContext.Provider value={open}>{children}</JobContext.Provider>;
}

function namesOf(leads: readonly Lead[]): LeadNames {
  const names = leadNames(leads);
  const byId = new Map(leads.map((lead) => [lead.id, lead]));
  return {
    names,
    short: (leadId) => names.get(leadId)?.short ?? "?",
    leadOf: (leadId) => byId.get(leadId) ?? { id: leadId },
  };
}
