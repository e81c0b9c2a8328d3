import { randomUUID } from "node:crypto";
import type * as z from "zod/mini";
import { isMedia, type Media, type Method, type Route } from "@/contract";
import { faultsOf } from "@/core";
import { isText, readJson } from "./body";
import { failure } from "./failure";
import { Problem } from "./problem";
import { clientOf, waitMsOf } from "./rateLimit";
import { shopOf } from "./shop";
import { watchedBody } from "./watchedBody";

/** What a handler is given: the request's parts, each as the route's schemas read it. */
export interface Asked<P, Q, B> {
  readonly params: P;
  readonly query: Q;
  readonly body: B;
  /** Whose facts are meant. */
  readonly shop: string;
  readonly request: Request;
}

type Out<S> = S extends z.ZodMiniType ? z.output<S> : undefined;
/** JSON that the route's answer describes, before its defaults; other media as a response of its own. */
type Answer<A> = A extends z.ZodMiniType ? z.input<A> : Response;

type Handler<P, Q, B, A> = (
  asked: Asked<Out<P>, Out<Q>, Out<B>>,
) => Promise<Answer<A> | Problem | Response> | Answer<A> | Problem | Response;

/** A route with what answers it. */
export interface Served {
  readonly route: Route;
  readonly handle: (asked: Asked<never, never, never>) => unknown;
}

/** Joins a route to its handler, types checked against its description. */
export function served<
  A extends z.ZodMiniType | Media,
  P extends z.ZodMiniType | undefined = undefined,
  Q extends z.ZodMiniType | undefined = undefined,
  B extends z.ZodMiniType | Media | undefined = undefined,
>(route: Route<A, P, Q, B>, handle: Handler<P, Q, B, A>): Served {
  return { route: route as unknown as Route, handle: handle as Served["handle"] };
}

/** A body may have a fault for every few bytes of it: no one reads more of them. */
const MOST_FAULTS = 1000;

interface Context {
  readonly params: Promise<Record<string, string | string[] | undefined>>;
}
type NextHandler = (request: Request, context: Context) => Promise<Response>;

const METHODS = ["GET", "POST", "PUT", "DELETE", "PATCH", "HEAD", "OPTIONS"] as const;

/**
 * The handlers of one address for Next: each checks what its route describes, and the methods that the address has not
 * are refused in the same form as everything else.
 */
export function serveRoutes(...all: readonly Served[]): Record<(typeof METHODS)[number], NextHandler> {
  const byMethod = new Map<string, Served>(all.map((one) => [one.route.method, one]));
  const allow = [...byMethod.keys()].join(", ");
  const handlerOf = (method: (typeof METHODS)[number]): NextHandler => {
    const one = byMethod.get(method === "HEAD" ? ("GET" satisfies Method) : method);
    if (one) return (request, context) => answered(request, () => run(one, request, context));
    return (request) =>
      answered(request, () => new Problem(405, `This address takes ${allow || "nothing"}.`, {}, { allow }));
  };
  return Object.fromEntries(METHODS.map((method) => [method, handlerOf(method)])) as ReturnType<
    typeof serveRoutes
  >;
}

/** Under the rate limit, with a request id, errors told apart, and nothing kept by a cache on the way. */
async function answered(request: Request, make: () => unknown): Promise<Response> {
  const requestId = randomUUID();
  const response = watched(await within(request, make, requestId), request, requestId);
  response.headers.set("x-request-id", requestId);
  if (!response.headers.has("cache-control")) response.headers.set("cache-control", "no-store");
  return response;
}

/** The same answer, logged under its request's id where its stream breaks off. JSON is there as a whole. */
function watched(response: Response, request: Request, requestId: string): Response {
  const { body, status, headers } = response;
  if (!body || JSON_TYPE.test(headers.get("content-type") ?? "")) return response;
  const told = (error: unknown) => void failure(error, requestId, new URL(request.url).pathname);
  return new Response(watchedBody(body, told), { status, headers });
}

const JSON_TYPE = /^application\/(?:problem\+)?json\b/;

async function within(request: Request, make: () => unknown, requestId: string): Promise<Response> {
  try {
    const waitMs = await waitMsOf(clientOf(request));
    if (waitMs > 0) {
      const after = { "retry-after": String(Math.ceil(waitMs / 1000)) };
      return new Problem(429, "Too many requests; wait a few seconds.", {}, after).response();
    }
    const made = await make();
    if (made instanceof Problem) return made.response();
    return made instanceof Response ? made : Response.json(made);
  } catch (error) {
    return failure(error, requestId, new URL(request.url).pathname).response();
  }
}

async function run({ route, handle }: Served, request: Request, context: Context): Promise<unknown> {
  const params = paramsOf(route, await context.params);
  if (params instanceof Problem) return params;
  const query = queryOf(route, request);
  if (query instanceof Problem) return query;
  const body = await bodyOf(route, request);
  if (body instanceof Problem) return body;
  const asked = { params, query, body: body.value, shop: shopOf(request), request };
  const made = await handle(asked as Asked<never, never, never>);
  if (made instanceof Problem || made instanceof Response) return made;
  return Response.json(made, { status: route.status ?? 200 });
}

function paramsOf({ params, absent = "There is nothing here." }: Route, given: object): unknown {
  if (!params) return {};
  const read = params.safeParse(given);
  return read.success ? read.data : new Problem(404, absent);
}

function queryOf({ query }: Route, request: Request): unknown {
  if (!query) return {};
  const given = Object.fromEntries(new URL(request.url).searchParams);
  const unwritable = Object.entries(given).find((entry) => !entry.every(isText));
  const read = unwritable ? null : query.safeParse(given);
  if (read?.success) return read.data;
  return new Problem(422, "It cannot be asked for like that.", {
    faults: read
      ? faultsOf(read.error.issues)
      : [{ code: "no-text", path: ["query"], says: "A NUL or half a character is no text." }],
  });
}

async function bodyOf(route: Route, request: Request): Promise<{ readonly value: unknown } | Problem> {
  const { body, upgrade, refused = "The body does not hold together." } = route;
  if (!body || isMedia(body)) return { value: undefined };
  const given = await readJson(request);
  if (given instanceof Problem) return given;
  const read = body.safeParse(upgrade ? upgrade(given.json) : given.json);
  return read.success
    ? { value: read.data }
    : new Problem(422, refused, { faults: faultsOf(read.error.issues.slice(0, MOST_FAULTS)) });
}
