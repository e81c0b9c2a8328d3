import { asked as answerOf, type Called } from "@/contract/call";
import { listStock, type StockLine, type StockSort } from "@/contract/routes/stock";
import type { StockItem } from "@/core";

/** Lines that are fetched at a time. */
export const STOCK_PAGE = 60;
/** Characters that may be looked for. */
export const MOST_SEARCHED = 120;

/** What the list is asked for. */
export interface StockAsked {
  readonly search: string;
  readonly kind: "" | StockItem["kind"];
  readonly only: "" | "on-hand" | "short";
  readonly sort: StockSort;
  readonly descending: boolean;
}

/** A page of the list's lines, the first being 0, and how many lines there are in all, as far as they are counted. */
export function fetchStock(
  { kind, only, descending, ...asked }: StockAsked,
  page: number,
  signal: AbortSignal,
): Promise<{ lines: StockLine[]; total: number; more: boolean }> {
  const query = {
    ...asked,
    offset: page * STOCK_PAGE,
    most: STOCK_PAGE,
    descending: String(descending),
    ...(kind ? { kind } : {}),
    ...(only ? { only } : {}),
  };
  return answerOf(listStock, { query, signal });
}

/** Why a change to the stock was not made, in words. */
export function saysOf({ status, says }: Extract<Called<unknown>, { ok: false }>): string {
  return status === null ? "The server does not answer. Nothing was changed; try again in a moment." : says;
}
