import type { SQL } from "drizzle-orm";
import type { Executor } from "./executor";

/** Rows of a statement that is written out, on either engine. What stands in them is the statement's to say. */
export async function rowsOf<T>(on: Executor, statement: SQL): Promise<readonly T[]> {
  const { rows } = (await on.execute(statement)) as unknown as { readonly rows: readonly T[] };
  return rows;
}
