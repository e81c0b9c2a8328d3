import { sql } from "drizzle-orm";
import {
  bigint,
  bigserial,
  boolean,
  customType,
  doublePrecision,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uuid,
  varchar,
} from "drizzle-orm/pg-core";
import type { FactBody, Fingerprint, JobSummary, MotorKind, Plate, StockItem } from "@/core";
import type { FaultHandedIn, HandedIn, WiringHandedIn } from "@/core/practice";
import type { InstrumentKind } from "@/core/proving";
import type { Compartment } from "@/core/wiring";

/** New entries go into the index itself: left in a list beside it, every search would read that list through. */
const AT_ONCE = { fastupdate: false };

/**
 * A job's row is written with each of its facts, and every write brings all its words and steps anew: they wait in a list
 * and go into the index many at a time. The list is so short that a search reads it in passing.
 */
const IN_BULK = { fastupdate: true, gin_pending_list_limit: 256 };

/**
 * A job: one motor on one day. Its content is its facts; the row says that it exists and whose it is, and keeps what lists
 * show and search of it, worked out from the facts when they change.
 */
export const jobs = pgTable(
  "jobs",
  {
    shopId: uuid("shop_id").notNull(),
    id: uuid("id").notNull(),
    /** Demo jobs ship with the product and are listed apart. */
    demo: text("demo"),
    createdAt: timestamp("created_at", { withTimezone: true, mode: "string" }).notNull().defaultNow(),
    /** Made anew with each write of facts: who knows it knows every fact of the job. Null before the first. */
    lastWrite: uuid("last_write"),
    lastFactAt: timestamp("last_fact_at", { withTimezone: true, mode: "string" }).notNull().defaultNow(),
    title: text("title").notNull().default(""),
    unitId: uuid("unit_id"),
    unit: jsonb("unit").$type<JobSummary["unit"]>(),
    leads: jsonb("leads").$type<JobSummary["leads"]>().notNull().default([]),
    status: text("status").$type<JobSummary["status"]>().notNull().default("needs-probe"),
    /** The last fact that the status was weighed with. */
    statusArrival: bigint("status_arrival", { mode: "number" }).notNull().default(0),
    signed: boolean("signed").notNull().default(false),
    cause: text("cause").notNull().default(""),
    shelved: text("shelved").$type<JobSummary["shelved"]>().notNull().default("listed"),
    /** Everything that a search looks through, in lower case. */
    words: text("words").notNull().default(""),
    /** The ohms that its motor is known again by; null where there are too few. */
    fingerprint: jsonb("fingerprint").$type<Fingerprint>(),
    /** The steps of the ladder that these ohms stand on. */
    steps: integer("steps").array(),
    /** The version of the summary that these columns are of; 0 before the first. */
    summarised: integer("summarised").notNull().default(0),
  },
  (t) => [
    primaryKey({ columns: [t.shopId, t.id] }),
    index("jobs_listed")
      .on(t.shopId, t.lastFactAt.desc().nullsFirst(), t.id.desc().nullsFirst())
      .where(sql`shelved = 'listed'`),
    index("jobs_demo").on(t.shopId).where(sql`demo is not null`),
    // As motors met before are counted: from the index alone.
    index("jobs_known_again").on(t.shopId).where(sql`fingerprint is not null and shelved <> 'deleted'`),
    index("jobs_of_unit").on(t.shopId, t.unitId, t.lastFactAt),
    index("jobs_by_steps").using("gin", t.steps).with(IN_BULK),
    index("jobs_by_words").using("gin", t.words.op("gin_trgm_ops")).with(IN_BULK),
  ],
);

