"use client";

import { type ReactNode, use } from "react";
import type { FactsSince } from "@/contract/routes/jobs";
import type { Opening } from "@/core";
import { JobProvider } from "./JobProvider";

/** What the server has of a job. */
export interface JobServed {
  /** Null where the database did not answer. */
  readonly first: FactsSince | null;
  /** What these facts come to; null where it was not worked out in time. */
  readonly opening: Opening | null;
}

interface Props {
  readonly id: string;
  /** Still read while the page's scripts are named in its head. */
  readonly served: Promise<JobServed>;
  readonly children: ReactNode;
}

/** An open job with what the server has of it. */
export function ServedJob({ id, served, children }: Props) {
  const { first, opening } = use(served);
  return (
    <JobProvider id={id} first={first} opening={opening}>
      {children}
    </JobProvider>
  );
}
