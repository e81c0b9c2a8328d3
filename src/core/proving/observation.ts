import * as z from "zod/mini";
import { text } from "../quantity/text";

/** What is seen, measured or told while a motor is proved; each is one line of the proof. */

/** A lead, a terminal or a capacitor, as the plan names it. */
const place = z.string().check(z.minLength(1), z.maxLength(60));
const call = z
  .string()
  .check(
    z.minLength(1),
    z.maxLength(60),
    z.meta({ description: "The call that stood: an id of the equipment’s calls." }),
  );
const pair = z.tuple([place, place]);
const amps = z.number().check(z.gte(0), z.lte(20_000));
const volts = z.number().check(z.gte(0), z.lte(2000));

/** A meter’s own accuracy: so many per cent and so many counts of its last digit. */
export const instrument = z.object({
  percent: z._default(z.number().check(z.gte(0), z.lte(50)), 2),
  counts: z._default(z.number().check(z.gte(0), z.lte(100)), 5),
  resolution: z.optional(z.number().check(z.positive(), z.lte(100))),
});
export type Instrument = z.output<typeof instrument>;
const meter = z.optional(instrument);

/** How a motor takes the call. */
export const STARTS = ["itself", "hums", "stops-again", "not-at-all"] as const;
/** How the air stands: told, so that amps are held against the load that this makes. */
export const AIRS = ["free", "blocked", "open"] as const;
/** When a pump's pressure is read: as its switch starts it, as its switch stops it, or while it runs. */
export const PRESSURE_AT = ["running", "cut-in", "cut-out"] as const;
/** The same as it is said. */
export const PRESSURE_WORDS: Readonly<Record<(typeof PRESSURE_AT)[number], string>> = {
  running: "while it runs",
  "cut-in": "as its switch starts it",
  "cut-out": "as its switch stops it",
};
/** A pump that nobody sees turn is tried both ways: as it is wired, and with its one change made. */
export const PRESSURE_WAYS = ["as-wired", "changed"] as const;
/** What eye, ear, nose and hand tell. */
export const SIGNS = [
  "growl",
  "click",
  "rub",
  "smell",
  "smoke",
  "warm",
  "too-hot",
  "breaker",
  "ground-fault",
  "protector",
  "hunting",
  "silent-module",
] as const;

export const observation = z.discriminatedUnion("what", [
  z.object({
    what: z.literal("line-amps"),
    call,
    lead: place.check(
      z.meta({ description: "The wire the clamp is round: a lead of the motor, or a line." }),
    ),
    amps,
    meter,
  }),
  z.object({ what: z.literal("supply-volts"), call: z.optional(call), between: pair, volts, meter }),
  z.object({ what: z.literal("capacitor-volts"), call, at: place, volts, meter }),
  z.object({ what: z.literal("capacitor-amps"), call, at: place, amps, meter }),
  z.object({ what: z.literal("starts"), call, how: z.enum(STARTS) }),
  z.object({ what: z.literal("turn"), call, seen: z.enum(["cw", "ccw"]), end: z.enum(["shaft", "lead"]) }),
  z.object({ what: z.literal("rpm"), call, rpm: z.number().check(z.gte(0), z.lte(30_000)), meter }),
  z.object({
    what: z.literal("start-amps"),
    call,
    lead: place,
    peak: amps,
    seconds: z
      .number()
      .check(z.gte(0), z.lte(600), z.meta({ description: "Until it came under 1.5 times the plate." })),
    meter,
  }),
  z.object({ what: z.literal("air"), call, state: z.enum(AIRS) }),
  z
    .object({
      what: z.literal("ohms"),
      between: pair,
      ohms: z.optional(z.number().check(z.gte(0), z.lte(1e9))),
      open: z.optional(z.literal(true)),
      meter,
    })
    .check(
      z.refine((one) => (one.ohms !== undefined) !== (one.open === true), {
        error: "give either ohms or open: true, not both and not neither",
      }),
    ),
  z.object({
    what: z.literal("capacitor-microfarads"),
    at: place,
    microfarads: z.number().check(z.gte(0), z.lte(10_000)),
    meter,
  }),
  z.object({
    what: z.literal("insulation"),
    on: z
      .optional(z.iso.date())
      .check(z.meta({ description: "The day it was made, where it was made; else that of universal time." })),
    lead: place.check(
      z.meta({
        description: "The lead of the motor that one clip is on; the other is on the shell.",
      }),
    ),
    megohms: z.number().check(z.gte(0), z.lte(1e6)),
    orMore: z
      .optional(z.literal(true))
      .check(z.meta({ description: "The tester’s range ended there: it is that much or more." })),
    windingC: z.optional(z.number().check(z.gte(-50), z.lte(250))),
    inWell: z
      .optional(z.literal(true))
      .check(z.meta({ description: "A pump in its well, its cable included: judged as read." })),
  }),
  z.object({
    what: z.literal("pressure"),
    call,
    kilopascals: z.number().check(z.gte(0), z.lte(10_000)),
    at: z._default(z.enum(PRESSURE_AT), "running"),
    way: z._default(z.enum(PRESSURE_WAYS), "as-wired"),
    meter,
  }),
  z.object({
    what: z.literal("sign"),
    call: z.optional(call),
    sign: z.enum(SIGNS),
    note: z.optional(text(200)),
  }),
]);
export type ProvingObservation = z.output<typeof observation>;

/** An observation that is a number off an instrument. */
export type Measured = Extract<
  ProvingObservation,
  {
    what:
      | "line-amps"
      | "supply-volts"
      | "capacitor-volts"
      | "capacitor-amps"
      | "rpm"
      | "start-amps"
      | "ohms"
      | "capacitor-microfarads";
  }
>;

const NO_POWER: ReadonlySet<ProvingObservation["what"]> = new Set([
  "ohms",
  "capacitor-microfarads",
  "insulation",
  "air",
  "sign",
]);

/** Whether an observation can only be made under power. */
export function needsPower({ what }: Pick<ProvingObservation, "what">): boolean {
  return !NO_POWER.has(what);
}
