"use client";

import { usePathname } from "next/navigation";
import { type ReactNode, useEffect, useState } from "react";
import type { FactsSince } from "@/contract/routes/jobs";
import type { Opening } from "@/core";
import { JobContext } from "./JobContext";
import { type Entering, OpenJob } from "./openJob";

/** Stages where what is entered is weighed at once. */
const ENTERED: ReadonlyMap<string, Entering> = new Map([
  ["probe", "readings"],
  ["land", "wires"],
]);

interface Props {
  readonly id: string;
  /** What the server had when the page was made; null where it did not answer. */
  readonly first: FactsSince | null;
  /** What these facts come to; null where it was not worked out in time. */
  readonly opening?: Opening | null;
  readonly children: ReactNode;
}

/** Opens a job for the stages inside. No key draws this anew; the stages ask for the parts they show. */
export function JobProvider({ id, first, opening = null, children }: Props) {
  const [open] = useState(() => new OpenJob(id, first, opening));
  const entering = ENTERED.get(usePathname().split("/").at(-1) ?? "") ?? "else";
  useEffect(() => open.open(), [open]);
  useEffect(() => open.expect(entering), [open, entering]);
  return <JobContext.Provider value={open}>{children}</JobContext.Provider>;
}
