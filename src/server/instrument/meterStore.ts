import { randomUUID } from "node:crypto";
import { setTimeout as pause } from "node:timers/promises";
import { and, desc, eq, inArray, isNull, lt, or, sql } from "drizzle-orm";
import type { InstrumentKind } from "@/core/proving";
import type { Database } from "../database";
import { meters } from "../schema";

/** A meter that a page reads, as every process finds it. */
export type KeptMeter = typeof meters.$inferSelect;

/** So many of one client and of all at once; the longest unused makes room, a client's own first. */
const MOST_OF_ONE = 6;
const MOST_OF_ALL = 24;
const IDLE = sql`interval '10 minutes'`;
/** Use is written down again after so long: one that is read is always seen as used later than one that is not. */
const USE_NOTED = sql`interval '2 seconds'`;
/** A move sends a few commands and asks twice; an instrument that does not answer is given up long before. */
const LONGEST_MOVE = sql`interval '10 seconds'`;
/** So often is asked whether the turn to move the probes has come. */
const TURN_ASKED_MS = 20;

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

    among,

    /**
     * The probes are moved by `work` and then rest at this touch; until then no value is of one place. Moves of one meter
     * take turns, in whichever process; the turn of a process that dies is over by itself.
     *
     * @param measures what the meter measures from then on.
     * @returns what `work` gives; undefined where the meter is gone.
     */
    async moved<T>(
      id: string,
      touch: number,
      measures: InstrumentKind,
      work: () => Promise<T>,
    ): Promise<T | undefined> {
      const move = randomUUID();
      while (!(await took(id, move, measures))) {
        if ((await among([id])).size === 0) return undefined;
        await pause(TURN_ASKED_MS);
      }
      try {
        return await work();
      } finally {
        await db
          .update(meters)
          .set({ moving: null, touch })
          .where(and(thisOne(id), eq(meters.moving, move)));
      }
    },

    async remove(id: string): Promise<void> {
      await db.delete(meters).where(thisOne(id));
    },
  };

  /** Those of these that are attached still. */
  async function among(ids: readonly string[]): Promise<ReadonlySet<string>> {
    if (ids.length === 0) return new Set();
    const rows = await db
      .select({ id: meters.id })
      .from(meters)
      .where(inArray(meters.id, [...ids]));
    return new Set(rows.map(({ id }) => id));
  }

  /** Takes the turn to move the probes, where it is nobody's. */
  async function took(id: string, move: string, measures: InstrumentKind): Promise<boolean> {
    const free = or(isNull(meters.moving), lt(meters.movingUntil, sql`now()`));
    const turns = await db
      .update(meters)
      .set({ moving: move, movingUntil: sql`now() + ${LONGEST_MOVE}`, measures, usedAt: sql`now()` })
      .where(and(thisOne(id), free))
      .returning({ id: meters.id });
    return turns.length > 0;
  }
}
