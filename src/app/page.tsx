import { database } from "@/server/database";
import { jobStore, type StoredJob } from "@/server/jobStore";
import { shopOf } from "@/server/shop";
import { Home } from "@/ui/home/Home";
import { jobLine } from "@/ui/home/jobLine";

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

/** Worked out here, so that the first page needs no core in the browser. */
const lineOf = ({ id, lastFactAt, facts }: StoredJob) => jobLine(id, lastFactAt, facts);
