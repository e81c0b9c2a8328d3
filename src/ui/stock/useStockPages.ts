import { keepPreviousData, type QueryKey, useQueries, useQuery } from "@tanstack/react-query";
import { useCallback, useState } from "react";
import type { StockLine } from "@/contract/routes/stock";
import { fetchStock, STOCK_PAGE, type StockAsked } from "./stockClient";

/** The lines that are asked for, as far as they are on the screen: the rest is fetched when it comes there. */
export interface StockPages {
  /** Null before the first page has come. */
  readonly total: number | null;
  /** There are more than are counted: a search counts no further. */
  readonly more: boolean;
  /** The first page could not be had, so that nothing is known. */
  readonly failed: boolean;
  /** A page on the screen could not be had. */
  readonly missing: boolean;
  /** Asks anew for what could not be had. */
  readonly again: () => void;
  /** A line by its place in the list; undefined while its page is on the way. */
  readonly lineAt: (place: number) => StockLine | undefined;
  /** Said by who shows them: the first and the last place on the screen. */
  readonly onSeen: (first: number, last: number) => void;
}

const keyOf = (asked: StockAsked, page: number): QueryKey => ["stock", asked, page];

/** The stock in the order and by the search that are asked for. */
export function useStockPages(asked: StockAsked): StockPages {
  const [seen, setSeen] = useState({ first: 0, last: 0 });
  const first = useQuery({
    queryKey: keyOf(asked, 0),
    queryFn: ({ signal }) => fetchStock(asked, 0, signal),
    placeholderData: keepPreviousData,
    retry: 1,
  });
  const total = first.data?.total ?? null;
  const onSeen = useCallback(
    (from: number, to: number) =>
      setSeen((before) =>
        pageOf(from) === pageOf(before.first) && pageOf(to) === pageOf(before.last)
          ? before
          : { first: from, last: to },
      ),
    [],
  );
  const most = Math.min(seen.last, (total ?? 0) - 1);
  const from = Math.max(1, pageOf(seen.first));
  const pages = Array.from({ length: Math.max(0, pageOf(most) - from + 1) }, (_, i) => from + i);
  const others = useQueries({
    queries: pages.map((page) => ({
      queryKey: keyOf(asked, page),
      queryFn: ({ signal }: { signal: AbortSignal }) => fetchStock(asked, page, signal),
      retry: 1,
    })),
  });
  return {
    total,
    more: first.data?.more ?? false,
    failed: first.isError,
    missing: others.some(({ isError }) => isError),
    again: () => {
      for (const page of [first, ...others]) if (page.isError) void page.refetch();
    },
    lineAt: (place) => {
      const page = pageOf(place);
      const { data } = (page === 0 ? first : others[pages.indexOf(page)]) ?? {};
      return data?.lines[place - page * STOCK_PAGE];
    },
    onSeen,
  };
}

function pageOf(place: number): number {
  return Math.floor(Math.max(0, place) / STOCK_PAGE);
}
