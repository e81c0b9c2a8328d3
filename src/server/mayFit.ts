import { and, eq, gte, isNull, ne, or, type SQL, sql } from "drizzle-orm";
import { polesOf } from "@/core";
import type { Need } from "@/core/replacement";
import { FIGURES_VERSION } from "@/core/stock";
import { stockItems } from "./schema";

/** Plates round their power: so far under the old one's it is the same still, with room to spare. */
const LEAST_POWER_SHARE = 0.97;

/**
 * What a stock motor's kept columns must say for it to be a replacement at all, each a condition of its own: a motor that
 * misses one breaks a hard rule of the ranking, and one whose columns do not tell misses none. There is no need to read
 * the plates of the others.
 */
export function mayFit({ old, supplyVolts }: Need): SQL[] {
  const { motorKind, phase, poles, powerWatts, supplies, figured } = stockItems;
  const retrofit = eq(motorKind, "retrofit");
  const watts = old.powerWatts && Math.max(...old.powerWatts);
  const was = polesOf(old);
  const only = old.volts?.length === 1 ? old.volts[0]?.high : undefined;
  const supply = supplyVolts ?? only;
  const conditions = [
    old.kind === "electronic" ? eq(motorKind, "electronic") : ne(motorKind, "electronic"),
    old.phase === undefined ? undefined : or(isNull(phase), eq(phase, old.phase)),
    was === null ? undefined : or(isNull(poles), eq(poles, was), retrofit),
    watts === undefined
      ? undefined
      : or(isNull(powerWatts), gte(powerWatts, watts * LEAST_POWER_SHARE), retrofit),
    supply === undefined ? undefined : or(isNull(supplies), sql`${supplies} @> ${supply}::numeric`),
  ];
  const known = eq(figured, FIGURES_VERSION);
  return conditions.flatMap((condition) =>
    condition ? [sql`(not (${known}) or coalesce(${condition}, true))`] : [],
  );
}

/** All of these, or everything where there are none. */
export function allOf(conditions: readonly SQL[]): SQL {
  return and(...conditions) ?? sql`true`;
}
