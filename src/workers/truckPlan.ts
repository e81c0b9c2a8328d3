import type { StockItem } from "@/core";
import type { PastNeed, TruckObjective, TruckPlan, TruckProgress } from "@/core/replacement";

/** What the page asks of the truck-plan worker. */
export interface TruckRequest {
  readonly needs: readonly PastNeed[];
  readonly items: readonly StockItem[];
  readonly share: number;
  readonly objective: TruckObjective;
}

/** What it answers: how far it is, then the plan, or null where nothing covers anything. */
export type TruckAnswer =
  | { readonly answer: "progress"; readonly progress: TruckProgress }
  | { readonly answer: "plan"; readonly plan: TruckPlan | null };

/** Starts the worker; ending it cancels the search. */
export function startTruckPlan(): Worker {
  return new Worker(new URL("./truckPlan.worker.ts", import.meta.url), { type: "module" });
}
