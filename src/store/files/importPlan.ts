import { type Called, call } from "@/contract/call";
import { putEquipment } from "@/contract/routes/equipment";
import { addFacts, factsOfJob, getPhoto, putPhoto } from "@/contract/routes/jobs";
import { putStock } from "@/contract/routes/stock";
import { canonicalJson, deriveJob, type Fact, jobHeading, MOST_FACTS_A_WRITE } from "@/core";
import type { ReadArchive, ReadJob } from "./readArchive";

/** What an import of a job would do. */
export interface PlannedJob {
  readonly read: ReadJob;
  readonly title: string;
  /** Facts that the shop has not; none of a job that is there already. */
  readonly news: readonly Fact[];
  readonly known: number;
  readonly photos: readonly string[];
  /** Ids that stand for other facts here: such a job is not brought in. */
  readonly conflicts: number;
}

/** What an import would do, before it does anything. */
export interface ImportPlan {
  readonly jobs: readonly PlannedJob[];
  readonly stock: number;
  readonly equipment: number;
}

/** How far it is. */
export type OnProgress = (done: number, all: number) => void;

/** The server could not be asked; in words. */
export class NotBroughtIn extends Error {}

/** Finds what each job of an archive would add to what the shop has. */
export async function importPlan(
  archive: ReadArchive,
  onProgress: OnProgress,
  signal: AbortSignal,
): Promise<ImportPlan> {
  const jobs: PlannedJob[] = [];
  for (const [done, read] of archive.jobs.entries()) {
    signal.throwIfAborted();
    onProgress(done, archive.jobs.length);
    jobs.push(await plannedJob(read, signal));
  }
  return {
    jobs,
    stock: archive.shop?.stock.length ?? 0,
    equipment: archive.shop?.equipment.length ?? 0,
  };
}

async function plannedJob(read: ReadJob, signal: AbortSignal): Promise<PlannedJob> {
  const { job, facts } = read.file;
  const here = must(await asked(() => call(factsOfJob, { params: { job }, signal })));
  const known = new Map(here.facts.map((fact) => [fact.id, same(fact)]));
  const news = facts.filter(({ id }) => !known.has(id));
  const conflicts = facts.filter((fact) => known.has(fact.id) && known.get(fact.id) !== same(fact)).length;
  const photos: string[] = [];
  for (const id of read.photos.keys()) {
    const there = here.facts.length > 0 ? await call(getPhoto, { params: { job, photo: id }, signal }) : null;
    if (!there?.ok) photos.push(id);
  }
  return {
    read,
    title: jobHeading(deriveJob(facts)),
    news,
    known: facts.length - news.length,
    photos,
    conflicts,
  };
}

/** A fact as it compares, however its moment is written. */
function same(fact: Fact): string {
  return canonicalJson({ ...fact, at: new Date(fact.at).toISOString() });
}

/** Brings in what was planned; doing it twice changes nothing. Jobs with conflicts are left out. */
export async function bringIn(
  plan: ImportPlan,
  archive: ReadArchive,
  onProgress: OnProgress,
  signal: AbortSignal,
): Promise<void> {
  const all = plan.jobs.length + plan.stock + plan.equipment;
  let done = 0;
  const step = () => {
    signal.throwIfAborted();
    done += 1;
    onProgress(done, all);
  };
  for (const planned of plan.jobs) {
    if (planned.conflicts === 0) await bringJob(planned);
    step();
  }
  for (const { id, made } of archive.shop?.equipment ?? []) {
    must(await asked(() => call(putEquipment, { params: { equipment: id }, body: made, signal })));
    step();
  }
  for (const item of archive.shop?.stock ?? []) {
    must(await asked(() => call(putStock, { params: { item: item.id }, body: item, signal })));
    step();
  }
}

async function bringJob({ read, news, photos }: PlannedJob): Promise<void> {
  const { job } = read.file;
  for (let from = 0; from < news.length; from += MOST_FACTS_A_WRITE) {
    const facts = news.slice(from, from + MOST_FACTS_A_WRITE);
    must(await asked(() => call(addFacts, { params: { job }, body: { facts } })));
  }
  for (const photo of photos) {
    const bytes = read.photos.get(photo);
    if (!bytes) continue;
    const file = new Blob([bytes as Uint8Array<ArrayBuffer>], { type: "image/jpeg" });
    must(await asked(() => call(putPhoto, { params: { job, photo }, file })));
  }
}

function must<T>(called: Called<T>): T {
  if (!called.ok) throw new NotBroughtIn(called.says);
  return called.value;
}

/** The server may be busy, or have had enough of this address for a moment: it is asked again a few times. */
const TRIES = 6;
const WAIT_MS = 2000;

async function asked<T>(ask: () => Promise<Called<T>>): Promise<Called<T>> {
  let called = await ask();
  for (let again = 1; again < TRIES && !called.ok && (called.later || called.status === 429); again++) {
    await new Promise((resolve) => setTimeout(resolve, WAIT_MS * again));
    called = await ask();
  }
  return called;
}
