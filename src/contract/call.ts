import type * as z from "zod/mini";
import { type ProblemDetails, problemDetails } from "./problem";
import { isMedia, type Media, type Route } from "./route";

/** What came of asking the server: the answer as the route describes it, or why there is none. */
export type Called<T> =
  | { readonly ok: true; readonly value: T }
  | {
      readonly ok: false;
      /** Null where no answer came. */
      readonly status: number | null;
      readonly problem: ProblemDetails | null;
      /** In a sentence or two, the first faults with it. */
      readonly says: string;
      /** Asking the same again may well help: the server or its database is away, or too busy. */
      readonly later: boolean;
    };

/** What goes with a call, as the route describes it. */
type Sent<P, Q, B> = {
  readonly signal?: AbortSignal;
  /** Sent even while the page goes away. */
  readonly keepalive?: boolean;
} & (P extends z.ZodMiniType ? { readonly params: z.input<P> } : unknown) &
  (Q extends z.ZodMiniType ? { readonly query?: z.input<Q> } : unknown) &
  (B extends z.ZodMiniType
    ? { readonly body: z.input<B> }
    : B extends Media
      ? { readonly file: Blob }
      : unknown);

type Value<A> = A extends z.ZodMiniType ? z.output<A> : Blob;

const SAID = 3;

/** Asks the server by a route; what it answers is checked before anything is made of it. */
export async function call<A, P = undefined, Q = undefined, B = undefined>(
  route: Described<A, P, Q, B>,
  sent: Sent<P, Q, B>,
): Promise<Called<Value<A>>> {
  const { method, answer } = route as unknown as Route;
  const { params, query, body, file, signal, keepalive } = sent as Loose;
  try {
    const response = await fetch(addressOf((route as unknown as Route).path, params, query), {
      method,
      ...(signal ? { signal } : {}),
      ...(keepalive ? { keepalive } : {}),
      ...(body === undefined ? {} : { headers: JSON_TYPE, body: JSON.stringify(body) }),
      ...(file ? { headers: { "content-type": file.type || "image/unknown" }, body: file } : {}),
    });
    if (!response.ok) return refusedBy(response);
    if (isMedia(answer)) return { ok: true, value: (await response.blob()) as Value<A> };
    const read = answer.safeParse(await response.json());
    if (read.success) return { ok: true, value: read.data as Value<A> };
    return {
      ok: false,
      status: response.status,
      problem: null,
      says: "The server’s answer makes no sense.",
      later: false,
    };
  } catch (error) {
    if (signal?.aborted) throw error;
    return { ok: false, status: null, problem: null, says: "The server does not answer.", later: true };
  }
}

/** The same for a query that is tried again by whoever asks: throws where there is no answer. */
export async function asked<A, P = undefined, Q = undefined, B = undefined>(
  route: Described<A, P, Q, B>,
  sent: Sent<P, Q, B>,
): Promise<Value<A>> {
  const called = await call(route, sent);
  if (!called.ok) throw new NotAnswered(called.says);
  return called.value;
}

/** No answer, or none to be used. */
export class NotAnswered extends Error {}

/** The address of a route with its parts filled in. */
export function addressOf(
  path: string,
  params: Readonly<Record<string, unknown>> = {},
  query: Readonly<Record<string, unknown>> = {},
): string {
  const filled = path.replace(/\{(\w+)\}/g, (_, name: string) => encodeURIComponent(String(params[name])));
  const asked = new URLSearchParams(
    Object.entries(query).flatMap(([name, value]) => (value === undefined ? [] : [[name, String(value)]])),
  ).toString();
  return asked === "" ? filled : `${filled}?${asked}`;
}

const JSON_TYPE = { "content-type": "application/json" };

/** A route with its types in view. */
interface Described<A, P, Q, B> {
  readonly params?: P;
  readonly query?: Q;
  readonly body?: B;
  readonly answer: A;
}

interface Loose {
  readonly params?: Readonly<Record<string, unknown>>;
  readonly query?: Readonly<Record<string, unknown>>;
  readonly body?: unknown;
  readonly file?: Blob;
  readonly signal?: AbortSignal;
  readonly keepalive?: boolean;
}

async function refusedBy(response: Response): Promise<Called<never>> {
  const read = problemDetails.safeParse(await response.json().catch(() => null));
  const { title, faults = [] } = read.success
    ? read.data
    : { title: `The server answered ${response.status}.` };
  return {
    ok: false,
    status: response.status,
    problem: read.success ? read.data : null,
    says: [title, ...faults.slice(0, SAID).map(({ says }) => says)].join(" "),
    later: response.status >= 500 || response.status === 429,
  };
}
