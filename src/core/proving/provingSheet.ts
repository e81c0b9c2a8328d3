import { z } from "zod";
import { identification } from "../identify/identification";
import { lead } from "../motor/lead";
import { LOADS } from "../motor/plate/plate";
import { compartment } from "../wiring/compartment";
import { observation } from "./observation";

const placeName = z.string().min(1).max(60);
const wire = z.object({ id: placeName, from: placeName, to: placeName });
const way = z.enum(["cw-lead-end", "ccw-lead-end"]);

/** The plan as the product keeps it; what is left out is planned anew for the motor on this equipment. */
const wiring = z.object({
  compartment: compartment.optional().meta({ description: "The equipment as it will be, whole." }),
  equipment: z
    .union([z.string().max(60), compartment])
    .optional()
    .meta({ description: "The same under its other name, or the id of one that ships." }),
  landings: z.record(placeName, placeName).optional(),
  jumpers: z.array(wire).max(60).optional(),
  wanted: z
    .array(
      z.object({
        call: placeName,
        speed: z.number().int().min(1).max(12).nullable(),
        reversed: z.boolean().default(false),
      }),
    )
    .max(12)
    .optional(),
  setting: z.enum(["low", "high"]).optional(),
  startOut: z.enum(["motor", "equipment"]).optional(),
  turn: z
    .object({
      needed: way.nullable().default(null),
      neededBy: z.string().max(120).default("the place"),
      asDrawn: way.nullable().default(null),
    })
    .optional(),
});

/** What the shaft turns, with what the place tells. */
export const turnedLoad = z.object({
  kind: z.enum([...(Object.keys(LOADS) as (keyof typeof LOADS)[]), "none"]),
  /** A wheel with blades curved forward falls in amps when its air is blocked; a propeller rises. */
  wheel: z.enum(["propeller", "forward-curved", "backward-curved"]).optional(),
  /** Of the plate's load, as far as the place tells. */
  share: z.number().finite().min(0).max(3).optional(),
  /** Where a pump's pressure switch is set to start and to stop it. */
  pressureSwitch: z
    .object({
      cutInKilopascals: z.number().finite().positive().max(10_000),
      cutOutKilopascals: z.number().finite().positive().max(10_000),
    })
    .refine((one) => one.cutInKilopascals < one.cutOutKilopascals, {
      error: "a pump starts at less pressure than it stops at",
    })
    .optional(),
});

/** The form of `odd-lead/proving-sheet@1`. */
export const provingSheet = z.object({
  format: z.literal("odd-lead/proving-sheet@1"),
  motor: z.object({
    /** Typed, field by field, or as figures; see the plate's own description. */
    plate: z.record(z.string().max(60), z.unknown()).default({}),
    identification: identification
      .pick({ family: true, roles: true, bonded: true, sections: true })
      .extend({ bonded: identification.shape.bonded.default([]) }),
    leads: z
      .array(lead)
      .max(12)
      .optional()
      .meta({ description: "The sheet’s leads with their marks, where marks say which end is which." }),
    /** How a motor that is set inside stands, where that was seen. */
    setAt: z.enum(["low", "high"]).optional(),
  }),
  wiring,
  load: turnedLoad.default({ kind: "fan" }),
  without: z
    .array(
      z.enum([
        "rpm",
        "capacitor-microfarads",
        "capacitor-volts",
        "capacitor-amps",
        "ohms",
        "supply-volts",
        "insulation",
        "pressure",
      ]),
    )
    .max(8)
    .default([])
    .meta({ description: "What nobody has an instrument for there: not asked for." }),
  observations: z.array(observation).max(200).default([]),
});

export type ProvingSheet = z.output<typeof provingSheet>;
export type ProvingSheetInput = z.input<typeof provingSheet>;
export type TurnedLoad = z.output<typeof turnedLoad>;
