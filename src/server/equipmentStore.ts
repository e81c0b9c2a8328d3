import { and, asc, count, eq, ne } from "drizzle-orm";
import { type Compartment, compartment } from "@/core/wiring";
import type { Database } from "./database";
import { readable } from "./readable";
import { ownEquipment } from "./schema";

/** Own compartments of one shop at the most. */
export const MOST_EQUIPMENT = 200;

/** A compartment the shop keeps. */
export interface KeptEquipment {
  readonly id: string;
  readonly made: Compartment;
}

/** The equipment that one shop built itself: the only way to it, so that every query is scoped here. */
export function equipmentStore(db: Database, shopId: string) {
  const inShop = eq(ownEquipment.shopId, shopId);
  return {
    /** All of it, by title. */
    async list(): Promise<KeptEquipment[]> {
      const rows = await db
        .select({ id: ownEquipment.id, made: ownEquipment.made })
        .from(ownEquipment)
        .where(inShop)
        .orderBy(asc(ownEquipment.title), asc(ownEquipment.id))
        .limit(MOST_EQUIPMENT);
      return rows.flatMap(({ id, made: kept }) => {
        const made = readable(compartment, kept, { equipment: id });
        return made ? [{ id, made }] : [];
      });
    },

    /** Keeps a compartment, or puts its new form in place of the old one. False where the shop has as many as it may. */
    async put(id: string, made: Compartment): Promise<boolean> {
      const row = { shopId, id, title: made.title, made, keptAt: new Date().toISOString() };
      return db.transaction(async (tx) => {
        const [others] = await tx
          .select({ n: count() })
          .from(ownEquipment)
          .where(and(inShop, ne(ownEquipment.id, id)));
        if ((others?.n ?? 0) >= MOST_EQUIPMENT) return false;
        await tx
          .insert(ownEquipment)
          .values(row)
          .onConflictDoUpdate({ target: [ownEquipment.shopId, ownEquipment.id], set: row });
        return true;
      });
    },

    /** Takes one out of the shop's library; jobs keep their copies. */
    async remove(id: string): Promise<boolean> {
      const gone = await db
        .delete(ownEquipment)
        .where(and(inShop, eq(ownEquipment.id, id)))
        .returning({ id: ownEquipment.id });
      return gone.length > 0;
    },
  };
}
