import { addFacts } from "@/contract/routes/jobs";
import { type Fact, MOST_FACTS_A_WRITE } from "@/core";
import { call } from "../parts/api";
import { confirmFacts, waitingFacts } from "./outbox";

/** How a sending ended: all confirmed, the server away, or the facts refused with a reason. */
export type Sent =
  | { readonly state: "sent" }
  | { readonly state: "away" }
  | { readonly state: "refused"; readonly says: string };

/**
 * Sends what waits of a job until nothing does, a batch at a time; confirmed facts leave the outbox.
 *
 * @param onConfirmed told of each batch that the server confirmed.
 */
export async function sendFacts(
  jobId: string,
  onConfirmed: (facts: readonly Fact[]) => void = () => undefined,
): Promise<Sent> {
  for (let waiting = waitingFacts(jobId); waiting.length > 0; waiting = waitingFacts(jobId)) {
    const batch = waiting.slice(0, MOST_FACTS_A_WRITE);
    const called = await call(addFacts, { params: { job: jobId }, body: { facts: batch } });
    if (!called.ok)
      return called.status === 422 ? { state: "refused", says: called.says } : { state: "away" };
    confirmFacts(jobId, new Set(batch.map((f) => f.id)));
    onConfirmed(batch);
  }
  return { state: "sent" };
}
