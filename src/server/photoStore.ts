import { and, count, eq, sql } from "drizzle-orm";
import type { Database } from "./database";
import type { UprightPhoto } from "./photo";
import { photos } from "./schema";

/** Photos of one job at the most. */
export const MOST_PHOTOS = 24;

/** The photos of one shop, by job. */
export function photoStore(db: Database, shopId: string) {
  const ofJob = (jobId: string) => and(eq(photos.shopId, shopId), eq(photos.jobId, jobId));
  return {
    /** Keeps a photo; sending it again changes nothing. False where the job has as many as it may. */
    async add(jobId: string, id: string, photo: UprightPhoto): Promise<boolean> {
      return db.transaction(async (tx) => {
        // One at a time for a job: many that come at once would each count the others out.
        await tx.execute(
          sql`select pg_advisory_xact_lock(hashtextextended(${`photos/${shopId}/${jobId}`}, 0))`,
        );
        const [held] = await tx.select({ n: count() }).from(photos).where(ofJob(jobId));
        const [same] = await tx
          .select({ id: photos.id })
          .from(photos)
          .where(and(ofJob(jobId), eq(photos.id, id)));
        if (!same && (held?.n ?? 0) >= MOST_PHOTOS) return false;
        await tx
          .insert(photos)
          .values({ shopId, jobId, id, ...photo })
          .onConflictDoNothing();
        return true;
      });
    },

    /** The picture; null where there is none of this id. */
    async find(jobId: string, id: string): Promise<Buffer | null> {
      const [row] = await db
        .select({ jpeg: photos.jpeg })
        .from(photos)
        .where(and(ofJob(jobId), eq(photos.id, id)));
      return row?.jpeg ?? null;
    },
  };
}
