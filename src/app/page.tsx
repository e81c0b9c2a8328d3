import { deriveJob, identify, leadNames, sheetOf } from "@/core";
import { database } from "@/server/database";
import { jobStore, type StoredJob } from "@/server/jobStore";
import { shopOf } from "@/server/shop";
import { Home, type JobLine } from "@/ui/home/Home";

const MOST_LISTED = 30;

export const dynamic = "force-dynamic";

export default async function Page() {
  const store = jobStore(database(), shopOf());
  const lists = await Promise.all([
    store.latest("own", MOST_LISTED),
    store.latest("demo", MOST_LISTED),
  ]).catch(() => null);
  const [own, demo] = lists ?? [[], []];
  return <Home away={lists === null} own={own.map(lineOf)} demo={demo.map(lineOf)} />;
}

/** What a list shows of a job: worked out here, so that the first page needs no core in the browser. */
function lineOf(stored: StoredJob): JobLine {
  const job = deriveJob(stored.facts);
  const sheet = sheetOf(job);
  const answer = sheet ? identify(sheet) : null;
  const names = leadNames(job.leads);
  return {
    id: stored.id,
    title: job.title || "Motor without a name yet",
    at: stored.lastFactAt,
    leads: job.leads.map((lead) => ({ ...lead, name: names.get(lead.id)?.short ?? "" })),
    status: answer?.ok ? answer.status : "needs-probe",
  };
}
