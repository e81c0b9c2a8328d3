"use client";

import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { asked } from "@/contract/call";
import { listStock } from "@/contract/routes/stock";
import type { ShelfCapacitor } from "@/core/capacitor";
import { shelfPartOf } from "@/core/stock";
import { serverQueries } from "../parts/serverQueries";

const MOST = 200;

/** Capacitors on hand, as the run plan and the start capacitor's choice take them. */
export function useShelf(usedKey: string) {
  return useQuery(
    {
      queryKey: ["shelf", usedKey],
      retry: 1,
      placeholderData: keepPreviousData,
      queryFn: async ({ signal }): Promise<readonly ShelfCapacitor[]> => {
        const query = { kind: "capacitor", only: "on-hand", sort: "microfarads", most: MOST } as const;
        const { lines } = await asked(listStock, { query, signal });
        return lines.flatMap(({ item, onHand }) => {
          const part = item.kind === "capacitor" ? shelfPartOf(item, onHand) : null;
          return part ? [part] : [];
        });
      },
    },
    serverQueries(),
  );
}
