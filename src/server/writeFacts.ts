import { createHash } from "node:crypto";
import { fillPlaceholders, getTableColumns, type SQL, sql } from "drizzle-orm";
import { PgDialect } from "drizzle-orm/pg-core";
import type { QueryResult } from "pg";
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
export async function writeFacts(on: Pick<Database, "_">, write: Write): Promise<boolean> {
  const { shopId, jobId, after, summary, facts } = write;
  const columns: Columns = {
    shopId,
    id: jobId,
    demo: write.demo,
    lastWrite: write.as,
    ...summary?.columns,
  };
  const unit = summary?.columns.unit ?? null;
  const beside: Rest = {
    after,
    madeAt: write.madeAt,
    facts: JSON.stringify(facts.map(rowOf)),
    unitWords: unit && searchable([unit.customer, unit.site, unit.name]),
    unitAt: summary?.at ?? null,
    unitName: unit?.name ?? null,
    unitSite: unit?.site ?? null,
    unitCustomer: unit?.customer ?? null,
  };
  const { text, name, params } = statementFor(keysOf(columns), unit !== null);
  const values = fillPlaceholders(params, { ...driven(columns), ...beside });
  const prepared = on._.session.prepareQuery({ sql: text, params: values }, undefined, name, false);
  const { rows } = (await prepared.execute()) as QueryResult;
  return rows.length === 1;
}

/** What the statement is given beside the job's columns. */
interface Rest {
  readonly after: string | null;
  readonly madeAt: string;
  readonly facts: string;
  readonly unitWords: string | null;
  readonly unitAt: string | null;
  readonly unitName: string | null;
  readonly unitSite: string | null;
  readonly unitCustomer: string | null;
}

/** A statement with places for what it is given. */
interface Statement {
  readonly text: string;
  /** The database keeps its plan under this name, for each connection. */
  readonly name: string;
  readonly params: unknown[];
}

/** There are as many as there are sets of columns: three. */
const statements = new Map<string, Statement>();

function statementFor(columns: readonly Key[], withUnit: boolean): Statement {
  const key = `${columns.join()} ${withUnit}`;
  const made = statements.get(key) ?? compiled(columns, withUnit);
  statements.set(key, made);
  return made;
}

function compiled(columns: readonly Key[], withUnit: boolean): Statement {
  const names = columns.map((key) => sql.identifier(COLUMNS[key].name));
  const given = columns.map((key) => sql`${sql.placeholder(key)}::${sql.raw(COLUMNS[key].getSQLType())}`);
  const changed = columns
    .filter((key) => !OF_THE_FIRST.has(key))
    .map((key) => {
      const name = sql.identifier(COLUMNS[key].name);
      return sql`${name} = excluded.${name}`;
    });
  const { sql: text, params } = new PgDialect().sqlToQuery(sql`
    with job as (
      insert into jobs (${list(names)}, last_fact_at)
      select ${list(given)}, least(${place("madeAt")}::timestamptz, date_trunc('milliseconds', now()))
      where ${place("after")}::uuid is null
        or exists (select from jobs where shop_id = ${sql.placeholder("shopId")}::uuid and id = ${sql.placeholder("id")}::uuid)
      on conflict (shop_id, id) do update
        set ${list(changed)}, last_fact_at = greatest(jobs.last_fact_at, excluded.last_fact_at)
        where jobs.last_write is not distinct from ${place("after")}::uuid
      returning shop_id, id
    ), fact as (
      insert into facts (shop_id, job_id, id, at, by, device, seq, body)
      select job.shop_id, job.id, f.id, f.at, f.by, f.device, f.seq, f.body
      from job, rows from (jsonb_to_recordset(${place("facts")}::jsonb)
        as (id uuid, at timestamptz, by text, device uuid, seq bigint, body jsonb))
        with ordinality as f(id, at, by, device, seq, body, place)
      order by f.place
    )${withUnit ? UNIT : sql``}
    select from job`);
  const digest = createHash("sha256").update(text).digest("hex");
  return { text, params, name: `write_facts_${digest.slice(0, 16)}` };
}

/** Where the statement takes it. */
function place(name: keyof Rest) {
  return sql.placeholder(name);
}

/** Columns that the first write of a job sets for good. */
const OF_THE_FIRST: ReadonlySet<Key> = new Set(["shopId", "id", "demo"]);

const COLUMNS = getTableColumns(jobs);
type Key = keyof typeof COLUMNS;

type Columns = Partial<Record<Key, unknown>>;

function keysOf(columns: Columns): Key[] {
  return Object.keys(columns) as Key[];
}

/** The columns' values as the driver takes them. */
function driven(columns: Columns): Columns {
  return Object.fromEntries(
    keysOf(columns).map((key) => {
      const value = columns[key] ?? null;
      return [key, value === null ? null : COLUMNS[key].mapToDriverValue(value)];
    }),
  );
}

function list(parts: readonly SQL[] | ReturnType<typeof sql.identifier>[]): SQL {
  return sql.join([...parts], sql`, `);
}

function rowOf({ id, at, by, made, body }: Fact) {
  return { id, at, by, device: made?.device ?? null, seq: made?.seq ?? null, body };
}

/** The unit by the names that its latest visit gives it, whichever is written last; one that has them already is not written. */
const UNIT = sql`, unit as (
    insert into units (shop_id, id, customer, site, name, words, changed_at)
    select job.shop_id, ${sql.placeholder("unitId")}::uuid, ${place("unitCustomer")}, ${place("unitSite")},
      ${place("unitName")}, ${place("unitWords")}, ${place("unitAt")}::timestamptz
    from job
    on conflict (shop_id, id) do update set
      customer = excluded.customer, site = excluded.site, name = excluded.name,
      words = excluded.words, changed_at = excluded.changed_at
      where units.changed_at <= excluded.changed_at
        and (units.customer, units.site, units.name) <> (excluded.customer, excluded.site, excluded.name)
  )`;
