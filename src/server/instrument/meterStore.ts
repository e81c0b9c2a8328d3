import { and, desc, eq, inArray, lt, sql } from "drizzle-orm";
import type { InstrumentKind } from "@/core/proving";
import type { Database } from "../database";
import { meters } from "../schema";

/** A meter that a page reads, as every process finds it. */
export type KeptMeter = typeof meters.$inferSelect;

/** So many of one client and of all at once; the longest unused makes room, a client's own first. */
const MOST_OF_ONE = 6;
const MOST_OF_ALL = 24;
const IDLE = sql`interval '10 minutes'`;
/** Use is written down again after so long. */
const USE_NOTED = sql`interval '30 seconds'`;

/** The meters attached by any process behind one database: the only way to them. */
export function meterStore(db: Database) {
  const thisOne = (id: string) => eq(meters.id, id);

  return {
    /** Keeps a meter; those that were long unused, and those one too many, are no longer attached. */
    async add(meter: typeof meters.$inferInsert): Promise<KeptMeter> {
      await db.delete(meters).where(lt(meters.usedAt, sql`now() - ${IDLE}`));
      const beyond = (most: number, where = sql`true`) =>
        db
          .select({ id: meters.id })
          .from(meters)
          .where(where)
          .orderBy(desc(meters.usedAt))
          .offset(most - 1);
      await db
        .delete(meters)
        .where(inArray(meters.id, beyond(MOST_OF_ONE, sql`${meters.client} = ${meter.client}`)));
      await db.delete(meters).where(inArray(meters.id, beyond(MOST_OF_ALL)));
      const [made] = await db.insert(meters).values(meter).returning();
      return made as KeptMeter;
    },

    /** The meter of this id, marked as used; undefined when it is gone. */
    async find(id: string): Promise<KeptMeter | undefined> {
      const [found] = await db.select().from(meters).where(thisOne(id));
      if (found)
        await db
          .update(meters)
          .set({ usedAt: sql`now()` })
          .where(and(thisOne(id), lt(meters.usedAt, sql`now() - ${USE_NOTED}`)));
      return found;
    },

    /** Those of these that are attached still. */
    async among(ids: readonly string[]): Promise<ReadonlySet<string>> {
      if (ids.length === 0) return new Set();
      const rows = await db
        .select({ id: meters.id })
        .from(meters)
        .where(inArray(meters.id, [...ids]));
      return new Set(rows.map(({ id }) => id));
    },

    /** The probes begin to move: until they rest no value is of one place. */
    async moving(id: string, move: string, measures?: InstrumentKind): Promise<void> {
      await db
        .update(meters)
        .set({ moving: move, usedAt: sql`now()`, ...(measures ? { measures } : {}) })
        .where(thisOne(id));
    },

    /** The probes rest at this touch, unless another move has begun meanwhile. */
    async rested(id: string, move: string, touch: number): Promise<void> {
      await db
        .update(meters)
        .set({ moving: null, touch })
        .where(and(thisOne(id), eq(meters.moving, move)));
    },

    async remove(id: string): Promise<void> {
      await db.delete(meters).where(thisOne(id));
    },
  };
}
