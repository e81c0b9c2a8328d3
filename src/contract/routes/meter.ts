import * as z from "zod/mini";
import { LEAD_LIMITS, readingSheet } from "@/core";
import { BENCH_FAULTS } from "@/core/bench";
import { INSTRUMENT_KINDS, type NextCheck, nextCheck, provingSheet } from "@/core/proving";
import { route } from "../route";

const attached = z.object({ meter: z.uuid() });
const absent = "That meter is no longer attached.";

/** A lead's id as the meter takes it between quotes. */
const lead = z
  .string()
  .check(
    z.minLength(1),
    z.maxLength(64),
    z.regex(/^[^",\s]+$/, "a lead's id for the meter has no quotes, commas or spaces"),
  );
/** Whether the names of a check can stand between quotes in an instrument's line. */
function isPlain({ because: _, ...check }: NextCheck): boolean {
  return !/[",\p{Cc}]/u.test(Object.values(check).flat().join(" "));
}
/** The caller's own number for this touch; values in the stream carry it. */
const touch = z._default(z.int().check(z.gte(0)), 0);

/** Of the same seed comes the same motor, or machine. */
const seed = z.int().check(z.gte(0), z.lte(2 ** 32 - 1));

/** Where a meter listens. Ports under 1024 are other services'. */
export const meterAddress = z.object({
  host: z
    .string()
    .check(
      z.trim(),
      z.minLength(1),
      z.maxLength(253),
      z.regex(/^[\w.:%-]+$/, "a host name or an address, such as 192.168.1.40"),
    ),
  port: z.int().check(z.gte(1024), z.lte(65_535)),
});
export type MeterAddress = z.output<typeof meterAddress>;

/** One value of the stream. */
export const meterValue = z.object({
  touch: z.int(),
  shown: z.union([
    z.object({ open: z.literal(true) }),
    z.object({ ohms: z.number() }),
    /** Of an instrument that measures something else, in the unit of its kind. */
    z.object({ figure: z.number() }),
  ]),
});

export const attachMeter = route({
  id: "attachMeter",
  method: "POST",
  path: "/api/v1/meter",
  summary:
    "Attach a meter: one at an address of the own network, or a stand-in on a virtual motor or machine",
  body: z.union([
    z.object({ address: meterAddress, measures: z._default(z.enum(INSTRUMENT_KINDS), "ohms") }),
    z.object({
      leads: z.array(lead).check(z.minLength(LEAD_LIMITS.fewest), z.maxLength(LEAD_LIMITS.most)),
      seed,
      meter: readingSheet.shape.meter,
    }),
    /** Instruments beside a powered virtual machine on this wiring, sound or with a fault that is not told. */
    z.object({
      bench: z.pick(provingSheet, { motor: true, wiring: true, load: true }),
      seed,
      fault: z._default(z.enum(BENCH_FAULTS), "none"),
    }),
  ]),
  refused: "No meter can be attached to that.",
  answer: z.object({ meter: z.uuid(), identity: z.string() }),
  status: 201,
  refusals: { 422: "Nothing answers as a meter there, or it is outside the own network" },
});

export const detachMeter = route({
  id: "detachMeter",
  method: "DELETE",
  path: "/api/v1/meter/{meter}",
  summary: "Detach a meter; one that is gone already is no error",
  params: attached,
  absent,
  answer: z.object({ closed: z.literal(true) }),
});

export const moveProbes = route({
  id: "moveProbes",
  method: "POST",
  path: "/api/v1/meter/{meter}/probes",
  summary: "Put the stand-in’s probes somewhere; of a real meter, say what its values are of from here on",
  params: attached,
  absent,
  body: z.union([
    z.object({ between: z.tuple([lead, lead]), touch }),
    z.object({ shell: lead, touch }),
    z.object({ lifted: z.literal(true), touch }),
    /** The tips together, on one lead. */
    z.object({ tips: lead, touch }),
    /** Clamp, probes or light where this check wants them, under its call. */
    z.object({
      check: nextCheck.check(
        z.refine(isPlain, "a name for an instrument has no quotes, commas or line ends"),
      ),
      touch,
    }),
  ]),
  refused: "The probes cannot be put there.",
  answer: z.object({
    touched: z.literal(true),
    seen: z
      .optional(z.string())
      .check(z.meta({ description: "What an eye beside the virtual machine would see." })),
  }),
});

export const streamMeter = route({
  id: "streamMeter",
  method: "GET",
  path: "/api/v1/meter/{meter}/stream",
  summary: "What the meter shows, five times a second, as server-sent events",
  params: attached,
  absent,
  answer: { media: "text/event-stream" },
});
