import { desc, eq } from "drizzle-orm";
import type { Finding } from "@/core/tools/finding.input";
import { upcastFinding } from "@/core/tools/upcast-finding";
import type { Executor } from "@/server/db/executor";
import { looseReadings } from "@/server/db/schema";

export interface LooseReading {
  readonly id: string;
  readonly toolId: string;
  readonly input: Readonly<Record<string, unknown>>;
  readonly finding: Finding;
  readonly at: string;
  readonly by: string;
}

function toReading(row: typeof looseReadings.$inferSelect): LooseReading {
  const { id, toolId, by } = row;
  return {
    id,
    toolId,
    by,
    at: new Date(row.at).toISOString(),
    input: row.input as LooseReading["input"],
    finding: upcastFinding(row.finding, row.input) as Finding,
  };
}

export async function keepLooseReading(on: Executor, reading: LooseReading): Promise<void> {
  const { id, toolId, input, finding, at, by } = reading;
  const value = finding.figures[0]?.value ?? null;
  await on
    .insert(looseReadings)
    .values({ id, toolId, input, finding, value, knowledgeVersion: finding.basis.knowledgeVersion, at, by })
    .onConflictDoNothing();
}

export async function looseReading(on: Executor, id: string): Promise<LooseReading | undefined> {
  const row = (await on.select().from(looseReadings).where(eq(looseReadings.id, id)))[0];
  return row && toReading(row);
}

export async function latestLooseReadings(
  on: Executor,
  toolId: string,
  count: number,
): Promise<LooseReading[]> {
  const rows = await on
    .select()
    .from(looseReadings)
    .where(eq(looseReadings.toolId, toolId))
    .orderBy(desc(looseReadings.at))
    .limit(count);
  return rows.map(toReading);
}
