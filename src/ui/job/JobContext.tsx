"use client";

import { usePathname } from "next/navigation";
import { createContext, type ReactNode, useContext, useMemo } from "react";
import type { FactsSince } from "@/contract/routes/jobs";
import {
  deriveJob,
  type Fact,
  type FactBody,
  type Identification,
  type Job,
  type JobWiring,
  type Lead,
  type LeadName,
  leadNames,
  type Opening,
} from "@/core";
import type { AsideFact } from "@/store/factRow";
import type { JobFacts, Saving } from "@/store/jobFacts";
import type { PhotoRow } from "@/store/shelf";
import { useDevice } from "./useDevice";
import { useFacts } from "./useFacts";
import { useIdentification } from "./useIdentification";
import { useWiring } from "./useWiring";

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
  /** True while that plan is of the facts before. */
  readonly planning: boolean;
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
const OpeningContext = createContext<Opening | null>(null);

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

/** What came worked out with the page; null where it was not in time. */
export function useOpening(): Opening | null {
  return useContext(OpeningContext);
}

/** True while the answer is still that of the readings before. */
export function useWorking(): boolean {
  return useContext(WorkingContext);
}

interface Props {
  readonly id: string;
  /** What the server had when the page was made; null where it did not answer. */
  readonly first: FactsSince | null;
  /** What these facts come to; null where it was not worked out in time. */
  readonly opening?: Opening | null;
  readonly children: ReactNode;
}

/** Opens a job for the stages inside. */
export function JobProvider({ id, first, opening = null, children }: Props) {
  const { store, state } = useFacts(id, first);
  const { facts, saving, unreadable, aside, photos } = state;
  const device = useDevice();
  const job = useMemo(() => deriveJob(facts, device), [facts, device]);
  const identified = useIdentification(job, opening?.identified ?? null, usePathname().endsWith("/probe"));
  const { answer, working } = identified;
  const { wiring, planning } = useWiring(job, identified, opening?.wired ?? null);
  const open = useMemo<OpenJob>(() => {
    const names = leadNames(job.leads);
    const byId = new Map(job.leads.map((lead) => [lead.id, lead]));
    return {
      id,
      facts,
      job,
      answer,
      wiring,
      planning,
      names,
      short: (leadId) => names.get(leadId)?.short ?? "?",
      leadOf: (leadId) => byId.get(leadId) ?? { id: leadId },
      add: store.add,
    };
  }, [id, facts, job, answer, wiring, planning, store]);
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
        <OpeningContext.Provider value={opening}>
          <WorkingContext.Provider value={working}>{children}</WorkingContext.Provider>
        </OpeningContext.Provider>
      </SavingContext.Provider>
    </Context.Provider>
  );
}
