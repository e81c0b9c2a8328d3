import * as z from "zod/mini";
import { factUpload, identification, readingSheet } from "@/core";
import { ROUTES } from "./found";
import { problemDetails } from "./problem";
import { isMedia, type Media, type Route } from "./route";
import { factsSince } from "./routes/jobs";

/** Forms with a name of their own in the document. */
const NAMED: ReadonlyMap<z.ZodMiniType, string> = new Map<z.ZodMiniType, string>([
  [readingSheet, "ReadingSheet"],
  [identification, "Identification"],
  [factUpload, "FactUpload"],
  [factsSince, "FactsSince"],
]);

/** What any route may refuse: its faults are the caller's up to 499, then ours or the database's. */
const ALWAYS: Readonly<Record<number, string>> = {
  405: "That address has no such method",
  429: "Too many requests; the answer says when to try again",
  500: "A fault of the server, logged under the id in the answer",
  503: "The database is away; nothing is lost, try again",
};
const WITH_BODY: Readonly<Record<number, string>> = {
  400: "Not JSON",
  413: "Body too large",
  415: "Not application/json",
  422: "It does not hold together; every fault is named by its path",
};

/** The OpenAPI 3.1 document of every route, made from the table that guards them. */
export function openApi() {
  const paths: Record<string, Record<string, unknown>> = {};
  for (const route of ROUTES as readonly Route[])
    paths[route.path] = { ...paths[route.path], [route.method.toLowerCase()]: operation(route) };
  return {
    openapi: "3.1.0",
    info: {
      title: "Odd Lead",
      version: "1",
      description: "Which motor lead is which, from winding resistance.",
    },
    paths,
    components: {
      schemas: {
        Problem: z.toJSONSchema(problemDetails),
        ...Object.fromEntries(
          [...NAMED].map(([schema, name]) => [
            name,
            z.toJSONSchema(schema, {
              io: schema === identification ? "output" : "input",
              unrepresentable: "any",
            }),
          ]),
        ),
      },
    },
  };
}

function operation(route: Route) {
  const { id, summary, params, query, body, answer, status = 200, refusals = {}, absent, example } = route;
  const refused: Record<number, string | undefined> = {
    ...(absent ? { 404: absent } : {}),
    ...(query ? { 422: "It cannot be asked for like that" } : {}),
    ...(body && !isMedia(body) ? WITH_BODY : {}),
    ...ALWAYS,
    ...refusals,
  };
  const parameters = [...fieldsOf(params, "path"), ...fieldsOf(query, "query")];
  return {
    operationId: id,
    summary,
    ...(parameters.length > 0 ? { parameters } : {}),
    ...(body ? { requestBody: { required: true, content: content(body, "input", example) } } : {}),
    responses: {
      [status]: { description: "As asked", content: content(answer, "output") },
      ...Object.fromEntries(
        Object.entries(refused).map(([code, description]) => [code, { description, content: PROBLEM }]),
      ),
    },
  };
}

const PROBLEM = { "application/problem+json": { schema: { $ref: "#/components/schemas/Problem" } } };

function content(of: z.ZodMiniType | Media, io: "input" | "output", example?: unknown) {
  if (isMedia(of)) return { [of.media]: { schema: { type: "string", format: "binary" } } };
  const name = NAMED.get(of);
  const schema = name
    ? { $ref: `#/components/schemas/${name}` }
    : z.toJSONSchema(of, { io, unrepresentable: "any" });
  return { "application/json": { schema, ...(example === undefined ? {} : { example }) } };
}

/** The fields of an object as parameters of a place. */
function fieldsOf(of: z.ZodMiniType | undefined, place: "path" | "query") {
  if (!of) return [];
  const { properties = {}, required = [] } = z.toJSONSchema(of, { io: "input", unrepresentable: "any" }) as {
    properties?: Record<string, object>;
    required?: string[];
  };
  return Object.entries(properties).map(([name, schema]) => ({
    name,
    in: place,
    required: place === "path" || required.includes(name),
    schema,
  }));
}
