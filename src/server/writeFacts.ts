import { getTableColumns, type SQL, sql } from "drizzle-orm";
import { type Fact, searchable } from "@/core";
import type { Database } from "./database";
import type { KeptSummary } from "./keptSummary";
import { jobs } from "./schema";

/** One write to one job. */
interface Write {
  readonly shopId: string;
  readonly jobId: string;
  /** The last write that the writer knows, null of a job that is new: the write holds only where it is the last still. */
  readonly after: string | null;
  /** This write. */
  readonly as: string;
  /** The demo job that it makes, if one. */
  readonly demo: string | null;
  /** The latest moment that one of the facts was made at. */
  readonly madeAt: string;
  /** Facts that the job has not, in their order. */
  readonly facts: readonly Fact[];
  /** What lists keep of the job with them; null leaves it as it is. */
  readonly summary: KeptSummary | null;
}

/**
 * Adds facts, the job with its first, and what is kept beside them, all in one statement. The job's row is written first,
 * and others who write to it wait there: the facts of one job are seen in the order of their arrival numbers, and whoever
 * follows a job by the last one he saw misses none.
 *
 * @returns false where somebody wrote meanwhile: then nothing was kept.
 */
export async function writeFacts(on: Pick<Database, "execute">, write: Write): Promise<boolean> {
  const { shopId, jobId, after, summary } = write;
  const values: Partial<Record<Key, unknown>> = {
    shopId,
    id: jobId,
    demo: write.demo,
    lastWrite: write.as,
    ...summary?.columns,
  };
  const names = keysOf(values).map((key) => sql.identifier(COLUMNS[key].name));
  const given = keysOf(values).map((key) => typed(key, values[key]));
  const changed = keysOf({ lastWrite: true, ...summary?.columns }).map((key) => {
    const name = sql.identifier(COLUMNS[key].name);
    return sql`${name} = excluded.${name}`;
  });
  const { rows } = await on.execute(sql`
    with job as (
      insert into jobs (${list(names)}, last_fact_at)
      select ${list(given)}, least(${write.madeAt}::timestamptz, date_trunc('milliseconds', now()))
      where ${after}::uuid is null
        or exists (select from jobs where shop_id = ${shopId}::uuid and id = ${jobId}::uuid)
      on conflict (shop_id, id) do update
        set ${list(changed)}, last_fact_at = greatest(jobs.last_fact_at, excluded.last_fact_at)
        where jobs.last_write is not distinct from ${after}::uuid
      returning shop_id, id
    ), fact as (
      insert into facts (shop_id, job_id, id, at, by, device, seq, body)
      select job.shop_id, job.id, f.id, f.at, f.by, f.device, f.seq, f.body
      from job, rows from (jsonb_to_recordset(${JSON.stringify(write.facts.map(rowOf))}::jsonb)
        as (id uuid, at timestamptz, by text, device uuid, seq bigint, body jsonb))
        with ordinality as f(id, at, by, device, seq, body, place)
      order by f.place
    )${summary ? unitOf(summary) : sql``}
    select from job`);
  return rows.length === 1;
}

const COLUMNS = getTableColumns(jobs);
type Key = keyof typeof COLUMNS;

function keysOf(values: Partial<Record<Key, unknown>>): Key[] {
  return Object.keys(values) as Key[];
}

/** A value as its column takes it, where nothing else says of what type it is. */
function typed(key: Key, value: unknown): SQL {
  const column = COLUMNS[key];
  return sql`${value === null ? null : sql.param(value, column)}::${sql.raw(column.getSQLType())}`;
}

function list(parts: readonly SQL[] | ReturnType<typeof sql.identifier>[]): SQL {
  return sql.join([...parts], sql`, `);
}

function rowOf({ id, at, by, made, body }: Fact) {
  return { id, at, by, device: made?.device ?? null, seq: made?.seq ?? null, body };
}

/** The unit by the names that its latest visit gives it, whichever is written last; one that has them already is not written. */
function unitOf({ columns: { unit }, at }: KeptSummary): SQL {
  if (!unit) return sql``;
  const { id, customer, site, name } = unit;
  const words = searchable([customer, site, name]);
  return sql`, unit as (
    insert into units (shop_id, id, customer, site, name, words, changed_at)
    select job.shop_id, ${id}::uuid, ${customer}, ${site}, ${name}, ${words}, ${at}::timestamptz from job
    on conflict (shop_id, id) do update set
      customer = excluded.customer, site = excluded.site, name = excluded.name,
      words = excluded.words, changed_at = excluded.changed_at
      where units.changed_at <= excluded.changed_at
        and (units.customer, units.site, units.name) <> (excluded.customer, excluded.site, excluded.name)
  )`;
}
