import type { StockItem } from "@/core";

/** A line of the stock as the server lists it. */
export interface StockLine {
  readonly item: StockItem;
  readonly inUse: number;
  readonly onHand: number;
}

export type StockSort =
  | "name"
  | "part"
  | "power"
  | "rpm"
  | "volts"
  | "microfarads"
  | "onHand"
  | "place"
  | "cost";

/** What the list is asked for. */
export interface StockAsked {
  readonly search: string;
  readonly kind: "" | StockItem["kind"];
  readonly only: "" | "on-hand" | "short";
  readonly sort: StockSort;
  readonly descending: boolean;
  readonly most: number;
}

/** The list's lines and how many there are in all. */
export async function fetchStock(
  asked: StockAsked,
  signal: AbortSignal,
): Promise<{ lines: StockLine[]; total: number }> {
  const query = new URLSearchParams({
    search: asked.search,
    sort: asked.sort,
    descending: String(asked.descending),
    most: String(asked.most),
    ...(asked.kind ? { kind: asked.kind } : {}),
    ...(asked.only ? { only: asked.only } : {}),
  });
  const response = await fetch(`/api/v1/stock?${query}`, { signal });
  if (!response.ok) throw new Error(String(response.status));
  return response.json();
}

/** Sends a change; what was refused comes back in words, all well as null. */
export async function send(
  method: "PUT" | "DELETE" | "POST",
  address: string,
  body?: unknown,
): Promise<{ says: string | null; json: unknown }> {
  const response = await fetch(address, {
    method,
    ...(body === undefined
      ? {}
      : { headers: { "content-type": "application/json" }, body: JSON.stringify(body) }),
  }).catch(() => null);
  if (!response)
    return { says: "The server does not answer. Nothing was changed; try again in a moment.", json: null };
  const json: unknown = await response.json().catch(() => null);
  if (response.ok) return { says: null, json };
  const { title, faults } = (json ?? {}) as { title?: string; faults?: { says: string }[] };
  return {
    says: [title, ...(faults ?? []).slice(0, 3).map(({ says }) => says)].filter(Boolean).join(" "),
    json,
  };
}
