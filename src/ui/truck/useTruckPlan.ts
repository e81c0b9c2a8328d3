"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import { call } from "@/contract/call";
import { truckNeeds } from "@/contract/routes/stock";
import type { TruckObjective, TruckPlan, TruckProgress } from "@/core/replacement";
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
  const asking = useRef<AbortController | null>(null);
  /** Ends whatever is under way: the question to the server, or the search. */
  const stop = useCallback(() => {
    asking.current?.abort();
    worker.current?.terminate();
  }, []);
  useEffect(() => stop, [stop]);

  const begin = async (share: number, objective: TruckObjective) => {
    stop();
    setSearch({ ...IDLE, running: true });
    const wanted = new AbortController();
    asking.current = wanted;
    const asked = await call(truckNeeds, { signal: wanted.signal }).catch(() => null);
    // Given up, or begun anew, while the server was asked.
    if (wanted.signal.aborted) return;
    if (!asked?.ok) {
      setSearch({ ...IDLE, says: "The record of past jobs cannot be had from the server just now." });
      return;
    }
    const { needs, items } = asked.value;
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
          says: data.plan ? null : "Nothing in stock or catalog would have served any of them.",
        });
    };
    next.onerror = () => setSearch({ ...IDLE, says: "The search stopped on a fault of the program." });
    next.postMessage({ needs, items, share, objective });
  };
  const cancel = () => {
    stop();
    setSearch({ ...IDLE, says: "Given up. Nothing was changed." });
  };
  return { ...search, begin, cancel };
}
