"use client";

import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { asked } from "@/contract/call";
import { matchStock } from "@/contract/routes/stock";
import type { Job } from "@/core";
import { serverQueries } from "../parts/serverQueries";

/** The ranking of the stock for the job's old motor and place. */
export function useMatches({ plates, place, used }: Pick<Job, "plates" | "place" | "used">) {
  const body = { old: plates.old, place };
  return useQuery(
    {
      queryKey: ["match", JSON.stringify(body), JSON.stringify(used)],
      enabled: Object.keys(plates.old).length > 0,
      retry: 1,
      placeholderData: keepPreviousData,
      queryFn: ({ signal }) => asked(matchStock, { body, signal }),
    },
    serverQueries(),
  );
}
