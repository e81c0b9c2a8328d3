import { database } from "@/server/database";
import { historyOf } from "@/server/history";
import { jobList } from "@/server/jobList";
import { shopOf } from "@/server/shop";
import { type HomeLists, ServedHome } from "@/ui/home/ServedHome";

const FIRST_PAGE = 30;

export const dynamic = "force-dynamic";

export default function Page() {
  return <ServedHome lists={homeLists().catch(() => null)} />;
}

async function homeLists(): Promise<HomeLists> {
  const list = jobList(database(), shopOf());
  const [own, demo, history] = await Promise.all([
    list.page({ search: "", of: "own", shelved: "listed", most: FIRST_PAGE }),
    list.demo(FIRST_PAGE),
    historyOf(database()),
  ]);
  return { own, demo, history };
}
