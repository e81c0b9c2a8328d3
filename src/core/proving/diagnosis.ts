import * as z from "zod/mini";
import { WEIGHTS } from "../quantity/weight";
import { CAUSES } from "./causes";
import { PRESSURE_AT } from "./observation";

/** What another observation would do, or that none is needed. */
export const PROVING_STATUSES = ["needs-check", "good", "found", "open-question", "stop"] as const;

const place = z.string();
const pair = z.tuple([place, place]);
const band = { low: z.number(), likely: z.number(), high: z.number() };
const call = z.string();

const expectation = z.discriminatedUnion("what", [
  z.object({ what: z.enum(["line-amps", "start-amps"]), call, lead: place, ...band }),
  z.object({ what: z.enum(["capacitor-volts", "capacitor-amps"]), call, at: place, ...band }),
  z.object({ what: z.enum(["rpm", "start-seconds"]), call, ...band }),
  z.object({
    what: z.literal("turn"),
    call,
    turn: z.enum(["cw-lead-end", "ccw-lead-end"]),
    says: z.string().check(z.meta({ description: "Both ways of saying it." })),
  }),
]);

const line = z.object({
  observation: z.int().check(z.meta({ description: "Its place among the observations, from 0." })),
  verdict: z.enum(WEIGHTS),
  says: z.string(),
});

const cause = z.object({
  cause: z.enum(CAUSES),
  at: z.array(place),
  probability: z.number().check(z.gte(0), z.lte(1)),
  /** Others that no reading there could tell from it; what is said holds for all. */
  same: z.array(z.object({ cause: z.enum(CAUSES), at: z.array(place) })),
  estimate: z.optional(z.record(z.string(), z.number())),
  explains: z.array(z.int()),
  against: z.array(z.int()),
  wouldShow: z.array(z.string()),
  says: z.string(),
  mend: z.string(),
});

const because = z.string();
const power = z.enum(["on", "off"]);
/** A check that can be asked for, or made. */
export const nextCheck = z.discriminatedUnion("what", [
  z.object({ what: z.enum(["line-amps", "start-amps"]), call, lead: place, because, power }),
  z.object({ what: z.enum(["capacitor-volts", "capacitor-amps"]), call, at: place, because, power }),
  z.object({ what: z.enum(["rpm", "starts", "turn"]), call, because, power }),
  z.object({ what: z.literal("supply-volts"), call, between: pair, because, power }),
  z.object({ what: z.literal("ohms"), between: pair, because, power }),
  z.object({ what: z.literal("capacitor-microfarads"), at: place, because, power }),
  z.object({ what: z.literal("insulation"), lead: place, because, power }),
  z.object({ what: z.literal("pressure"), call, at: z.enum(PRESSURE_AT), because, power }),
]);

/** Codes of findings. New ones may be added; none changes its meaning. */
export const PROVING_FINDINGS = [
  "stop-limit",
  "cause-found",
  "call-not-seen",
  "clamp-place",
  "place-unknown",
  "figure-assumed",
  "one-motor-finished",
] as const;

/** The form of `odd-lead/diagnosis@1`. */
export const diagnosis = z.object({
  ok: z.literal(true),
  format: z.literal("odd-lead/diagnosis@1"),
  status: z.enum(PROVING_STATUSES),
  expected: z.array(expectation),
  rate: z.number().check(z.meta({ description: "Share of true figures that the expected intervals hold." })),
  lines: z.array(line),
  causes: z.array(cause),
  nextCheck: z.nullable(nextCheck),
  findings: z.array(
    z.object({
      code: z.enum(PROVING_FINDINGS),
      severity: z.enum(["note", "doubt", "fault"]),
      leads: z.array(place),
      says: z.string(),
    }),
  ),
});

export type Diagnosis = z.output<typeof diagnosis>;
export type ProvingLine = Diagnosis["lines"][number];
export type RankedCause = Diagnosis["causes"][number];
export type Expectation = Diagnosis["expected"][number];
export type NextCheck = NonNullable<Diagnosis["nextCheck"]>;
