import { database } from "@/server/database";
import { historyOf } from "@/server/history";
import { jobList } from "@/server/jobList";
import { shopOf } from "@/server/shop";
import { Home } from "@/ui/home/Home";

const FIRST_PAGE = 30;

export const dynamic = "force-dynamic";

export default async function Page() {
  const list = jobList(database(), shopOf());
  const lists = await Promise.all([
    list.page({ search: "", of: "own", shelved: "listed", most: FIRST_PAGE }),
    list.demo(FIRST_PAGE),
    historyOf(database()),
  ]).catch(() => null);
  const [own, demo, history] = lists ?? [{ jobs: [], next: null }, [], null];
  return <Home away={lists === null} own={own} demo={demo} history={history} />;
}
