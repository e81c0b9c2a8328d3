import * as z from "zod/mini";
import { about, trustColours } from "../motor/about";
import { LEAD_LIMITS, lead, leadId } from "../motor/lead";
import { meter, USUAL_METER } from "../ohms/readingError";
import { HIGHEST_READING_OHMS } from "../quantity/ohms";
import { ask } from "./ask";
import { observation } from "./observation";

const MOST_OBSERVATIONS = 48;

/** The most readings a sheet may carry, repeats included: ten of every pair of twelve leads. */
const MOST_READINGS = 660;

const ohms = z
  .number({ error: "ohms must be a number; for over range give open: true" })
  .check(
    z.nonnegative({ error: "a winding cannot read below zero ohms" }),
    z.lte(HIGHEST_READING_OHMS, { error: "beyond what an ohmmeter shows; for over range give open: true" }),
  );
const openOrOhms = (shape: { ohms?: number; open?: boolean }) =>
  (shape.open === true) !== (shape.ohms !== undefined);
const EITHER = { error: "give either ohms or open: true, not both and not neither" };

const reading = z
  .object({ between: z.tuple([leadId, leadId]), ohms: z.optional(ohms), open: z.optional(z.literal(true)) })
  .check(
    z.refine(openOrOhms, EITHER),
    z.meta({ description: "What the display showed between two leads: ohms, or open for over range." }),
  );

const shellReading = z
  .object({ lead: leadId, ohms: z.optional(ohms), open: z.optional(z.literal(true)) })
  .check(
    z.refine(openOrOhms, EITHER),
    z.meta({ description: "From a lead to bare metal of the motor shell." }),
  );

/** The meter of a sheet: what is left out is as usual. */
const sheetMeter = z.object({
  percent: z._default(meter.shape.percent, USUAL_METER.percent),
  counts: z._default(meter.shape.counts, USUAL_METER.counts),
  resolutionOhms: z._default(meter.shape.resolutionOhms, USUAL_METER.resolutionOhms),
  probeOhms: z._default(meter.shape.probeOhms, USUAL_METER.probeOhms),
});

const sheetAbout = z.extend(about, { trustColours: z._default(trustColours, 0) });

/** The form of `odd-lead/reading-sheet@1`. Defaults are those of the contract. */
export const readingSheet = z
  .object({
    format: z.literal("odd-lead/reading-sheet@1"),
    leads: z.array(lead).check(
      z.minLength(LEAD_LIMITS.fewest, {
        error: "a motor has at least 2 leads, the frame lead not counted",
      }),
      z.maxLength(LEAD_LIMITS.most, { error: "at most 12 leads can be told apart" }),
    ),
    readings: z._default(z.array(reading).check(z.maxLength(MOST_READINGS)), []),
    frame: z._default(z.array(shellReading).check(z.maxLength(MOST_READINGS)), []),
    meter: z._default(sheetMeter, USUAL_METER),
    windingTemperatureC: z.optional(z.number().check(z.gte(-60), z.lte(250))),
    cable: z._default(z.object({ ohmsEachWay: z._default(z.number().check(z.gte(0), z.lte(1000)), 0) }), {
      ohmsEachWay: 0,
    }),
    about: z._default(sheetAbout, { trustColours: 0 }),
    ask: z._default(ask, "all").check(
      z.meta({
        description: "What the probing is to find out: the next probe and the end follow the question.",
      }),
    ),
    told: z._default(z.array(observation).check(z.maxLength(MOST_OBSERVATIONS)), []),
    inLine: z._default(z.array(z.enum(["main", "start"])).check(z.maxLength(2)), []).check(
      z.meta({
        description: "Windings with a capacitor or a switch in line, which an ohmmeter sees open.",
      }),
    ),
  })
  .check(
    z.superRefine((sheet, context) => {
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
        if (!ids.includes(id))
          context.addIssue({ code: "custom", path, message: `there is no lead “${id}”` });
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
    }),
  );

/** A sheet as a caller may write it, defaults left out. */
export type ReadingSheetInput = z.input<typeof readingSheet>;

/** A sheet that holds together, defaults filled in. */
export type ReadingSheet = z.output<typeof readingSheet>;
