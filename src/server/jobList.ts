import { and, asc, desc, eq, isNotNull, isNull, like, ne, notLike, or, type SQL, sql } from "drizzle-orm";
import type { JobLine, JobQuery, UnitLine } from "@/contract";
import type { Database } from "./database";
import { jobs, units } from "./schema";
import { containingDated, wordsIn } from "./searchWords";

/** How the names of demo jobs begin that are a record only. */
export const PAST_DEMO = "past-";
/** How the names of demo jobs begin that are earlier visits: found, and shown with their unit. */
const VISIT_DEMO = "visit-";

/** The lists of one shop's jobs and units, out of what is kept beside the facts: nothing is worked out here. */
export function jobList(db: Database, shopId: string) {
  const inShop = eq(jobs.shopId, shopId);
  /** Past demo jobs are a record for the truck plan; there are too many of them to list. */
  const listed = or(isNull(jobs.demo), notLike(jobs.demo, `${PAST_DEMO}%`));
  const columns = {
    id: jobs.id,
    demo: isNotNull(jobs.demo),
    at: jobs.lastFactAt,
    title: jobs.title,
    unit: jobs.unit,
    leads: jobs.leads,
    status: jobs.status,
    signed: jobs.signed,
    cause: jobs.cause,
    shelved: jobs.shelved,
  };

  return {
    /** A page of the list, the latest first, and where the next begins; null at the end. */
    async page({ search, of, before, most, shelved }: JobQuery): Promise<{
      jobs: JobLine[];
      next: string | null;
    }> {
      const rows = await db
        .select(columns)
        .from(jobs)
        .where(
          and(
            inShop,
            listed,
            shelved === "any" ? ne(jobs.shelved, "deleted") : eq(jobs.shelved, shelved),
            of === "all" ? undefined : of === "demo" ? isNotNull(jobs.demo) : isNull(jobs.demo),
            ...wordsIn(search).map((word) => like(jobs.words, containingDated(word))),
            before === undefined ? undefined : after(before),
          ),
        )
        // As the index has them: without saying so, PostgreSQL would put nulls last and sort all of them.
        .orderBy(desc(jobs.lastFactAt), desc(jobs.id))
        .limit(most + 1);
      const shown = rows.slice(0, most).map(lineOf);
      const last = shown.at(-1);
      return { jobs: shown, next: rows.length > most && last ? `${last.at}_${last.id}` : null };
    },

    /** The demo jobs, in their own order. */
    async demo(most: number): Promise<JobLine[]> {
      const rows = await db
        .select(columns)
        .from(jobs)
        .where(
          and(
            inShop,
            listed,
            isNotNull(jobs.demo),
            notLike(jobs.demo, `${VISIT_DEMO}%`),
            eq(jobs.shelved, "listed"),
          ),
        )
        .orderBy(sql`length(${jobs.demo})`, jobs.demo)
        .limit(most);
      return rows.map(lineOf);
    },

    /** The lines of a few jobs. */
    async some(which: SQL): Promise<JobLine[]> {
      const rows = await db.select(columns).from(jobs).where(and(inShop, which));
      return rows.map(lineOf);
    },

    /** Visits of a unit, the earliest first. */
    async visits(unitId: string, most: number): Promise<JobLine[]> {
      const rows = await db
        .select(columns)
        .from(jobs)
        .where(and(inShop, eq(jobs.unitId, unitId), ne(jobs.shelved, "deleted")))
        .orderBy(asc(jobs.lastFactAt))
        .limit(most);
      return rows.map(lineOf);
    },

    /** Units that a few letters may mean, by name. */
    async units(search: string, most: number): Promise<UnitLine[]> {
      return db
        .select({ id: units.id, customer: units.customer, site: units.site, name: units.name })
        .from(units)
        .where(
          and(
            eq(units.shopId, shopId),
            ...wordsIn(search).map((word) => like(units.words, containingDated(word))),
          ),
        )
        .orderBy(units.site, units.name)
        .limit(most);
    },

    /** One unit; undefined where there is none. */
    async unit(id: string): Promise<UnitLine | undefined> {
      const [found] = await db
        .select({ id: units.id, customer: units.customer, site: units.site, name: units.name })
        .from(units)
        .where(and(eq(units.shopId, shopId), eq(units.id, id)));
      return found;
    },
  };
}

type Row = Omit<JobLine, "demo" | "at"> & { readonly demo: unknown; readonly at: string };

function lineOf({ demo, at, ...row }: Row): JobLine {
  return { ...row, demo: demo === true, at: new Date(at).toISOString() };
}

/** Whatever comes after a line in the list. */
function after(before: string): SQL {
  const [at = "", id = ""] = before.split("_");
  return sql`(${jobs.lastFactAt}, ${jobs.id}) < (${at}::timestamptz, ${id}::uuid)`;
}
