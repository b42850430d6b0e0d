import { eq } from "drizzle-orm";
import type { Executor } from "@/server/db/executor";
import { files } from "@/server/db/schema";

export type KeptFile = typeof files.$inferSelect;

/** The same bytes twice are one row. */
export async function addFile(on: Executor, file: KeptFile): Promise<void> {
  await on.insert(files).values(file).onConflictDoNothing();
}

export async function fileByHash(on: Executor, sha256: string): Promise<KeptFile | undefined> {
  const rows = await on.select().from(files).where(eq(files.sha256, sha256));
  return rows[0];
}
