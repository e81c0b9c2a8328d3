import {
  bigint,
  bigserial,
  boolean,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uuid,
} from "drizzle-orm/pg-core";
import type { FactBody } from "@/core";
import type { HandedIn } from "@/core/practice";

/** A job: one motor on one day. Its content is its facts; the row only says that it exists and whose it is. */
export const jobs = pgTable(
  "jobs",
  {
    shopId: uuid("shop_id").notNull(),
    id: uuid("id").notNull(),
    /** Demo jobs ship with the product and are listed apart. */
    demo: text("demo"),
    createdAt: timestamp("created_at", { withTimezone: true, mode: "string" }).notNull().defaultNow(),
    lastFactAt: timestamp("last_fact_at", { withTimezone: true, mode: "string" }).notNull().defaultNow(),
  },
  (t) => [
    primaryKey({ columns: [t.shopId, t.id] }),
    index("jobs_by_last_fact").on(t.shopId, t.lastFactAt.desc()),
  ],
);

/** Facts, append-only: rows are inserted and never updated or deleted. */
export const facts = pgTable(
  "facts",
  {
    shopId: uuid("shop_id").notNull(),
    jobId: uuid("job_id").notNull(),
    id: uuid("id").notNull(),
    /** Order of arrival, for following a job without missing late uploads. */
    arrival: bigserial("arrival", { mode: "number" }).notNull(),
    at: timestamp("at", { withTimezone: true, mode: "string" }).notNull(),
    by: text("by").notNull(),
    body: jsonb("body").$type<FactBody>().notNull(),
    receivedAt: timestamp("received_at", { withTimezone: true, mode: "string" }).notNull().defaultNow(),
  },
  (t) => [
    primaryKey({ columns: [t.shopId, t.jobId, t.id] }),
    foreignKey({ columns: [t.shopId, t.jobId], foreignColumns: [jobs.shopId, jobs.id] }),
  ],
);

/** One practice motor handed in. The grade is worked out from `given` again when it is looked at. */
export const practiceResults = pgTable(
  "practice_results",
  {
    shopId: uuid("shop_id").notNull(),
    id: uuid("id").notNull(),
    person: text("person").notNull(),
    at: timestamp("at", { withTimezone: true, mode: "string" }).notNull().defaultNow(),
    seed: bigint("seed", { mode: "number" }).notNull(),
    family: text("family").notNull(),
    fault: text("fault").notNull(),
    difficulty: text("difficulty").notNull(),
    leadCount: integer("lead_count").notNull(),
    leadsRight: integer("leads_right").notNull(),
    isRight: boolean("is_right").notNull(),
    readingsTaken: integer("readings_taken").notNull(),
    readingsNeeded: integer("readings_needed").notNull(),
    given: jsonb("given").$type<HandedIn>().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.shopId, t.id] }),
    index("practice_by_person").on(t.shopId, t.person, t.at),
  ],
);
