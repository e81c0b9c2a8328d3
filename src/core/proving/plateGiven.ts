import { z } from "zod";
import { CODE_LETTERS, type CodeLetter, type Plate } from "../motor/plate/plate";
import { readPlate, typedPlate } from "../motor/plate/readPlate";
import { faultsOf, type Refused, refused } from "../quantity/fault";

const positive = z.number().finite().positive().max(1e6);
const each = z.array(positive).min(1).max(12);

/** Figures of a plate that a proof stands on; what else a plate says is passed over. */
const plateFigures = z.object({
  powerWatts: each.optional(),
  rpm: positive.optional(),
  speeds: z.number().int().min(1).max(12).optional(),
  poles: z.number().int().min(2).max(48).optional(),
  volts: z
    .array(z.object({ low: positive, high: positive }))
    .min(1)
    .max(6)
    .optional(),
  phase: z.union([z.literal(1), z.literal(3)]).optional(),
  hertz: z.array(positive).min(1).max(4).optional(),
  fullLoadAmps: each.optional(),
  lockedRotorAmps: positive.optional(),
  codeLetter: z.enum(Object.keys(CODE_LETTERS) as [CodeLetter, ...CodeLetter[]]).optional(),
  serviceFactor: positive.optional(),
  serviceFactorAmps: positive.optional(),
  runCapacitor: z.object({ microfarads: positive, volts: positive.optional() }).optional(),
  startCapacitor: z
    .object({ lowMicrofarads: positive, highMicrofarads: positive, volts: positive.optional() })
    .optional(),
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
