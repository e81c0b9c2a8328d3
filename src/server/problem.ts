import type { ProblemDetails } from "@/contract";
import type { Fault } from "@/core";

/** An error of the caller, the database or ours, to be answered as problem details. */
export class Problem {
  readonly details: ProblemDetails;

  constructor(
    readonly status: number,
    title: string,
    more: { detail?: string; requestId?: string; faults?: readonly Fault[] } = {},
    readonly headers: Readonly<Record<string, string>> = {},
  ) {
    const { faults, ...rest } = more;
    this.details = {
      type: "about:blank",
      title,
      status,
      ...rest,
      ...(faults ? { faults: faults.map((fault) => ({ ...fault, path: [...fault.path] })) } : {}),
    };
  }

  response(): Response {
    return new Response(JSON.stringify(this.details), {
      status: this.status,
      headers: { "content-type": "application/problem+json", ...this.headers },
    });
  }
}
