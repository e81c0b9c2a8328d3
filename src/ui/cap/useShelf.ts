"use client";

import { useQuery } from "@tanstack/react-query";
import type { StockItem } from "@/core";
import type { ShelfCapacitor } from "@/core/capacitor";
import { shelfPartOf } from "@/core/stock";

const MOST = 200;

/** Capacitors on hand, as the run plan and the start capacitor's choice take them. */
export function useShelf(usedKey: string) {
  return useQuery({
    queryKey: ["shelf", usedKey],
    retry: 1,
    queryFn: async (): Promise<readonly ShelfCapacitor[]> => {
      const response = await fetch(`/api/v1/stock?kind=capacitor&only=on-hand&sort=microfarads&most=${MOST}`);
      if (!response.ok) throw new Error(String(response.status));
      const { lines } = (await response.json()) as { lines: { item: StockItem; onHand: number }[] };
      return lines.flatMap(({ item, onHand }) => {
        const part = item.kind === "capacitor" ? shelfPartOf(item, onHand) : null;
        return part ? [part] : [];
      });
    },
  });
}
