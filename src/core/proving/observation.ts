import { z } from "zod";
import { text } from "../quantity/text";

/** What is seen, measured or told while a motor is proved; each is one line of the proof. */

/** A lead, a terminal or a capacitor, as the plan names it. */
const place = z.string().min(1).max(60);
const call = z
  .string()
  .min(1)
  .max(60)
  .meta({ description: "The call that stood: an id of the equipment’s calls." });
const pair = z.tuple([place, place]);
const amps = z.number().finite().min(0).max(20_000);
const volts = z.number().finite().min(0).max(2000);

/** A meter’s own accuracy: so many per cent and so many counts of its last digit. */
export const instrument = z.object({
  percent: z.number().finite().min(0).max(50).default(2),
  counts: z.number().finite().min(0).max(100).default(5),
  resolution: z.number().finite().positive().max(100).optional(),
});
export type Instrument = z.output<typeof instrument>;
const meter = instrument.optional();

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
    lead: place.meta({ description: "The wire the clamp is round: a lead of the motor, or a line." }),
    amps,
    meter,
  }),
  z.object({ what: z.literal("supply-volts"), call: call.optional(), between: pair, volts, meter }),
  z.object({ what: z.literal("capacitor-volts"), call, at: place, volts, meter }),
  z.object({ what: z.literal("capacitor-amps"), call, at: place, amps, meter }),
  z.object({ what: z.literal("starts"), call, how: z.enum(STARTS) }),
  z.object({ what: z.literal("turn"), call, seen: z.enum(["cw", "ccw"]), end: z.enum(["shaft", "lead"]) }),
  z.object({ what: z.literal("rpm"), call, rpm: z.number().finite().min(0).max(30_000), meter }),
  z.object({
    what: z.literal("start-amps"),
    call,
    lead: place,
    peak: amps,
    seconds: z
      .number()
      .finite()
      .min(0)
      .max(600)
      .meta({ description: "Until it came under 1.5 times the plate." }),
    meter,
  }),
  z.object({ what: z.literal("air"), call, state: z.enum(AIRS) }),
  z
    .object({
      what: z.literal("ohms"),
      between: pair,
      ohms: z.number().finite().min(0).max(1e9).optional(),
      open: z.literal(true).optional(),
      meter,
    })
    .refine((one) => (one.ohms !== undefined) !== (one.open === true), {
      error: "give either ohms or open: true, not both and not neither",
    }),
  z.object({
    what: z.literal("capacitor-microfarads"),
    at: place,
    microfarads: z.number().finite().min(0).max(10_000),
    meter,
  }),
  z.object({
    what: z.literal("insulation"),
    on: z.iso
      .date()
      .optional()
      .meta({ description: "The day it was made, where it was made; else that of universal time." }),
    lead: place.meta({
      description: "The lead of the motor that one clip is on; the other is on the shell.",
    }),
    megohms: z.number().finite().min(0).max(1e6),
    orMore: z
      .literal(true)
      .optional()
      .meta({ description: "The tester’s range ended there: it is that much or more." }),
    windingC: z.number().finite().min(-50).max(250).optional(),
    inWell: z
      .literal(true)
      .optional()
      .meta({ description: "A pump in its well, its cable included: judged as read." }),
  }),
  z.object({
    what: z.literal("pressure"),
    call,
    kilopascals: z.number().finite().min(0).max(10_000),
    at: z.enum(PRESSURE_AT).default("running"),
    way: z.enum(PRESSURE_WAYS).default("as-wired"),
    meter,
  }),
  z.object({
    what: z.literal("sign"),
    call: call.optional(),
    sign: z.enum(SIGNS),
    note: text(200).optional(),
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
