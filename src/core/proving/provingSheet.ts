import * as z from "zod/mini";
import { identification } from "../identify/identification";
import { lead } from "../motor/lead";
import { LOADS } from "../motor/plate/plate";
import { compartment } from "../wiring/compartment";
import { observation } from "./observation";

const placeName = z.string().check(z.minLength(1), z.maxLength(60));
const wire = z.object({ id: placeName, from: placeName, to: placeName });
const way = z.enum(["cw-lead-end", "ccw-lead-end"]);

/** The plan as the product keeps it; what is left out is planned anew for the motor on this equipment. */
const wiring = z.object({
  compartment: z.optional(compartment).check(z.meta({ description: "The equipment as it will be, whole." })),
  equipment: z
    .optional(z.union([z.string().check(z.maxLength(60)), compartment]))
    .check(z.meta({ description: "The same under its other name, or the id of one that ships." })),
  landings: z.optional(z.record(placeName, placeName)),
  jumpers: z.optional(z.array(wire).check(z.maxLength(60))),
  wanted: z.optional(
    z
      .array(
        z.object({
          call: placeName,
          speed: z.nullable(z.int().check(z.gte(1), z.lte(12))),
          reversed: z._default(z.boolean(), false),
        }),
      )
      .check(z.maxLength(12)),
  ),
  setting: z.optional(z.enum(["low", "high"])),
  startOut: z.optional(z.enum(["motor", "equipment"])),
  turn: z.optional(
    z.object({
      needed: z._default(z.nullable(way), null),
      neededBy: z._default(z.string().check(z.maxLength(120)), "the place"),
      asDrawn: z._default(z.nullable(way), null),
    }),
  ),
});

/** What the shaft turns, with what the place tells. */
export const turnedLoad = z.object({
  kind: z.enum([...(Object.keys(LOADS) as (keyof typeof LOADS)[]), "none"]),
  /** A wheel with blades curved forward falls in amps when its air is blocked; a propeller rises. */
  wheel: z.optional(z.enum(["propeller", "forward-curved", "backward-curved"])),
  /** Of the plate's load, as far as the place tells. */
  share: z.optional(z.number().check(z.gte(0), z.lte(3))),
  /** Where a pump's pressure switch is set to start and to stop it. */
  pressureSwitch: z.optional(
    z
      .object({
        cutInKilopascals: z.number().check(z.positive(), z.lte(10_000)),
        cutOutKilopascals: z.number().check(z.positive(), z.lte(10_000)),
      })
      .check(
        z.refine((one) => one.cutInKilopascals < one.cutOutKilopascals, {
          error: "a pump starts at less pressure than it stops at",
        }),
      ),
  ),
});

/** The form of `odd-lead/proving-sheet@1`. */
export const provingSheet = z.object({
  format: z.literal("odd-lead/proving-sheet@1"),
  motor: z.object({
    /** Typed, field by field, or as figures; see the plate's own description. */
    plate: z._default(z.record(z.string().check(z.maxLength(60)), z.unknown()), {}),
    identification: z.extend(
      z.pick(identification, { family: true, roles: true, bonded: true, sections: true }),
      { bonded: z._default(identification.shape.bonded, []) },
    ),
    leads: z
      .optional(z.array(lead).check(z.maxLength(12)))
      .check(
        z.meta({ description: "The sheet’s leads with their marks, where marks say which end is which." }),
      ),
    /** How a motor that is set inside stands, where that was seen. */
    setAt: z.optional(z.enum(["low", "high"])),
  }),
  wiring,
  load: z._default(turnedLoad, { kind: "fan" }),
  without: z
    ._default(
      z
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
        .check(z.maxLength(8)),
      [],
    )
    .check(z.meta({ description: "What nobody has an instrument for there: not asked for." })),
  observations: z._default(z.array(observation).check(z.maxLength(200)), []),
});

export type ProvingSheet = z.output<typeof provingSheet>;
export type ProvingSheetInput = z.input<typeof provingSheet>;
export type TurnedLoad = z.output<typeof turnedLoad>;
