"use client";

import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { createContext, type ReactNode, useContext, useDeferredValue, useMemo, useState } from "react";
import type { FactsSince } from "@/contract/routes/jobs";
import {
  deriveJob,
  type Fact,
  type FactBody,
  type Identification,
  type Job,
  type JobWiring,
  jobWiring,
  type KnownAnswer,
  type Lead,
  type LeadName,
  leadNames,
  type WiringFactsOfJob,
  wiringFactsOf,
} from "@/core";
import type { AsideFact } from "@/store/factRow";
import type { JobFacts, Saving } from "@/store/jobFacts";
import type { PhotoRow } from "@/store/shelf";
import { useDevice } from "./useDevice";
import { useFacts } from "./useFacts";
import { useIdentification } from "./useIdentification";

/** What every stage of a job works with: the facts' outcome, the verdicts, and the one way to add a fact. */
export interface OpenJob {
  readonly id: string;
  /** As this device has them, in the order in which they count. */
  readonly facts: readonly Fact[];
  readonly job: Job;
  /** Of the readings as they stand, or while {@link useWorking} of the ones before. */
  readonly answer: Identification | null;
  /** The plan for the settled motor on its equipment; it may lag a moment behind the facts. */
  readonly wiring: JobWiring;
  readonly names: ReadonlyMap<string, LeadName>;
  /** A lead's letters. */
  readonly short: (leadId: string) => string;
  readonly leadOf: (leadId: string) => Lead;
  readonly add: (body: FactBody) => string;
}

/** How far what was entered is kept and sent: it changes more often than the job does, and few ask for it. */
export interface OpenSaving {
  readonly saving: Saving;
  /** Facts that were refused, kept apart to be seen to. */
  readonly aside: readonly AsideFact[];
  readonly dropAside: JobFacts["dropAside"];
  /** Photos on their way to the server. */
  readonly photosOnWay: readonly PhotoRow[];
  readonly addPhoto: JobFacts["addPhoto"];
  readonly dropPhoto: JobFacts["dropPhoto"];
  /** Facts kept that this version cannot read. */
  readonly unreadable: number;
}

const Context = createContext<OpenJob | null>(null);
const SavingContext = createContext<OpenSaving | null>(null);
const WorkingContext = createContext(false);

/** The open job; only inside {@link JobProvider}. */
export function useJob(): OpenJob {
  const open = useContext(Context);
  if (!open) throw new Error("useJob is used outside a job page");
  return open;
}

/** How far it is kept and sent; only inside {@link JobProvider}. */
export function useSaving(): OpenSaving {
  const saving = useContext(SavingContext);
  if (!saving) throw new Error("useSaving is used outside a job page");
  return saving;
}

/** True while the answer is still that of the readings before. */
export function useWorking(): boolean {
  return useContext(WorkingContext);
}

interface Props {
  readonly id: string;
  /** What the server had when the page was made; null where it did not answer. */
  readonly first: FactsSince | null;
  readonly children: ReactNode;
}

/** Opens a job for the stages inside. */
export function JobProvider({ id, first, children }: Props) {
  const [client] = useState(() => new QueryClient());
  return (
    <QueryClientProvider client={client}>
      <Opened id={id} first={first}>
        {children}
      </Opened>
    </QueryClientProvider>
  );
}

function Opened({ id, first, children }: Props) {
  const { store, state } = useFacts(id, first);
  const { facts, saving, unreadable, aside, photos } = state;
  const device = useDevice();
  const job = useMemo(() => deriveJob(facts, device), [facts, device]);
  const { answer, working } = useIdentification(job);
  const wiring = useWiring(job, answer);
  const open = useMemo<OpenJob>(() => {
    const names = leadNames(job.leads);
    const byId = new Map(job.leads.map((lead) => [lead.id, lead]));
    return {
      id,
      facts,
      job,
      answer,
      wiring,
      names,
      short: (leadId) => names.get(leadId)?.short ?? "?",
      leadOf: (leadId) => byId.get(leadId) ?? { id: leadId },
      add: store.add,
    };
  }, [id, facts, job, answer, wiring, store]);
  const kept = useMemo<OpenSaving>(
    () => ({
      saving,
      aside,
      dropAside: store.dropAside,
      photosOnWay: photos,
      addPhoto: store.addPhoto,
      dropPhoto: store.dropPhoto,
      unreadable,
    }),
    [store, saving, aside, photos, unreadable],
  );
  return (
    <Context.Provider value={open}>
      <SavingContext.Provider value={kept}>
        <WorkingContext.Provider value={working}>{children}</WorkingContext.Provider>
      </SavingContext.Provider>
    </Context.Provider>
  );
}

/** The wiring, worked out anew only when something it hangs on changed, and after the verdict is on the page. */
function useWiring(job: Job, answer: Identification | null): JobWiring {
  const motor: KnownAnswer | null = answer && {
    status: answer.status,
    family: answer.family,
    confidence: answer.confidence,
    unread: answer.unread,
    roles: answer.roles,
    sections: answer.sections,
    bonded: answer.bonded,
  };
  const key = useDeferredValue(JSON.stringify({ facts: wiringFactsOf(job), motor }));
  return useMemo(() => {
    const read = JSON.parse(key) as { facts: WiringFactsOfJob; motor: KnownAnswer | null };
    return jobWiring(read.facts, read.motor);
  }, [key]);
}
