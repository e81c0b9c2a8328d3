import * as z from "zod/mini";
import { fingerprint } from "@/core";
import { route } from "../route";
import { jobLine } from "./jobs";

const leadId = z.string().check(z.minLength(1), z.maxLength(64));

/** A motor that was met: one of an earlier job, or one of a line of the stock whose ohms are stated. */
export const metMotor = z.discriminatedUnion("kind", [
  z.object({ kind: z.literal("job"), job: jobLine }),
  z.object({
    kind: z.literal("stock"),
    line: z.object({
      id: z.uuid(),
      name: z.string(),
      part: z.string(),
      place: z.string(),
      onHand: z.int(),
    }),
  }),
]);
export type MetMotor = z.output<typeof metMotor>;

export const askMetBefore = route({
  id: "askMetBefore",
  method: "POST",
  path: "/api/v1/met-before",
  summary: "Motors of the record, and of the stock, that a few readings may be of",
  body: z.object({
    /** The job that asks: it is not answered with itself. */
    job: z.optional(z.uuid()),
    leads: z.array(z.object({ id: leadId, name: z.string().check(z.maxLength(40)) })).check(z.maxLength(12)),
    readings: z
      .array(
        z.object({
          between: z.tuple([leadId, leadId]),
          ohms: z.nullable(z.number().check(z.nonnegative())),
          sigmaOhms: z.number().check(z.nonnegative()),
        }),
      )
      .check(z.maxLength(66)),
    windingC: z.nullable(z.number().check(z.gte(-50), z.lte(250))),
  }),
  refused: "These readings do not hold together.",
  answer: z.object({
    met: z.array(
      z.object({
        of: metMotor,
        likely: z.number().check(z.gte(0), z.lte(1)),
        print: fingerprint,
        map: z.array(z.object({ here: leadId, earlier: z.int() })),
      }),
    ),
  }),
  example: {
    leads: [
      { id: "a", name: "GY" },
      { id: "b", name: "VT" },
      { id: "c", name: "TQ" },
    ],
    readings: [
      { between: ["a", "b"], ohms: 18.6, sigmaOhms: 0.15 },
      { between: ["b", "c"], ohms: 22.5, sigmaOhms: 0.2 },
      { between: ["a", "c"], ohms: 3.9, sigmaOhms: 0.1 },
    ],
    windingC: 21,
  },
});
