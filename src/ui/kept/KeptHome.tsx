"use client";

import { useEffect, useState } from "react";
import type { JobLine } from "@/contract/routes/jobs";
import { keptJobs } from "@/store/keptJobs";
import { Home } from "../home/Home";
import { jobLine } from "../home/jobLine";

const MOST_LISTED = 30;

/** The first page from what this device keeps. */
export function KeptHome() {
  const [jobs, setJobs] = useState<readonly JobLine[] | null>(null);
  useEffect(() => {
    let shown = true;
    void keptJobs(MOST_LISTED).then((kept) => {
      if (shown) setJobs(kept.map(({ job, facts }) => jobLine(job, facts)));
    });
    return () => {
      shown = false;
    };
  }, []);
  return jobs === null ? null : <Home kept own={{ jobs, next: null }} demo={[]} away />;
}
