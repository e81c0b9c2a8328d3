import { and, eq, inArray, like, sql } from "drizzle-orm";
import { v7 as uuidv7 } from "uuid";
import * as z from "zod/mini";
import { type Fact, type FactBody, fact, PLATE_FIELD_IDS, stockItem } from "@/core";
import type { Database } from "./database";
import demoJobs from "./demo/jobs.json";
import pastJobs from "./demo/pastJobs.json";
import demoStock from "./demo/stock.json";
import { PAST_DEMO } from "./jobList";
import { jobStore } from "./jobStore";
import { facts, jobs } from "./schema";
import { FIRST_SHOP } from "./shop";
import { stockStore } from "./stockStore";

const demo = z.array(z.object({ id: z.uuid(), demo: z.string(), facts: z.array(fact) }));
const past = z.array(
  z.object({
    id: z.uuid(),
    at: z.iso.datetime(),
    by: z.string(),
    title: z.string(),
    plate: z.partialRecord(z.enum(PLATE_FIELD_IDS), z.string()),
  }),
);
const ROWS_AN_INSERT = 1000;

/**
 * Puts the demo jobs in where they are missing; what was added to them since stays. The demo stock comes with the
 * record of past jobs, once: what is changed or taken out of it afterwards is the shop's own doing.
 */
export async function seedDemo(db: Database): Promise<void> {
  const store = jobStore(db, FIRST_SHOP);
  if (!(await hasDemoFacts(db)))
    for (const job of demo.parse(demoJobs)) await store.addFacts(job.id, job.facts, job.demo);
  if (await hasPastJobs(db)) return;
  await putPastJobs(db);
  const stock = stockStore(db, FIRST_SHOP);
  for (const item of z.array(stockItem).parse(demoStock)) await stock.put(item);
}

/** Whether every fact of the demo jobs is there: then none of them needs to be read. */
async function hasDemoFacts(db: Database): Promise<boolean> {
  const ids = demoJobs.flatMap((job) => job.facts.map(({ id }) => id));
  const kept = await db
    .select({ count: sql<number>`count(*)::int` })
    .from(facts)
    .where(
      and(
        eq(facts.shopId, FIRST_SHOP),
        inArray(
          facts.jobId,
          demoJobs.map(({ id }) => id),
        ),
        sql`${facts.id} = any(${sql.param(ids)}::uuid[])`,
      ),
    );
  return kept[0]?.count === new Set(ids).size;
}

async function hasPastJobs(db: Database): Promise<boolean> {
  const [row] = await db
    .select({ one: sql`1` })
    .from(jobs)
    .where(and(eq(jobs.shopId, FIRST_SHOP), like(jobs.demo, `${PAST_DEMO}%`)))
    .limit(1);
  return row !== undefined;
}

async function putPastJobs(db: Database): Promise<void> {
  const list = past.parse(pastJobs);
  await db.transaction(async (tx) => {
    await tx
      .insert(jobs)
      .values(
        list.map(({ id, at }, i) => ({
          shopId: FIRST_SHOP,
          id,
          demo: `${PAST_DEMO}${String(i + 1).padStart(3, "0")}`,
          lastFactAt: at,
        })),
      )
      .onConflictDoNothing();
    const rows = list.flatMap(({ id: jobId, at, by, title, plate }) => {
      const bodies: FactBody[] = [
        { kind: "title", title },
        ...Object.entries(plate).map(
          ([field, typed]) => ({ kind: "plate", motor: "old", field, typed }) as FactBody,
        ),
      ];
      return bodies.map((body, i): Omit<Fact, "by"> & { shopId: string; jobId: string; by: string } => ({
        shopId: FIRST_SHOP,
        jobId,
        id: uuidv7({ msecs: Date.parse(at) + 1000 * i }),
        at: new Date(Date.parse(at) + 1000 * i).toISOString(),
        by,
        body,
      }));
    });
    for (let i = 0; i < rows.length; i += ROWS_AN_INSERT)
      await tx
        .insert(facts)
        .values(rows.slice(i, i + ROWS_AN_INSERT))
        .onConflictDoNothing();
  });
}
