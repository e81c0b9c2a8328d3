import { z } from "zod";
import { FAMILY_IDS } from "../motor/families";
import { ROLE_NAMES } from "../motor/role";
import { HIGHEST_READING_OHMS } from "../quantity/ohms";

/** The most and fewest leads a sheet may have; the frame lead is not counted. */
export const LEAD_LIMITS = { fewest: 2, most: 12 } as const;

/** What the probing may be for. */
export const ASKS = ["all", "speeds", "capacitor", "shared", "sound"] as const;
export type Ask = (typeof ASKS)[number];

/** How something beside the ohms came to be known. */
export const OBSERVED_BY = ["plate", "bump", "light-run", "drawing", "mark"] as const;

const MOST_OBSERVATIONS = 48;

/** The most readings a sheet may carry, repeats included: ten of every pair of twelve leads. */
const MOST_READINGS = 660;

const text = (most: number) => z.string().max(most);
const ohms = z
  .number({ error: "ohms must be a number; for over range give open: true" })
  .nonnegative({ error: "a winding cannot read below zero ohms" })
  .max(HIGHEST_READING_OHMS, { error: "beyond what an ohmmeter shows; for over range give open: true" });
const leadId = text(64).min(1);

const lead = z
  .object({
    id: leadId,
    colour: text(40).optional(),
    stripe: text(40).optional(),
    mark: text(20).optional(),
  })
  .meta({ description: "A motor lead; the green or bare frame lead is left out." });

const openOrOhms = (shape: { ohms?: number; open?: boolean }) =>
  (shape.open === true) !== (shape.ohms !== undefined);
const EITHER = { error: "give either ohms or open: true, not both and not neither" };

const reading = z
  .object({ between: z.tuple([leadId, leadId]), ohms: ohms.optional(), open: z.literal(true).optional() })
  .refine(openOrOhms, EITHER)
  .meta({ description: "What the display showed between two leads: ohms, or open for over range." });

const shellReading = z
  .object({ lead: leadId, ohms: ohms.optional(), open: z.literal(true).optional() })
  .refine(openOrOhms, EITHER)
  .meta({ description: "From a lead to bare metal of the motor shell." });

const meter = z.object({
  percent: z.number().finite().min(0).max(50).default(1),
  counts: z.number().finite().min(0).max(100).default(2),
  resolutionOhms: z.number().finite().positive().max(1000).default(0.1),
  probeOhms: z.number().finite().min(0).max(100).default(0),
});

/** Something seen beside the ohms: what a lead is, or what kind of motor this is. */
export const observation = z
  .union([
    z.object({
      lead: leadId,
      role: z.object({
        role: z.enum(ROLE_NAMES),
        rank: z.number().int().positive().max(12).optional(),
        group: z.number().int().positive().max(12).optional(),
      }),
      by: z.enum(OBSERVED_BY),
    }),
    z.object({ family: z.enum(FAMILY_IDS), by: z.enum(OBSERVED_BY) }),
  ])
  .meta({ description: "Something seen beside the ohms: what a lead is, or what kind of motor this is." });

const about = z.object({
  phase: z.union([z.literal(1), z.literal(3)]).optional(),
  volts: z.number().finite().positive().max(1000).optional(),
  hertz: z.number().finite().positive().max(1000).optional(),
  speeds: z.number().int().min(1).max(10).optional(),
  capacitor: z.enum(["none", "run", "start", "start-and-run"]).optional(),
  kind: text(60).optional(),
  dualVoltage: z.boolean().optional(),
  reversible: z.boolean().optional(),
  trustColours: z.number().finite().min(0).max(1).default(0),
});

/** The form of `odd-lead/reading-sheet@1`. Defaults are those of the contract. */
export const readingSheet = z
  .object({
    format: z.literal("odd-lead/reading-sheet@1"),
    leads: z
      .array(lead)
      .min(LEAD_LIMITS.fewest, { error: "a motor has at least 2 leads, the frame lead not counted" })
      .max(LEAD_LIMITS.most, { error: "at most 12 leads can be told apart" }),
    readings: z.array(reading).max(MOST_READINGS).default([]),
    frame: z.array(shellReading).max(MOST_READINGS).default([]),
    meter: meter.default({ percent: 1, counts: 2, resolutionOhms: 0.1, probeOhms: 0 }),
    windingTemperatureC: z.number().finite().min(-60).max(250).optional(),
    cable: z
      .object({ ohmsEachWay: z.number().finite().min(0).max(1000).default(0) })
      .default({ ohmsEachWay: 0 }),
    about: about.default({ trustColours: 0 }),
    ask: z.enum(ASKS).default("all").meta({
      description: "What the probing is to find out: the next probe and the end follow the question.",
    }),
    told: z.array(observation).max(MOST_OBSERVATIONS).default([]),
    inLine: z
      .array(z.enum(["main", "start"]))
      .max(2)
      .default([])
      .meta({ description: "Windings with a capacitor or a switch in line, which an ohmmeter sees open." }),
  })
  .superRefine((sheet, context) => {
    const ids = sheet.leads.map((l) => l.id);
    ids.forEach((id, i) => {
      if (ids.indexOf(id) !== i) {
        context.addIssue({
          code: "custom",
          path: ["leads", i, "id"],
          message: `two leads have the id “${id}”`,
        });
      }
    });
    const known = (id: string, path: (string | number)[]) => {
      if (!ids.includes(id)) context.addIssue({ code: "custom", path, message: `there is no lead “${id}”` });
    };
    sheet.readings.forEach(({ between: [a, b] }, i) => {
      known(a, ["readings", i, "between", 0]);
      known(b, ["readings", i, "between", 1]);
      if (a === b) {
        const message = `lead “${a}” is read against itself`;
        context.addIssue({ code: "custom", path: ["readings", i, "between"], message });
      }
    });
    sheet.told.forEach((one, i) => {
      if ("lead" in one) known(one.lead, ["told", i, "lead"]);
    });
    sheet.frame.forEach(({ lead: id }, i) => {
      known(id, ["frame", i, "lead"]);
    });
  });

/** A sheet as a caller may write it, defaults left out. */
export type ReadingSheetInput = z.input<typeof readingSheet>;

/** A sheet that holds together, defaults filled in. */
export type ReadingSheet = z.output<typeof readingSheet>;
