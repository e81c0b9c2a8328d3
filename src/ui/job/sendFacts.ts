import { type Fact, MOST_FACTS_A_WRITE } from "@/core";
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
  try {
    for (let waiting = waitingFacts(jobId); waiting.length > 0; waiting = waitingFacts(jobId)) {
      const batch = waiting.slice(0, MOST_FACTS_A_WRITE);
      const response = await fetch(`/api/v1/jobs/${jobId}/facts`, {
        method: "POST",
        headers: { "content-type": "application/json" },
        body: JSON.stringify({ facts: batch }),
      });
      if (response.status === 422) return { state: "refused", says: await reasonOf(response) };
      if (!response.ok) return { state: "away" };
      confirmFacts(jobId, new Set(batch.map((f) => f.id)));
      onConfirmed(batch);
    }
    return { state: "sent" };
  } catch {
    return { state: "away" };
  }
}

async function reasonOf(response: Response): Promise<string> {
  const problem: { faults?: { says: string }[] } = await response.json();
  return problem.faults?.map((fault) => fault.says).join("; ") ?? "the server refused it";
}