/** Units that jobs are visits of, by the names that the last visit gave them. */
export const units = pgTable(
  "units",
  {
    shopId: uuid("shop_id").notNull(),
    id: uuid("id").notNull(),
    customer: text("customer").notNull(),
    site: text("site").notNull(),
    name: text("name").notNull(),
    words: text("words").notNull(),
    changedAt: timestamp("changed_at", { withTimezone: true, mode: "string" }).notNull().defaultNow(),
  },
  (t) => [
    primaryKey({ columns: [t.shopId, t.id] }),
    index("units_by_name").on(t.shopId, t.site, t.name),
    index("units_by_words").using("gin", t.words.op("gin_trgm_ops")).with(AT_ONCE),
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
    /** The device it was made on and its place among the facts made there; null of facts from before these were told. */
    device: uuid("device"),
    seq: bigint("seq", { mode: "number" }),
    body: jsonb("body").$type<FactBody>().notNull(),
    receivedAt: timestamp("received_at", { withTimezone: true, mode: "string" }).notNull().defaultNow(),
  },
  (t) => [
    primaryKey({ columns: [t.shopId, t.jobId, t.id] }),
    foreignKey({ columns: [t.shopId, t.jobId], foreignColumns: [jobs.shopId, jobs.id] }),
    // Every open page asks for what arrived since.
    index("facts_by_arrival").on(t.shopId, t.jobId, t.arrival),
  ],
);

/**
 * Which history of facts this database holds, in its one row: a restored backup goes on from the same origin under another
 * name, so that a device which has seen more sends it again.
 */
export const histories = pgTable("histories", {
  origin: uuid("origin").primaryKey(),
  latest: uuid("latest").notNull(),
});

const bytes = customType<{ data: Buffer }>({ dataType: () => "bytea" });

