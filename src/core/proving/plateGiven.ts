import * as z from "zod/mini";
import { CODE_LETTERS, type CodeLetter, type Plate } from "../motor/plate/plate";
import { readPlate, typedPlate } from "../motor/plate/readPlate";
import { faultsOf, type Refused, refused } from "../quantity/fault";

const positive = z.number().check(z.positive(), z.lte(1e6));
const each = z.array(positive).check(z.minLength(1), z.maxLength(12));

/** Figures of a plate that a proof stands on; what else a plate says is passed over. */
const plateFigures = z.object({
  powerWatts: z.optional(each),
  rpm: z.optional(positive),
  speeds: z.optional(z.int().check(z.gte(1), z.lte(12))),
  poles: z.optional(z.int().check(z.gte(2), z.lte(48))),
  volts: z.optional(
    z.array(z.object({ low: positive, high: positive })).check(z.minLength(1), z.maxLength(6)),
  ),
  phase: z.optional(z.union([z.literal(1), z.literal(3)])),
  hertz: z.optional(z.array(positive).check(z.minLength(1), z.maxLength(4))),
  fullLoadAmps: z.optional(each),
  lockedRotorAmps: z.optional(positive),
  codeLetter: z.optional(z.enum(Object.keys(CODE_LETTERS) as [CodeLetter, ...CodeLetter[]])),
  serviceFactor: z.optional(positive),
  serviceFactorAmps: z.optional(positive),
  runCapacitor: z.optional(z.object({ microfarads: positive, volts: z.optional(positive) })),
  startCapacitor: z.optional(
    z.object({ lowMicrofarads: positive, highMicrofarads: positive, volts: z.optional(positive) }),
  ),
});

/** A plate as it was typed, field by field, or as figures; every figure that cannot be one is a fault with its path. */
export function plateGiven(
  given: Readonly<Record<string, unknown>>,
): { readonly ok: true; readonly plate: Plate } | Refused {
  const typed = typedPlate.safeParse(given);
  if (typed.success) return { ok: true, plate: readPlate(typed.data).plate };
  const figures = plateFigures.safeParse(given);
  if (figures.success) return { ok: true, plate: figures.data as Plate };
  return refused(
    ...faultsOf(figures.error.issues).map((one) => ({ ...one, path: ["motor", "plate", ...one.path] })),
  );
}
