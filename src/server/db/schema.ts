import { sql } from "drizzle-orm";
import {
  bigint,
  boolean,
  check,
  customType,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uuid,
} from "drizzle-orm/pg-core";

const instant = (name: string) => timestamp(name, { withTimezone: true, mode: "string" });

/** A job is nothing but its number and when it began: all else is in its entries. */
export const jobs = pgTable("jobs", {
  id: integer("id").primaryKey().generatedByDefaultAsIdentity({ startWith: 101 }),
  createdAt: instant("created_at").notNull(),
  createdBy: text("created_by").notNull(),
});

/** The log of each job. Rows are added, never changed. */
export const entries = pgTable(
  "entries",
  {
    entryId: uuid("entry_id").notNull().unique("entries_entry_id_once"),
    jobId: integer("job_id")
      .notNull()
      .references(() => jobs.id),
    seq: integer("seq").notNull(),
    kind: text("kind").notNull(),
    kindVersion: integer("kind_version").notNull(),
    stage: text("stage").notNull(),
    payload: jsonb("payload").notNull(),
    shown: jsonb("shown"),
    /** Hash of what was posted, so that the same id with other content is told from a repeat; null in older rows. */
    postedHash: text("posted_hash"),
    knowledgeVersion: text("knowledge_version").notNull(),
    settingsVersion: integer("settings_version").notNull(),
    at: instant("at").notNull(),
    by: text("by").notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.jobId, table.seq] }),
    index("entries_kind").on(table.kind, table.jobId),
    check("entries_seq_from_one", sql`${table.seq} >= 1`),
    check("entries_version_from_one", sql`${table.kindVersion} >= 1`),
    check("entries_payload_is_object", sql`jsonb_typeof(${table.payload}) = 'object'`),
  ],
);

/** A reading taken with a tool that stands on its own. Rows are added, never changed. */
export const looseReadings = pgTable("loose_readings", {
  id: uuid("id").primaryKey(),
  toolId: text("tool_id").notNull(),
  input: jsonb("input").notNull(),
  finding: jsonb("finding").notNull(),
  /** The first number of the finding, so that readings can be compared in the database. */
  value: doublePrecision("value"),
  knowledgeVersion: text("knowledge_version").notNull(),
  at: instant("at").notNull(),
  by: text("by").notNull(),
});

/** Pictures beside the database: the bytes lie in the data folder under their hash. Rows are added, never changed. */
export const files = pgTable("files", {
  sha256: text("sha256").primaryKey(),
  type: text("type").notNull(),
  bytes: integer("bytes").notNull(),
  width: integer("width").notNull(),
  height: integer("height").notNull(),
  addedAt: instant("added_at").notNull(),
});

const bytea = customType<{ data: Buffer }>({ dataType: () => "bytea" });

/** The bytes themselves, where several servers may work on one database and each must find them. */
export const pictureBytes = pgTable(
  "picture_bytes",
  {
    sha256: text("sha256").notNull(),
    size: text("size").notNull(),
    data: bytea("data").notNull(),
  },
  (table) => [primaryKey({ columns: [table.sha256, table.size] })],
);

/** Kept apart from the log so that a contact can be taken out without touching a job. */
export const owners = pgTable("owners", {
  id: integer("id").primaryKey().generatedByDefaultAsIdentity(),
  name: text("name").notNull(),
  contact: text("contact").notNull(),
  version: integer("version").notNull().default(1),
});

/** What lies on the shop's shelf: what it is, where, its price. How many is in `stock_moves`. */
export const shelfParts = pgTable(
  "shelf_parts",
  {
    id: uuid("id").primaryKey(),
    family: text("family").notNull(),
    label: text("label").notNull(),
    /** Its attributes in SI units, as they stood in its room when it was put there. */
    attributes: jsonb("attributes").notNull(),
    place: text("place").notNull(),
    priceMinor: integer("price_minor").notNull(),
    supplier: text("supplier").notNull(),
    /** The machine it is out of, or still in; null for one that was bought. */
    donorMachine: text("donor_machine"),
    /** What was tested or looked at on a donor's part. */
    tested: text("tested").notNull(),
    version: integer("version").notNull().default(1),
    addedAt: instant("added_at").notNull(),
    addedBy: text("added_by").notNull(),
  },
  (table) => [index("shelf_parts_family").on(table.family)],
);

/** What came to the shelf and went from it. Rows are added, never changed; the sum is what lies there. */
export const stockMoves = pgTable(
  "stock_moves",
  {
    id: uuid("id").primaryKey(),
    shelfPartId: uuid("shelf_part_id")
      .notNull()
      .references(() => shelfParts.id),
    count: integer("count").notNull(),
    reason: text("reason").notNull(),
    jobId: integer("job_id").references(() => jobs.id),
    at: instant("at").notNull(),
    by: text("by").notNull(),
  },
  (table) => [
    index("stock_moves_part").on(table.shelfPartId, table.at),
    index("stock_moves_job").on(table.jobId),
    check("stock_moves_some", sql`${table.count} <> 0`),
  ],
);

/** One row: what the shop has set for itself. */
export const settings = pgTable(
  "settings",
  {
    id: integer("id").primaryKey(),
    value: jsonb("value").notNull(),
    version: integer("version").notNull(),
    changedAt: instant("changed_at").notNull(),
  },
  (table) => [check("settings_one_row", sql`${table.id} = 1`)],
);

/**
 * One row a job: all that the Bench, search and the counts read. Worked out from the log, written in the entry's
 * transaction, and no part of the journal or a backup: it can always be made again.
 */
export const jobFacts = pgTable(
  "job_facts",
  {
    jobId: integer("job_id")
      .primaryKey()
      .references(() => jobs.id),
    /** The last line that is in it. */
    seq: integer("seq").notNull(),
    /** Whether the machine is still on the bench. */
    isHere: boolean("is_here").notNull(),
    touchedAt: instant("touched_at").notNull(),
    ownerId: integer("owner_id"),
    /** What it is found by, folded: number, machine, tag and place. */
    search: text("search").notNull(),
    /** The same of its owner: taken out where the owner is forgotten. */
    ownerSearch: text("owner_search").notNull(),
    standing: jsonb("standing").notNull(),
    /** What the closed job adds to the shop's counts: names and millionths. */
    lesson: jsonb("lesson"),
    /** What it was worked out with: an older one is worked out again. */
    madeWith: text("made_with").notNull(),
    limitsOf: text("limits_of").notNull(),
  },
  (table) => [
    index("job_facts_bench").on(table.isHere, table.touchedAt, table.jobId),
    index("job_facts_owner").on(table.ownerId),
    index("job_facts_made_with").on(table.madeWith),
  ],
);

/**
 * Sums of the lessons of all jobs, in millionths so that they add up exactly, and how many machines are here and have left: a trigger on
 * `job_facts` keeps them.
 */
export const shopCounts = pgTable("shop_counts", {
  name: text("name").primaryKey(),
  micro: bigint("micro", { mode: "number" }).notNull(),
});
