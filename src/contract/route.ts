import type * as z from "zod/mini";

export type Method = "GET" | "POST" | "PUT" | "DELETE";

/** A body or an answer that is no JSON, by its media type. */
export interface Media {
  readonly media: string;
}

/** What is refused beyond what any route may refuse, in words, by status. */
export type Refusals = Readonly<Partial<Record<404 | 409 | 415 | 422 | 503, string>>>;

/**
 * One operation of the interface under /api, described once: out of it come the handler's checks, the page's client and
 * the OpenAPI document.
 */
export interface Route<
  A extends z.ZodMiniType | Media = z.ZodMiniType | Media,
  P extends z.ZodMiniType | undefined = z.ZodMiniType | undefined,
  Q extends z.ZodMiniType | undefined = z.ZodMiniType | undefined,
  B extends z.ZodMiniType | Media | undefined = z.ZodMiniType | Media | undefined,
> {
  /** The operation's name, unlike all others. */
  readonly id: string;
  readonly method: Method;
  /** "/api/v1/jobs/{job}/facts": each name in braces is one of `params`. */
  readonly path: string;
  readonly summary: string;
  readonly params?: P;
  /** What is not there under that address: "There is no such job." */
  readonly absent?: string;
  readonly query?: Q;
  readonly body?: B;
  /** Brings a body that an earlier page wrote up to the present form before it is looked at. */
  readonly upgrade?: (written: unknown) => unknown;
  /** What is said of a body that does not hold together. */
  readonly refused?: string;
  readonly answer: A;
  /** Of an answer that makes something, 201. */
  readonly status?: 200 | 201;
  readonly refusals?: Refusals;
  /** A body as a caller would send it. */
  readonly example?: unknown;
}

/** Describes a route, its types kept; what it does not have is undefined. */
export function route<
  A extends z.ZodMiniType | Media,
  P extends z.ZodMiniType | undefined = undefined,
  Q extends z.ZodMiniType | undefined = undefined,
  B extends z.ZodMiniType | Media | undefined = undefined,
>(described: Route<A, P, Q, B>): Route<A, P, Q, B> {
  return described;
}

export function isMedia(of: z.ZodMiniType | Media | undefined): of is Media {
  return of !== undefined && "media" in of;
}
