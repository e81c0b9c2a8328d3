"use client";

import { useQuery } from "@tanstack/react-query";
import { asked } from "@/contract/call";
import { type JobLine, type UnitLine, visitsOfUnit } from "@/contract/routes/jobs";
import { deriveJob, type Visit } from "@/core";
import { factsOf } from "@/store/addToJob";

/** A unit with its visits, the earliest first. */
export interface UnitRecord {
  readonly unit: UnitLine;
  readonly visits: readonly (Visit & { readonly line: JobLine; readonly who: readonly string[] })[];
}

/** Visits whose facts are fetched for the charts; of a unit with more the earliest are listed and not charted. */
const MOST_CHARTED = 40;

/** A unit as the server has it, with the facts of its visits. */
export function useUnit(id: string) {
  return useQuery({
    queryKey: ["unit", id],
    retry: 1,
    queryFn: async ({ signal }): Promise<UnitRecord> => {
      const { unit, visits } = await asked(visitsOfUnit, { params: { unit: id }, signal });
      const charted = visits.slice(-MOST_CHARTED);
      const records = await Promise.all(
        charted.map(async (line) => {
          const facts = await factsOf(line.id);
          const who = [...new Set(facts.map(({ by }) => by).filter((by) => by !== ""))];
          return { id: line.id, line, job: deriveJob(facts), who };
        }),
      );
      return { unit, visits: records };
    },
  });
}
