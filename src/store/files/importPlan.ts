import { type Called, call } from "@/contract/call";
import { putEquipment } from "@/contract/routes/equipment";
import { addFacts, factsOfJob, getPhoto, putPhoto } from "@/contract/routes/jobs";
import { putStock } from "@/contract/routes/stock";
import { canonicalJson, deriveJob, type Fact, jobHeading, MOST_FACTS_A_WRITE } from "@/core";
import { paced, patiently } from "./patiently";
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
    await paced(archive.jobs.length);
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
  const here = must(await patiently(() => call(factsOfJob, { params: { job }, signal })));
  const known = new Map(here.facts.map((fact) => [fact.id, same(fact)]));
  const news = facts.filter(({ id }) => !known.has(id));
  const conflicts = facts.filter((fact) => known.has(fact.id) && known.get(fact.id) !== same(fact)).length;
  const photos: string[] = [];
  for (const id of read.photos.keys()) {
    const there =
      here.facts.length > 0
        ? await patiently(() => call(getPhoto, { params: { job, photo: id }, signal }))
        : null;
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
  const step = async () => {
    signal.throwIfAborted();
    done += 1;
    onProgress(done, all);
    await paced(all);
  };
  for (const planned of plan.jobs) {
    if (planned.conflicts === 0) await bringJob(planned);
    await step();
  }
  for (const { id, made } of archive.shop?.equipment ?? []) {
    must(await patiently(() => call(putEquipment, { params: { equipment: id }, body: made, signal })));
    await step();
  }
  for (const item of archive.shop?.stock ?? []) {
    must(await patiently(() => call(putStock, { params: { item: item.id }, body: item, signal })));
    await step();
  }
}

async function bringJob({ read, news, photos }: PlannedJob): Promise<void> {
  const { job } = read.file;
  for (let from = 0; from < news.length; from += MOST_FACTS_A_WRITE)
    await bringFacts(job, news.slice(from, from + MOST_FACTS_A_WRITE));
  for (const photo of photos) {
    const bytes = read.photos.get(photo);
    if (!bytes) continue;
    const file = new Blob([bytes as Uint8Array<ArrayBuffer>], { type: "image/jpeg" });
    must(await patiently(() => call(putPhoto, { params: { job, photo }, file })));
  }
}

/** What the server answers where a body is too large: long equipment and captions fill one with few facts. */
const TOO_LARGE = 413;

async function bringFacts(job: string, facts: readonly Fact[]): Promise<void> {
  const called = await patiently(() => call(addFacts, { params: { job }, body: { facts: [...facts] } }));
  if (called.ok || called.status !== TOO_LARGE || facts.length === 1) {
    must(called);
    return;
  }
  const middle = Math.ceil(facts.length / 2);
  await bringFacts(job, facts.slice(0, middle));
  await bringFacts(job, facts.slice(middle));
}

function must<T>(called: Called<T>): T {
  if (!called.ok) throw new NotBroughtIn(called.says);
  return called.value;
}
