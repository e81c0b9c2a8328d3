import * as z from "zod/mini";
import { leadId } from "../motor/lead";
import { WINDINGS } from "../motor/network";
import { role } from "../motor/role";

const roles = z.record(leadId, role);
const pair = z.tuple([leadId, leadId]);

/** What another reading would do: the status of an identification. */
export const STATUSES = ["needs-probe", "settled", "tied", "conflict", "fault"] as const;

/** Codes of findings. New ones may be added; none changes its meaning. */
export const FINDING_CODES = [
  "open-winding",
  "open-common",
  "reads-alike",
  "grounded-winding",
  "low-insulation",
  "shorted-turns",
  "unbalanced-phases",
  "readings-disagree",
  "probe-offset",
  "reading-unsteady",
  "colour-disagrees",
  "capacitor-still-connected",
  "not-enough-leads",
  "beyond-ohms",
  "unknown-build",
  "range-too-coarse",
  "meter-on-continuity",
  "mark-disagrees",
  "told-disagrees",
] as const;

const finding = z.object({
  code: z.enum(FINDING_CODES),
  severity: z
    .enum(["note", "doubt", "fault"])
    .check(z.meta({ description: "note: to know; doubt: look again; fault: stop." })),
  leads: z.array(leadId),
  says: z.string(),
});

const nextProbe = z.union([
  z.object({ kind: z.literal("pair"), between: pair, because: z.string() }),
  z.object({ kind: z.literal("frame"), lead: leadId, because: z.string() }),
]);

const sections = z.array(
  z.object({
    between: pair.check(
      z.meta({
        description: "Leads at the ends, or “*1”, “*2” … for a junction that is not brought out.",
      }),
    ),
    ohms: z.number(),
    uncertaintyOhms: z.number().check(z.meta({ description: "Two standard deviations." })),
    winding: z.enum(WINDINGS),
  }),
);

const bonded = z.array(z.array(leadId));

const certainty = z.object({
  kind: z.enum(["bonded", "apart", "same-group", "pair", "role", "order", "sound", "open"]),
  leads: z.array(leadId),
  confidence: z.number().check(z.gte(0), z.lte(1)),
  says: z.string(),
});

/** The form of `odd-lead/identification@1`. */
export const identification = z.object({
  ok: z
    .literal(true)
    .check(z.meta({ description: "Tells an answer from a refusal, which has ok: false and faults." })),
  format: z.literal("odd-lead/identification@1"),
  status: z.enum(STATUSES),
  family: z.nullable(z.string()),
  confidence: z.number().check(z.gte(0), z.lte(1)),
  roles,
  roleConfidence: z
    .record(leadId, z.number().check(z.gte(0), z.lte(1)))
    .check(z.meta({ description: "Probability of each lead's own role, whatever the other leads are." })),
  bonded,
  interchangeable: z.array(z.array(leadId)),
  sections,
  alternatives: z.array(z.object({ family: z.string(), confidence: z.number(), roles, sections, bonded })),
  nextProbe: z.nullable(nextProbe),
  settleBy: z.array(z.string()),
  certain: z.array(certainty).check(
    z.meta({
      description:
        "What holds at 0.99 whatever the rest turns out to be; empty once everything is asked and settled.",
    }),
  ),
  unread: z
    .array(pair)
    .check(
      z.meta({ description: "Windings, each by a pair of leads, that no reading has run through yet." }),
    ),
  brokenIf: z
    .array(
      z.object({
        leads: z.array(leadId),
        confidence: z.number().check(z.gte(0), z.lte(1)),
        says: z.string(),
      }),
    )
    .check(
      z.meta({
        description:
          "While something reads open: the broken or hot builds still in the running, likeliest first.",
      }),
    ),
  findings: z.array(finding),
  reasoning: z.array(z.string()),
});

export type Identification = z.output<typeof identification>;
export type Certainty = z.output<typeof certainty>;
export type Finding = z.output<typeof finding>;
export type NextProbe = z.output<typeof nextProbe>;
