import { and, eq, inArray, isNotNull, ne, type SQL, sql } from "drizzle-orm";
import type { MetMotor } from "@/contract";
import { type MetBefore, metBefore, type ReadSoFar, stepsNear } from "@/core";
import type { Database } from "./database";
import { jobList } from "./jobList";
import { jobs, stockItems } from "./schema";
import { stockStore } from "./stockStore";

/** Less than this is a joint or a bond, and tells no motor from another. */
const LEAST_TELLING_OHMS = 0.5;
const MOST_COMPARED = 5000;
const MOST_MET = 5;

/**
 * Motors of the shop that these readings may be of, the likeliest first: those of earlier jobs, and lines of the stock
 * with ohms of their own. Only what the ladder of ohms leaves over is compared.
 *
 * @param but the job that asks.
 */
export async function motorsMetBefore(
  db: Database,
  shopId: string,
  read: ReadSoFar,
  but: string | undefined,
): Promise<MetBefore<MetMotor>[]> {
  const told = read.readings.flatMap(({ ohms }) =>
    ohms !== null && ohms >= LEAST_TELLING_OHMS ? [stepsNear(ohms)] : [],
  );
  if (told.length === 0) return [];
  const near = (steps: typeof jobs.steps | typeof stockItems.steps): SQL[] =>
    told.map((wanted) => sql`${steps} && ${sql.param(wanted)}::int[]`);
  const ofJobs = and(eq(jobs.shopId, shopId), ne(jobs.shelved, "deleted"), isNotNull(jobs.fingerprint));
  const ofStock = and(eq(stockItems.shopId, shopId), isNotNull(stockItems.fingerprint));
  const count = sql<number>`count(*)::int`;
  const [worked, stocked, [jobCount], [stockCount]] = await Promise.all([
    db
      .select({ id: jobs.id, print: jobs.fingerprint })
      .from(jobs)
      .where(and(ofJobs, ...near(jobs.steps), but === undefined ? undefined : ne(jobs.id, but)))
      .limit(MOST_COMPARED),
    db
      .select({ id: stockItems.id, print: stockItems.fingerprint })
      .from(stockItems)
      .where(and(ofStock, ...near(stockItems.steps)))
      .limit(MOST_COMPARED),
    db.select({ count }).from(jobs).where(ofJobs),
    db.select({ count }).from(stockItems).where(ofStock),
  ]);
  const stored = [
    ...worked.map((row) => ({ ...row, kind: "job" as const })),
    ...stocked.map((row) => ({ ...row, kind: "stock" as const })),
  ].flatMap(({ print, ...of }) => (print ? [{ of, print }] : []));
  const recorded = (jobCount?.count ?? 0) + (stockCount?.count ?? 0);
  const met = metBefore(read, stored, recorded).slice(0, MOST_MET);
  const known = await lines(
    db,
    shopId,
    met.map(({ of }) => of),
  );
  return met.flatMap((one) => {
    const of = known.get(one.of.id);
    return of ? [{ ...one, of }] : [];
  });
}

/** What is shown of each that was met, by id. */
async function lines(
  db: Database,
  shopId: string,
  met: readonly { readonly kind: MetMotor["kind"]; readonly id: string }[],
): Promise<ReadonlyMap<string, MetMotor>> {
  const ids = (kind: MetMotor["kind"]) => met.filter((one) => one.kind === kind).map(({ id }) => id);
  const [worked, stocked] = await Promise.all([
    jobList(db, shopId).some(inArray(jobs.id, ids("job"))),
    stockStore(db, shopId).some(inArray(stockItems.id, ids("stock"))),
  ]);
  return new Map<string, MetMotor>([
    ...worked.map((job) => [job.id, { kind: "job", job }] as const),
    ...stocked.map(
      ({ item: { id, name, part, place }, onHand }) =>
        [id, { kind: "stock", line: { id, name, part, place, onHand } }] as const,
    ),
  ]);
}
