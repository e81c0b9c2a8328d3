import { z } from "zod";
import { fact, factUpload, identification, readingSheet } from "@/core";

const problemDetails = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number().int(),
  detail: z.string().optional(),
  faults: z
    .array(z.object({ code: z.string(), path: z.array(z.union([z.string(), z.number()])), says: z.string() }))
    .optional(),
});

const factsSince = z.object({ facts: z.array(fact), arrival: z.number().int() });

/** The OpenAPI 3.1 document of the routes under /api/v1, made from the same Zod schemas that guard them. */
export function openApi() {
  const json = (name: string) => ({
    "application/json": { schema: { $ref: `#/components/schemas/${name}` } },
  });
  const refusal = (description: string) => ({
    description,
    content: { "application/problem+json": { schema: { $ref: "#/components/schemas/Problem" } } },
  });
  const job = { name: "job", in: "path", required: true, schema: { type: "string", format: "uuid" } };
  return {
    openapi: "3.1.0",
    info: {
      title: "Odd Lead",
      version: "1",
      description: "Which motor lead is which, from winding resistance.",
    },
    paths: {
      "/api/v1/identify": {
        post: {
          summary: "Identify a motor's leads from a sheet of readings",
          requestBody: { required: true, content: json("ReadingSheet") },
          responses: {
            200: { description: "What the readings say", content: json("Identification") },
            400: refusal("Not JSON"),
            413: refusal("Body too large"),
            415: refusal("Not application/json"),
            422: refusal("The sheet does not hold together; every fault is named by its path"),
            429: refusal("Too many requests"),
          },
        },
      },
      "/api/v1/jobs/{job}/facts": {
        get: {
          summary: "Facts of a job, in order of arrival",
          parameters: [job, { name: "after", in: "query", schema: { type: "integer", minimum: 0 } }],
          responses: { 200: { description: "Facts after that place", content: json("FactsSince") } },
        },
        post: {
          summary: "Add facts to a job; facts already there are passed over",
          parameters: [job],
          requestBody: { required: true, content: json("FactUpload") },
          responses: {
            200: { description: "Kept" },
            422: refusal("A fact does not hold together; none was kept"),
          },
        },
      },
    },
    components: {
      schemas: {
        ReadingSheet: z.toJSONSchema(readingSheet, { io: "input" }),
        Identification: z.toJSONSchema(identification),
        FactUpload: z.toJSONSchema(factUpload, { io: "input" }),
        FactsSince: z.toJSONSchema(factsSince, { io: "input" }),
        Problem: z.toJSONSchema(problemDetails),
      },
    },
  };
}
