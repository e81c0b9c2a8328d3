import { useMemo } from "react";
import { useAnswer, useJob, useWorking } from "../job/JobContext";
import { askedTarget, type Target } from "./target";

/** Where the next entry goes. */
export interface Aim {
  /** Null where nothing is asked, or not known yet. */
  readonly target: Target | null;
  /** True when a person picked the target; false when it is the one asked for. */
  readonly isChosen: boolean;
}

/** What was picked, as long as its leads are there; else what the identification asks for. */
export function useTarget(chosen: Target | null): Aim {
  const { job } = useJob("leads");
  const answer = useAnswer();
  const working = useWorking();
  const asked = useMemo(() => (working ? null : askedTarget(answer)), [answer, working]);
  const here = (id: string) => job.leads.some((lead) => lead.id === id);
  const stands = chosen !== null && (chosen.kind === "pair" ? chosen.between.every(here) : here(chosen.lead));
  return { target: stands ? chosen : asked, isChosen: stands };
}
