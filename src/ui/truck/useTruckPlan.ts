"use client";

import { useEffect, useRef, useState } from "react";
import type { StockItem } from "@/core";
import type { PastNeed, TruckObjective, TruckPlan, TruckProgress } from "@/core/replacement";
import { startTruckPlan, type TruckAnswer } from "@/workers/truckPlan";

export interface TruckSearch {
  readonly running: boolean;
  readonly progress: TruckProgress | null;
  readonly plan: TruckPlan | null;
  /** In words where there is no plan to show. */
  readonly says: string | null;
}

const IDLE: TruckSearch = { running: false, progress: null, plan: null, says: null };

/** The search for a truck plan in a worker: begin, follow, give up. */
export function useTruckPlan() {
  const [search, setSearch] = useState<TruckSearch>(IDLE);
  const worker = useRef<Worker | null>(null);
  useEffect(() => () => worker.current?.terminate(), []);

  const begin = async (share: number, objective: TruckObjective) => {
    worker.current?.terminate();
    setSearch({ ...IDLE, running: true });
    const response = await fetch("/api/v1/truck-plan/needs").catch(() => null);
    if (!response?.ok) {
      setSearch({ ...IDLE, says: "The record of past jobs cannot be had from the server just now." });
      return;
    }
    const { needs, items } = (await response.json()) as { needs: PastNeed[]; items: StockItem[] };
    if (needs.length === 0) {
      setSearch({ ...IDLE, says: "No past job has a plate yet: the plan is made from what jobs asked for." });
      return;
    }
    const next = startTruckPlan();
    worker.current = next;
    next.onmessage = ({ data }: MessageEvent<TruckAnswer>) => {
      if (data.answer === "progress") setSearch((now) => ({ ...now, progress: data.progress }));
      else
        setSearch({
          ...IDLE,
          plan: data.plan,
          says: data.plan ? null : "Nothing in stock or catalogue would have served any of them.",
        });
    };
    next.onerror = () => setSearch({ ...IDLE, says: "The search stopped on a fault of the program." });
    next.postMessage({ needs, items, share, objective });
  };
  const cancel = () => {
    worker.current?.terminate();
    setSearch({ ...IDLE, says: "Given up. Nothing was changed." });
  };
  return { ...search, begin, cancel };
}