/** Photos of a compartment, upright and without what a camera writes beside the picture. */
export const photos = pgTable(
  "photos",
  {
    shopId: uuid("shop_id").notNull(),
    jobId: uuid("job_id").notNull(),
    id: uuid("id").notNull(),
    widthPx: integer("width_px").notNull(),
    heightPx: integer("height_px").notNull(),
    jpeg: bytes("jpeg").notNull(),
    receivedAt: timestamp("received_at", { withTimezone: true, mode: "string" }).notNull().defaultNow(),
  },
  (t) => [primaryKey({ columns: [t.shopId, t.jobId, t.id] })],
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

/** One wiring handed in at practice. The grade is worked out from `given` again when it is looked at. */
export const wiringResults = pgTable(
  "wiring_results",
  {
    shopId: uuid("shop_id").notNull(),
    id: uuid("id").notNull(),
    person: text("person").notNull(),
    at: timestamp("at", { withTimezone: true, mode: "string" }).notNull().defaultNow(),
    task: text("task").notNull(),
    equipment: text("equipment").notNull(),
    isRight: boolean("is_right").notNull(),
    given: jsonb("given").$type<WiringHandedIn>().notNull(),
  },
  (t) => [primaryKey({ columns: [t.shopId, t.id] }), index("wirings_by_person").on(t.shopId, t.person, t.at)],
);

/** One fault looked for at practice and handed in. The grade is worked out from `given` again when it is looked at. */
export const faultResults = pgTable(
  "fault_results",
  {
    shopId: uuid("shop_id").notNull(),
    id: uuid("id").notNull(),
    person: text("person").notNull(),
    at: timestamp("at", { withTimezone: true, mode: "string" }).notNull().defaultNow(),
    equipment: text("equipment").notNull(),
    complaint: text("complaint").notNull(),
    cause: text("cause").notNull(),
    isRight: boolean("is_right").notNull(),
    minutes: integer("minutes").notNull(),
    bestMinutes: integer("best_minutes"),
    dangers: integer("dangers").notNull(),
    given: jsonb("given").$type<FaultHandedIn>().notNull(),
  },
  (t) => [primaryKey({ columns: [t.shopId, t.id] }), index("faults_by_person").on(t.shopId, t.person, t.at)],
);

/** Equipment that the shop built or changed and keeps for other jobs. A job has its own copy. */
export const ownEquipment = pgTable(
  "own_equipment",
  {
    shopId: uuid("shop_id").notNull(),
    id: uuid("id").notNull(),
    title: text("title").notNull(),
    made: jsonb("made").$type<Compartment>().notNull(),
    keptAt: timestamp("kept_at", { withTimezone: true, mode: "string" }).notNull().defaultNow(),
  },
  (t) => [primaryKey({ columns: [t.shopId, t.id] })],
);

/** Numbers from one to another, several such: `{[103.5,126.5],[207,253]}`. */
const ranges = customType<{ data: string }>({ dataType: () => "nummultirange" });

/** Stock and catalogue: motors and capacitors, as typed, with the figures a list is sorted by. */
export const stockItems = pgTable(
  "stock_items",
  {
    shopId: uuid("shop_id").notNull(),
    id: uuid("id").notNull(),
    kind: text("kind").$type<StockItem["kind"]>().notNull(),
    name: text("name").notNull(),
    part: text("part").notNull(),
    place: text("place").notNull(),
    /** Pieces counted, before what jobs took. */
    count: integer("count").notNull(),
    /** Pieces that jobs have in use: the sum of `stock_uses`, kept with it. */
    inUse: integer("in_use").notNull().default(0),
    onHand: integer("on_hand").generatedAlwaysAs(sql`count - in_use`).notNull(),
    minimum: integer("minimum").notNull(),
    /** Whether fewer are on hand than are wanted. */
    short: boolean("short").generatedAlwaysAs(sql`count - in_use < minimum`).notNull(),
    cost: doublePrecision("cost"),
    powerWatts: doublePrecision("power_watts"),
    rpm: doublePrecision("rpm"),
    volts: doublePrecision("volts"),
    microfarads: doublePrecision("microfarads"),
    /** Of a motor's plate, what tells soonest that it is no replacement; null where the plate does not tell. */
    motorKind: text("motor_kind").$type<MotorKind>(),
    phase: integer("phase"),
    poles: integer("poles"),
    /** Supply volts that one of its connections suits. */
    supplies: ranges("supplies"),
    /** The plate as it is read; null of what is no motor. */
    readPlate: jsonb("read_plate").$type<Plate>(),
    /** The version of the reading that these columns are of; 0 before the first. */
    figured: integer("figured").notNull().default(0),
    /** Everything that a search may find, in lower case, with blanks about every word. */
    words: text("words").notNull(),
    item: jsonb("item").$type<StockItem>().notNull(),
    /** The ohms that such a motor is known again by; null where nobody stated them. */
    fingerprint: jsonb("fingerprint").$type<Fingerprint>(),
    /** The steps of the ladder that these ohms stand on. */
    steps: integer("steps").array(),
    /** Counts its changes, so that two who change one line see each other. */
    version: integer("version").notNull().default(1),
    changedAt: timestamp("changed_at", { withTimezone: true, mode: "string" }).notNull().defaultNow(),
  },
  (t) => [
    primaryKey({ columns: [t.shopId, t.id] }),
    // The orders of the list, each from one index: figures that a line has not come last in either direction.
    index("stock_by_name").on(t.shopId, t.kind, t.name, t.id),
    index("stock_by_poles").on(t.shopId, t.kind, t.poles, t.powerWatts),
    index("stock_named").on(t.shopId, t.name, t.id),
    index("stock_by_part").on(t.shopId, t.part, t.name, t.id),
    index("stock_by_place").on(t.shopId, t.place, t.name, t.id),
    index("stock_by_on_hand").on(t.shopId, t.onHand, t.name, t.id),
    index("stock_by_power").on(t.shopId, t.powerWatts, t.name, t.id),
    index("stock_by_power_down").on(t.shopId, t.powerWatts.desc().nullsLast(), t.name, t.id),
    index("stock_by_rpm").on(t.shopId, t.rpm, t.name, t.id),
    index("stock_by_rpm_down").on(t.shopId, t.rpm.desc().nullsLast(), t.name, t.id),
    index("stock_by_volts").on(t.shopId, t.volts, t.name, t.id),
    index("stock_by_volts_down").on(t.shopId, t.volts.desc().nullsLast(), t.name, t.id),
    index("stock_by_microfarads").on(t.shopId, t.microfarads, t.name, t.id),
    index("stock_by_microfarads_down").on(t.shopId, t.microfarads.desc().nullsLast(), t.name, t.id),
    index("stock_by_cost").on(t.shopId, t.cost, t.name, t.id),
    index("stock_by_cost_down").on(t.shopId, t.cost.desc().nullsLast(), t.name, t.id),
    index("stock_short").on(t.shopId, t.name, t.id).where(sql`short`),
    // An import of thousands goes into the list beside the index, which is kept short for those who search meanwhile.
    index("stock_by_words")
      .using("gin", t.words.op("gin_trgm_ops"))
      .with({ fastupdate: true, gin_pending_list_limit: 1024 }),
    // As motors met before are counted: few lines have ohms of their own.
    index("stock_known_again").on(t.shopId).where(sql`fingerprint is not null`),
    index("stock_by_steps").using("gin", t.steps).with(AT_ONCE),
  ],
);

/** How many lines a shop's stock has, kept by triggers on the stock: a list tells its length without walking through it. */
export const stockCounts = pgTable(
  "stock_counts",
  {
    shopId: uuid("shop_id").notNull(),
    kind: text("kind").$type<StockItem["kind"]>().notNull(),
    lines: integer("lines").notNull(),
    /** Lines with a piece on hand, and lines that are short. */
    onHand: integer("on_hand").notNull(),
    short: integer("short").notNull(),
  },
  (t) => [primaryKey({ columns: [t.shopId, t.kind] })],
);

/** Pieces that a job has in use, derived from its facts each time they change: an undo gives them back. */
export const stockUses = pgTable(
  "stock_uses",
  {
    shopId: uuid("shop_id").notNull(),
    jobId: uuid("job_id").notNull(),
    itemId: uuid("item_id").notNull(),
    count: integer("count").notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.shopId, t.jobId, t.itemId] }),
    index("stock_uses_by_item").on(t.shopId, t.itemId),
  ],
);

