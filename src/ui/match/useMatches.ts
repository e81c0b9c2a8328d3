"use client";

import { keepPreviousData, useQuery } from "@tanstack/react-query";
import type { Job, TypedPlate } from "@/core";
import type { Matches } from "@/core/replacement";

/** What the server ranks: the lists cut to what is worth showing, and the plates as typed. */
export interface StockMatches extends Matches {
  readonly typed: Readonly<Record<string, TypedPlate>>;
  readonly offered: number;
  readonly refused: number;
}

/** The ranking of the stock for the job's old motor and place. */
export function useMatches({ plates, place, used }: Job) {
  const asked = JSON.stringify({ old: plates.old, place });
  return useQuery({
    queryKey: ["match", asked, JSON.stringify(used)],
    enabled: Object.keys(plates.old).length > 0,
    retry: 1,
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }): Promise<StockMatches> => {
      const response = await fetch("/api/v1/match", {
        method: "POST",
        headers: { "content-type": "application/json" },
        body: asked,
        signal,
      });
      if (!response.ok) throw new Error(String(response.status));
      return response.json();
    },
  });
}
