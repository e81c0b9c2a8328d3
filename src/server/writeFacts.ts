import { createHash } from "node:crypto";
import { fillPlaceholders, getTableColumns, type SQL, sql } from "drizzle-orm";
import { PgDialect } from "drizzle-orm/pg-core";
import type { QueryResult } from "pg";
import { type Fact, searchable } from "@/core";
import type { Database } from "./database";
import type { KeptSummary } from "./keptSummary";
import { jobs } from "./schema";

/** One write to one job. */
export interface Write {
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
 * Adds facts, the jobs with their first, and what is kept beside them, all in one statement for any number of jobs. A job's
 * row is written first, and others who write to it wait there: the facts of one job are seen in the order of their arrival
 * numbers, and whoever follows a job by the last one he saw misses none.
 *
 * @param on a database, or a transaction on it.
 * @param writes each to a job of its own.
 * @returns those that hold, by `as`; where somebody else wrote to a job meanwhile, nothing of that write was kept.
 */
export async function writeFacts(
  on: Pick<Database, "_">,
  writes: readonly Write[],
): Promise<ReadonlySet<string>> {
  const { text, name, params } = statement();
  const values = fillPlaceholders(params, { given: JSON.stringify(inOrder(writes).map(rowOf)) });
  const prepared = on._.session.prepareQuery({ sql: text, params: values }, undefined, name, false);
  const { rows } = (await prepared.execute()) as QueryResult<{ last_write: string }>;
  return new Set(rows.map(({ last_write }) => last_write));
}

/** In one order for everybody: two statements that write to the same jobs wait for each other and not in a circle. */
function inOrder(writes: readonly Write[]): readonly Write[] {
  return [...writes].sort((a, b) => (a.jobId < b.jobId ? -1 : 1));
}

/** What a write is to the statement: the columns of its job by their names, and what goes beside them. */
function rowOf({ shopId, jobId, after, as, demo, madeAt, facts, summary }: Write) {
  const columns: Columns = { shopId, id: jobId, demo, lastWrite: as, ...(summary?.columns ?? UNSUMMED) };
  const unit = summary?.columns.unit;
  return {
    ...Object.fromEntries(KEYS.map((key) => [COLUMNS[key].name, columns[key]])),
    known_write: after,
    made_at: madeAt,
    facts: facts.map(factRow),
    ...(unit && {
      unit_customer: unit.customer,
      unit_site: unit.site,
      unit_name: unit.name,
      unit_words: searchable([unit.customer, unit.site, unit.name]),
      unit_at: summary.at,
    }),
  };
}

function factRow({ id, at, by, made, body }: Fact) {
  return { id, at, by, device: made?.device ?? null, seq: made?.seq ?? null, body };
}

/** What a job's row begins with where nothing is summed up, and by which the statement knows it: the version is 0. */
const UNSUMMED: KeptSummary["columns"] = {
  title: "",
  leads: [],
  signed: false,
  cause: "",
  shelved: "listed",
  words: "",
  unit: null,
  unitId: null,
  summarised: 0,
};

const COLUMNS = getTableColumns(jobs);
/** Columns that the first write of a job sets for good. */
const OF_THE_FIRST = ["shopId", "id", "demo"] as const;
const OF_THE_SUMMARY = Object.keys(UNSUMMED) as (keyof typeof UNSUMMED)[];
const KEYS = [...OF_THE_FIRST, "lastWrite", ...OF_THE_SUMMARY] as const;
type Columns = { readonly [key in (typeof KEYS)[number]]?: unknown };

/** The statement with a place for what it is given; the database keeps its plan under this name, for each connection. */
interface Statement {
  readonly text: string;
  readonly name: string;
  readonly params: unknown[];
}

let made: Statement | undefined;

function statement(): Statement {
  made ??= compiled();
  return made;
}

function compiled(): Statement {
  const named = (key: (typeof KEYS)[number]) => sql.identifier(COLUMNS[key].name);
  const names = sql.join(KEYS.map(named), sql`, `);
  const typed = KEYS.map((key) => sql`${named(key)} ${sql.raw(COLUMNS[key].getSQLType())}`);
  const summed = OF_THE_SUMMARY.map(
    (key) =>
      sql`${named(key)} = case when excluded.summarised = 0 then jobs.${named(key)} else excluded.${named(key)} end`,
  );
  const { sql: text, params } = new PgDialect().sqlToQuery(sql`
    with given as materialized (
      select * from rows from (jsonb_to_recordset(${sql.placeholder("given")}::jsonb) as (
        ${sql.join(typed, sql`, `)}, known_write uuid, made_at timestamptz, facts jsonb,
        unit_customer text, unit_site text, unit_name text, unit_words text, unit_at timestamptz
      )) with ordinality as given(${names}, known_write, made_at, facts,
        unit_customer, unit_site, unit_name, unit_words, unit_at, place)
    ), job as (
      insert into jobs (${names}, last_fact_at)
      select ${names}, least(made_at, date_trunc('milliseconds', now()))
      from given
      where known_write is null
        or (select true from jobs there where there.shop_id = given.shop_id and there.id = given.id)
      order by place
      on conflict (shop_id, id) do update
        set last_write = excluded.last_write, ${sql.join(summed, sql`, `)},
          last_fact_at = greatest(jobs.last_fact_at, excluded.last_fact_at)
        where jobs.last_write is not distinct from
          (select known_write from given where given.last_write = excluded.last_write)
      returning last_write
    ), fact as (
      insert into facts (shop_id, job_id, id, at, by, device, seq, body)
      select given.shop_id, given.id, f.id, f.at, f.by, f.device, f.seq, f.body
      from job join given using (last_write), ${FACTS}
      order by given.place, f.place
    ), ${UNIT}
    select last_write from job`);
  const digest = createHash("sha256").update(text).digest("hex");
  return { text, params, name: `write_facts_${digest.slice(0, 16)}` };
}

const FACTS: SQL = sql`rows from (jsonb_to_recordset(given.facts)
        as (id uuid, at timestamptz, by text, device uuid, seq bigint, body jsonb))
        with ordinality as f(id, at, by, device, seq, body, place)`;

/** Units by the names that their latest visits give them, whichever is written last; one that has them already is not written. */
const UNIT: SQL = sql`unit as (
      insert into units (shop_id, id, customer, site, name, words, changed_at)
      select distinct on (given.shop_id, unit_id)
        given.shop_id, unit_id, unit_customer, unit_site, unit_name, unit_words, unit_at
      from job join given using (last_write)
      where unit_id is not null
      order by given.shop_id, unit_id, unit_at desc
      on conflict (shop_id, id) do update set
        customer = excluded.customer, site = excluded.site, name = excluded.name,
        words = excluded.words, changed_at = excluded.changed_at
        where units.changed_at <= excluded.changed_at
          and (units.customer, units.site, units.name) <> (excluded.customer, excluded.site, excluded.name)
    )`;
