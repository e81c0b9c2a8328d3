"use client";

import { useRouter } from "next/navigation";
import { lazy, Suspense, use, useCallback, useState } from "react";
import type { JobLine } from "@/contract/routes/jobs";
import type { ServerHistory } from "@/contract/serverHistory";
import { type PageNews, usePageNews } from "../kept/usePageNews";
import { Home } from "./Home";
import type { FirstJobs } from "./JobFinder";

/** What the first page shows of the server's record. */
export interface HomeLists {
  readonly own: FirstJobs;
  readonly demo: readonly JobLine[];
  readonly history: ServerHistory | null;
}

const KeptHome = lazy(() => import("../kept/KeptHome").then((made) => ({ default: made.KeptHome })));

const NONE: HomeLists = { own: { jobs: [], next: null }, demo: [], history: null };

/**
 * The first page with lists that are still read while its scripts are named in the head: a page that waited for the
 * database before it was begun would have its scripts asked for only once those of every page are there.
 *
 * @param lists null where they could not be had.
 */
export function ServedHome({ lists }: { lists: Promise<HomeLists | null> }) {
  const read = use(lists);
  const router = useRouter();
  const [isAway, setAway] = useState(false);
  const follow = useCallback(
    (news: PageNews) => {
      if (news === "away") setAway(true);
      else router.refresh();
    },
    [router],
  );
  usePageNews(follow);
  const served = <Home away={read === null} {...(read ?? NONE)} />;
  return isAway ? (
    <Suspense fallback={served}>
      <KeptHome />
    </Suspense>
  ) : (
    served
  );
}
