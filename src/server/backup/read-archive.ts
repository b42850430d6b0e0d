import { createHash } from "node:crypto";
import type { Readable } from "node:stream";
import { type Entry, openPromise, type ZipFile } from "yauzl";
import * as yup from "yup";
import { fail, issue, ok, type Result } from "@/core/result";
import { parseWith, strictObject } from "@/core/validate";
import { FORMAT, FORMAT_VERSION, type Manifest, memberOf, PICTURES, TABLES } from "./archive-format";
import { boundedBytes } from "./bounded-lines";

/** A line for each of some hundred thousand pictures, bytes. */
const MOST_MANIFEST = 64 * 1024 * 1024;

const manifestSchema = strictObject({
  format: yup.string().required(),
  version: yup.number().integer().required(),
  counts: yup.object().required(),
  members: yup.object().required(),
}).required();

const refused = (message: string): Result<never> => fail(issue("archive", "archive/unreadable", message));

/** Calls for each member of an archive in turn. */
async function eachMember(
  path: string,
  take: (name: string, open: () => Promise<Readable>) => Promise<void>,
): Promise<void> {
  const zip: ZipFile = await openPromise(path);
  try {
    for await (const entry of zip.eachEntry() as AsyncIterable<Entry>)
      await take(entry.fileName, () => zip.openReadStreamPromise(entry));
  } finally {
    zip.close();
  }
}

/** Whether a name is one that an archive of ours holds: nothing else is ever written to a disk. */
function isOurs(name: string): boolean {
  return name === "manifest.json" || PICTURES.test(name) || TABLES.some((table) => memberOf(table) === name);
}

function asJson(given: string): unknown {
  try {
    return JSON.parse(given);
  } catch {
    return undefined;
  }
}

/** An archive whose every byte was read back and found as its manifest says. */
export async function verifyArchive(path: string): Promise<Result<Manifest>> {
  const sums = new Map<string, string>();
  const odd: string[] = [];
  let manifestText = "";
  try {
    await eachMember(path, async (name, open) => {
      if (!isOurs(name)) odd.push(name);
      else if (name === "manifest.json")
        manifestText = (await boundedBytes(await open(), MOST_MANIFEST)).toString("utf8");
      else {
        const hash = createHash("sha256");
        for await (const piece of await open()) hash.update(piece as Buffer);
        sums.set(name, hash.digest("hex"));
      }
    });
  } catch (error) {
    return refused(`${path} cannot be read: ${error instanceof Error ? error.message : String(error)}.`);
  }
  if (odd.length > 0) return refused(`${path} holds what no archive of ours does: ${odd.join(", ")}.`);
  if (manifestText === "")
    return refused(`${path} has no manifest: it is no archive of a shop, or cut short.`);
  const read = parseWith(manifestSchema, asJson(manifestText));
  if (!read.ok) return refused(`${path} has a manifest that cannot be read.`);
  const manifest = read.value as Manifest;
  if (manifest.format !== FORMAT || manifest.version > FORMAT_VERSION)
    return refused(
      `${path} is "${manifest.format}" version ${manifest.version}; this program reads "${FORMAT}" up to version ${FORMAT_VERSION}.`,
    );
  const names = new Set([...sums.keys(), ...Object.keys(manifest.members)]);
  const bad = [...names].filter((name) => sums.get(name) !== manifest.members[name]);
  return bad.length === 0 ? ok(manifest) : refused(`${path} is damaged: ${bad.slice(0, 5).join(", ")}.`);
}

/** Hands on each member of a verified archive: lines of tables in batches, pictures as they are. */
export async function readArchive(
  path: string,
  take: { readonly member: (name: string, open: () => Promise<Readable>) => Promise<void> },
): Promise<void> {
  await eachMember(path, take.member);
}
