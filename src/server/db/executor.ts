import type { PgDatabase, PgQueryResultHKT } from "drizzle-orm/pg-core";
import type * as schema from "./schema";

/** The database or a transaction on it. Inside a transaction only the transaction is used. */
export type Executor = PgDatabase<PgQueryResultHKT, typeof schema>;