/** Rows of an import on their way in: nothing is stock until the import is finished, all at once. */
export const stockImportRows = pgTable(
  "stock_import_rows",
  {
    shopId: uuid("shop_id").notNull(),
    importId: uuid("import_id").notNull(),
    row: integer("row").notNull(),
    item: jsonb("item").$type<StockItem>().notNull(),
    arrivedAt: timestamp("arrived_at", { withTimezone: true, mode: "string" }).notNull().defaultNow(),
  },
  (t) => [primaryKey({ columns: [t.shopId, t.importId, t.row] })],
);

/** Imports that became stock, by what they did: who lost the answer asks again and hears the same. */
export const stockImports = pgTable(
  "stock_imports",
  {
    shopId: uuid("shop_id").notNull(),
    importId: uuid("import_id").notNull(),
    rows: integer("rows").notNull(),
    added: integer("added").notNull(),
    changed: integer("changed").notNull(),
    finishedAt: timestamp("finished_at", { withTimezone: true, mode: "string" }).notNull().defaultNow(),
  },
  (t) => [primaryKey({ columns: [t.shopId, t.importId] })],
);

/**
 * Meters that pages read, with where each listens, so that any process finds it. A stand-in listens on the machine of the
 * process that made it, and goes with that process. May be lost at any time: a page attaches again.
 */
export const meters = pgTable("meters", {
  id: uuid("id").primaryKey(),
  /** Who attached it. */
  client: text("client").notNull(),
  host: text("host").notNull(),
  port: integer("port").notNull(),
  /** What it answers to its name: another that listens there later is not taken for it. */
  identity: text("identity").notNull(),
  standIn: boolean("stand_in").notNull(),
  /** What it measures now. */
  measures: text("measures").$type<InstrumentKind>().notNull(),
  /** The number that the page gave its latest touch; each value is told with the touch it is of. */
  touch: bigint("touch", { mode: "number" }).notNull().default(-1),
  /** The move of its probes that is under way, and when it is given up: no value is of one place meanwhile. */
  moving: uuid("moving"),
  movingUntil: timestamp("moving_until", { withTimezone: true, mode: "string" }),
  usedAt: timestamp("used_at", { withTimezone: true, mode: "string" }).notNull().defaultNow(),
});

/** What has been counted against limits, as rate-limiter-flexible keeps it. May be lost at any time. */
export const limits = pgTable("limits", {
  key: varchar("key", { length: 255 }).primaryKey(),
  points: integer("points").notNull().default(0),
  /** Milliseconds since 1970; null for ever. */
  expire: bigint("expire", { mode: "number" }),
});
