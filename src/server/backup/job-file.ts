import type { NewEntry } from "@/core/job/log/entry";
import { fail, issue, ok, type Result } from "@/core/result";
import { parseWith, type Shape } from "@/core/validate";
import { keptLineSchema } from "@/log/kept-line.input";
import { readLine } from "@/log/read-payload";
import { type JobArchive, type Origin, readJobArchive } from "./job-archive";

/** A line of a file, with what this shop reads in it. */
export interface Line extends Shape<typeof keptLineSchema> {
  readonly entry: NewEntry;
}

const refused = (message: string): Result<never> => fail(issue("file", "archive/line", message));

/** A line that this shop's own schemas take, exactly as one that is posted; whatever else it says, it says it of another shop. */
function readOne(given: unknown, index: number, now: string): Result<Line> {
  const parsed = parseWith(keptLineSchema, given);
  const place = `Line ${index + 1} of the file`;
  if (!parsed.ok) return refused(`${place} cannot be read: ${parsed.issues[0]?.message ?? ""}`);
  const { seq, kind, payload, kindVersion, at } = parsed.value;
  if (seq !== index + 1) return refused(`${place} is numbered ${seq}: a line is missing or stands twice.`);
  if (at > now) return refused(`${place} is of ${at}, which is still to come: set the clocks right.`);
  const entry = readLine(kind, payload, kindVersion);
  if (entry.kind === "unreadable") return refused(`${place} (${kind}) cannot be read: ${entry.payload.why}`);
  if (index === 0 && kind !== "taken-in")
    return refused(`${place} is "${kind}": a job begins with how it was taken in.`);
  return ok({ ...parsed.value, entry } as Line);
}

function readLines(lines: readonly unknown[], now: string): Result<readonly Line[]> {
  if (lines.length === 0) return refused("The file holds 0 lines: a job has one at least.");
  const read: Line[] = [];
  for (const [index, given] of lines.entries()) {
    const line = readOne(given, index, now);
    if (!line.ok) return line;
    read.push(line.value);
  }
  const ids = new Set(read.map(({ entryId }) => entryId.toLowerCase()));
  return ids.size === read.length
    ? ok(read)
    : refused("Two lines of the file have one id: export the job again.");
}

/** A job as a file brought it, every line read. */
export interface JobFile {
  readonly from: Origin;
  readonly lines: readonly Line[];
  readonly pictures: JobArchive["pictures"];
}

/** Unpacks a file and reads every line of it; nothing is kept. What is too large is refused before it is held. */
export async function readJobFile(bytes: Uint8Array, now: string): Promise<Result<JobFile>> {
  const archive = await readJobArchive(bytes);
  if (!archive.ok) return archive;
  const lines = readLines(archive.value.lines, now);
  return lines.ok ? ok({ ...archive.value, lines: lines.value }) : lines;
}
