import { createHash } from "node:crypto";
import { buffer } from "node:stream/consumers";
import { type Entry, fromBufferPromise } from "yauzl";
import { ZipFile } from "yazl";
import * as yup from "yup";
import { fail, issue, ok, type Result } from "@/core/result";
import { parseWith, strictObject } from "@/core/validate";
import { canonicalJson } from "@/server/db/content-hash";

const FORMAT = "good-spindle-job";
const FORMAT_VERSION = 1;
const LINES = "entries.ndjson";
const PICTURE = /^pictures\/([0-9a-f]{64})\.jpg$/;
/** A fixed moment: the same job gives the same bytes whenever it is exported. */
const STAMP = { mtime: new Date("2000-01-01T00:00:00Z"), mode: 0o100600 } as const;
/** What a job of many pictures unpacks to, and not a disk full of nothing. */
const MOST_BYTES = 400 * 1024 * 1024;
const MOST_MEMBERS = 1_000;

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

/** Every member, none of them larger than the whole may be; undefined where a name is none of ours. */
async function membersOf(bytes: Uint8Array): Promise<ReadonlyMap<string, Buffer> | undefined> {
  const zip = await fromBufferPromise(Buffer.from(bytes), { lazyEntries: true });
  const members = new Map<string, Buffer>();
  let left = MOST_BYTES;
  try {
    for await (const entry of zip.eachEntry() as AsyncIterable<Entry>) {
      const { fileName, uncompressedSize } = entry;
      const isOurs = fileName === "manifest.json" || fileName === LINES || PICTURE.test(fileName);
      left -= uncompressedSize;
      if (!isOurs || left < 0 || members.has(fileName) || members.size === MOST_MEMBERS) return undefined;
      members.set(fileName, await buffer(await zip.openReadStreamPromise(entry)));
    }
  } finally {
    zip.close();
  }
  return members;
}

/** An archive of one job, every byte of it found as its manifest says. What its lines hold is not looked at here. */
export async function readJobArchive(bytes: Uint8Array): Promise<Result<JobArchive>> {
  const members = await membersOf(bytes).catch(() => undefined);
  if (!members)
    return refused("This file is no job of a Good Spindle shop: choose one that ends in .job.zip.");
  const read = parseWith(manifestSchema, asJson(members.get("manifest.json")?.toString("utf8") ?? ""));
  if (!read.ok || read.value.format !== FORMAT)
    return refused("This file is no job of a Good Spindle shop: choose one that ends in .job.zip.");
  if (read.value.version > FORMAT_VERSION)
    return refused(
      `This job was exported by a later version (${read.value.version}): bring this shop up to date first.`,
    );
  const sums = new Map<string, unknown>(Object.entries(read.value.members));
  const names = [...new Set([...sums.keys(), ...members.keys()])].filter((name) => name !== "manifest.json");
  const bad = names.filter((name) => {
    const member = members.get(name);
    return !member || sumOf(member) !== sums.get(name);
  });
  if (bad.length > 0)
    return refused(`This file is damaged: ${bad.slice(0, 3).join(", ")}. Export the job again.`);
  const texts = (members.get(LINES)?.toString("utf8") ?? "").split("\n").filter((text) => text !== "");
  const pictures = names.flatMap((name): [string, Uint8Array][] => {
    const [, sha] = PICTURE.exec(name) ?? [];
    const member = members.get(name);
    return sha !== undefined && member ? [[sha, member]] : [];
  });
  return ok({ from: read.value.from, lines: texts.map(asJson), pictures: new Map(pictures) });
}
