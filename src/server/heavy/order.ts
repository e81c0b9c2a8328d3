/** A piece of work as it is sent to a thread. */
export interface Order {
  readonly id: number;
  /** Its name among the works. */
  readonly what: string;
  readonly given: readonly unknown[];
}

/** What a thread sends back: a value, or what it threw as far as that can be told across threads. */
export type Answered =
  | { readonly id: number; readonly value: unknown }
  | { readonly id: number; readonly failed: FailureTold };

/** What a thread sends first, once it can take orders: the answer to none. */
export const LOADED: Answered = { id: 0, value: null };

export interface FailureTold {
  readonly message: string;
  readonly stack?: string;
  /** SQLSTATE or errno of what lay at the bottom of it: tells a database that is away from a fault of ours. */
  readonly code?: string;
}

/** Of one cause after another, no more are looked at. */
const MOST_CAUSES = 5;

/** An error so that it survives the way between threads, which keeps a message but neither class nor code. */
export function failureToTell(error: unknown): FailureTold {
  const messages: string[] = [];
  let code: string | undefined;
  let cause: unknown = error;
  for (let depth = 0; depth < MOST_CAUSES && typeof cause === "object" && cause !== null; depth++) {
    const { code: found, message, cause: next } = cause as Record<string, unknown>;
    if (typeof found === "string") code = found;
    if (typeof message === "string") messages.push(message);
    cause = next;
  }
  return {
    message: messages.join(": ") || String(error),
    ...(error instanceof Error && error.stack ? { stack: error.stack } : {}),
    ...(code ? { code } : {}),
  };
}

/** The error of the other side, made again here. */
export function failureTold({ message, stack, code }: FailureTold): Error {
  const error = new Error(message);
  if (stack) error.stack = stack;
  return code ? Object.assign(error, { code }) : error;
}
