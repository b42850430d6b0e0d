import { createHash, type Hash } from "node:crypto";
import { buffer } from "node:stream/consumers";
import { type Entry, fromBufferPromise } from "yauzl";
import { ZipFile } from "yazl";
import * as yup from "yup";
import { fail, issue, ok, type Result } from "@/core/result";
import { parseWith, strictObject } from "@/core/validate";
import { canonicalJson } from "@/server/db/content-hash";
import { boundedBytes, boundedLines, OutOfBounds } from "./bounded-lines";

const FORMAT = "good-spindle-job";
const FORMAT_VERSION = 1;
const LINES = "entries.ndjson";
const PICTURE = /^pictures\/([0-9a-f]{64})\.jpg$/;
/** A fixed moment: the same job gives the same bytes whenever it is exported. */
const STAMP = { mtime: new Date("2000-01-01T00:00:00Z"), mode: 0o100600 } as const;
/** What a machine that was here for years comes to, and not millions of nothing. */
export const MOST_LINES = 5_000;
/** More than any line of ours is long. */
const LONGEST_LINE = 256 * 1024;
const MOST_LINE_BYTES = 32 * 1024 * 1024;
const MOST_MEMBERS = 1_000;
const MOST_MANIFEST = 1024 * 1024;
const MOST_PICTURE = 25 * 1024 * 1024;
/** A picture is small by itself: packed, it hardly gets smaller. */
const MOST_UNPACKED = 2;
const SMALL = 64 * 1024;

/** Where a job came from. */
export interface Origin {
  readonly shop: string;
  readonly jobId: number;
}

/** One job as it travels: its lines as they are kept, without who owns the machine, and its pictures by their hash. */
export interface JobArchive {
  readonly from: Origin;
  readonly lines: readonly unknown[];
  readonly pictures: ReadonlyMap<string, Uint8Array>;
}

const manifestSchema = strictObject({
  format: yup.string().required(),
  version: yup.number().integer().required(),
  from: strictObject({
    shop: yup.string().defined().max(80),
    jobId: yup.number().integer().min(1).required(),
  }).required(),
  members: yup.object().required(),
}).required();

const sumOf = (bytes: Uint8Array): string => createHash("sha256").update(bytes).digest("hex");

/** The archive's bytes: a zip of a manifest, the lines as NDJSON, and the pictures. */
export async function writeJobArchive({ from, lines, pictures }: JobArchive): Promise<Buffer> {
  const members = new Map<string, Buffer>([
    [LINES, Buffer.from(lines.map((line) => `${canonicalJson(line)}\n`).join(""))],
    ...[...pictures].map(([sha, bytes]): [string, Buffer] => [`pictures/${sha}.jpg`, Buffer.from(bytes)]),
  ]);
  const sums = Object.fromEntries([...members].map(([name, bytes]) => [name, sumOf(bytes)]));
  const manifest = { format: FORMAT, version: FORMAT_VERSION, from, members: sums };
  const zip = new ZipFile();
  zip.addBuffer(Buffer.from(`${canonicalJson(manifest)}\n`), "manifest.json", STAMP);
  for (const [name, bytes] of members) zip.addBuffer(bytes, name, { ...STAMP, compress: name === LINES });
  zip.end();
  return buffer(zip.outputStream);
}

const refused = (message: string): Result<never> => fail(issue("file", "archive/unreadable", message));

function asJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

interface Members {
  readonly sums: ReadonlyMap<string, string>;
  readonly manifest: string;
  readonly lines: readonly string[];
  readonly pictures: ReadonlyMap<string, Buffer>;
}

/** How much a member may unpack to, bytes; undefined where its name is none of ours. */
function mostOf({ fileName, compressedSize }: Entry): number | undefined {
  if (fileName === "manifest.json") return MOST_MANIFEST;
  if (fileName === LINES) return MOST_LINE_BYTES;
  return PICTURE.test(fileName) ? Math.min(MOST_PICTURE, MOST_UNPACKED * compressedSize + SMALL) : undefined;
}

/** A stream, each piece of it counted in on its way. */
async function* hashed(from: AsyncIterable<Buffer>, hash: Hash): AsyncGenerator<Buffer> {
  for await (const piece of from) {
    hash.update(piece);
    yield piece;
  }
}

/** Every member; undefined where a name is none of ours. @throws where one unpacks to more than it may */
async function membersOf(bytes: Uint8Array): Promise<Members | undefined> {
  const zip = await fromBufferPromise(Buffer.from(bytes), { lazyEntries: true });
  const sums = new Map<string, string>();
  const pictures = new Map<string, Buffer>();
  const lines: string[] = [];
  let manifest = "";
  try {
    for await (const entry of zip.eachEntry() as AsyncIterable<Entry>) {
      const { fileName, uncompressedSize } = entry;
      const most = mostOf(entry);
      if (most === undefined || sums.has(fileName) || sums.size === MOST_MEMBERS) return undefined;
      if (uncompressedSize > most) throw new OutOfBounds(`${fileName} of ${uncompressedSize} bytes`);
      const hash = createHash("sha256");
      const stream = hashed(await zip.openReadStreamPromise(entry), hash);
      if (fileName === LINES)
        for await (const line of boundedLines(stream, { mostLines: MOST_LINES, longest: LONGEST_LINE }))
          lines.push(line);
      else {
        const whole = await boundedBytes(stream, most);
        if (fileName === "manifest.json") manifest = whole.toString("utf8");
        else pictures.set(PICTURE.exec(fileName)?.[1] ?? "", whole);
      }
      sums.set(fileName, hash.digest("hex"));
    }
  } finally {
    zip.close();
  }
  return { sums, manifest, lines, pictures };
}

const NO_JOB = "This file is no job of a Good Spindle shop: choose one that ends in .job.zip.";

/** An archive of one job, every byte of it found as its manifest says. What its lines hold is not looked at here. */
export async function readJobArchive(bytes: Uint8Array): Promise<Result<JobArchive>> {
  const members = await membersOf(bytes).catch((error: unknown) =>
    error instanceof OutOfBounds ? error : undefined,
  );
  if (!members) return refused(NO_JOB);
  if (members instanceof OutOfBounds)
    return refused(`This file unpacks to more than a job ever holds (${members.message}): it is not taken.`);
  const read = parseWith(manifestSchema, asJson(members.manifest));
  if (!read.ok || read.value.format !== FORMAT) return refused(NO_JOB);
  if (read.value.version > FORMAT_VERSION)
    return refused(
      `This job was exported by a later version (${read.value.version}): bring this shop up to date first.`,
    );
  const sums = new Map<string, unknown>(Object.entries(read.value.members));
  const names = [...new Set([...sums.keys(), ...members.sums.keys()])].filter(
    (name) => name !== "manifest.json",
  );
  const bad = names.filter((name) => members.sums.get(name) !== sums.get(name));
  if (bad.length > 0)
    return refused(`This file is damaged: ${bad.slice(0, 3).join(", ")}. Export the job again.`);
  const lines = members.lines.filter((text) => text !== "").map(asJson);
  return ok({ from: read.value.from, lines, pictures: members.pictures });
}
