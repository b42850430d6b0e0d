import { createHash, type Hash } from "node:crypto";
import { once } from "node:events";
import { createWriteStream, type WriteStream } from "node:fs";
import { PassThrough, Readable } from "node:stream";
import { finished, pipeline } from "node:stream/promises";
import { ZipFile } from "yazl";
import { canonicalJson } from "@/server/db/content-hash";
import { type PictureSize, pictureName, picturesInFolder } from "@/server/db/pictures";
import { FORMAT, FORMAT_VERSION, type Manifest, memberOf, TABLES, type Table } from "./archive-format";

/** A fixed moment: the same shop gives the same bytes whenever it is exported. */
const MADE_AT = new Date("2000-01-01T00:00:00Z");
const MODE = 0o100600;
const SIZES = ["whole", "small"] as const satisfies readonly PictureSize[];

interface Member {
  readonly name: string;
  readonly stream: PassThrough;
  readonly hash: Hash;
}

/**
 * Writes an archive member after member. Each step is over when what it was given is on its way to the disk: whoever waits
 * for it never has more than one step in memory.
 */
export class ArchiveWriter {
  private readonly zip = new ZipFile();
  private readonly counts: Record<string, number> = Object.fromEntries(TABLES.map((table) => [table, 0]));
  private readonly members = new Map<string, string>();
  private readonly file: WriteStream;
  private readonly written: Promise<void>;
  private member: Member | undefined;

  constructor(path: string) {
    this.file = createWriteStream(path, { mode: 0o600, flush: true });
    this.written = pipeline(this.zip.outputStream, this.file);
    // Told by the step that waits for it.
    this.written.catch(() => undefined);
  }

  /** Further rows of a table, each a line without its end. */
  async lines(table: Table, text: string, count: number): Promise<void> {
    const member = this.open(memberOf(table));
    if (count === 0) return;
    this.counts[table] = (this.counts[table] ?? 0) + count;
    const lines = `${text}\n`;
    member.hash.update(lines);
    if (!member.stream.write(lines)) await Promise.race([once(member.stream, "drain"), this.written]);
  }

  async picture(sha256: string, size: PictureSize, bytes: Uint8Array): Promise<void> {
    this.close();
    const name = pictureName(sha256, size);
    this.members.set(name, createHash("sha256").update(bytes).digest("hex"));
    await this.add(name, bytes, false);
  }

  /** Pictures that lie below a data folder, in both sizes as far as they are there. */
  async picturesOf(folder: string, hashes: readonly string[]): Promise<void> {
    const pictures = picturesInFolder(() => folder);
    for (const sha256 of hashes)
      for (const size of SIZES) {
        const bytes = await pictures.read(sha256, size);
        if (bytes) await this.picture(sha256, size, bytes);
      }
  }

  /** Over when the whole archive is on the disk. */
  async finish(): Promise<Manifest> {
    this.close();
    const manifest: Manifest = {
      format: FORMAT,
      version: FORMAT_VERSION,
      counts: this.counts,
      members: Object.fromEntries(this.members),
    };
    await this.add("manifest.json", Buffer.from(`${canonicalJson(manifest)}\n`), true);
    this.zip.end();
    await this.written;
    return manifest;
  }

  /** Lets go of the file, whole or not. */
  drop(): void {
    this.member?.stream.destroy();
    this.file.destroy();
  }

  private async add(name: string, bytes: Uint8Array, compress: boolean): Promise<void> {
    // The list of members lives as long as the archive is written: what it holds on to is let go by then.
    let held: Uint8Array | undefined = bytes;
    const read = new Promise<void>((resolve, reject) => {
      this.zip.addReadStreamLazy(name, { mtime: MADE_AT, mode: MODE, compress }, (give) => {
        const stream = Readable.from([held]);
        held = undefined;
        finished(stream).then(resolve, reject);
        give(null, stream);
      });
    });
    await Promise.race([read, this.written]);
  }

  private open(name: string): Member {
    if (this.member?.name === name) return this.member;
    this.close();
    const member = { name, stream: new PassThrough(), hash: createHash("sha256") };
    this.zip.addReadStream(member.stream, name, { mtime: MADE_AT, mode: MODE, compress: true });
    this.member = member;
    return member;
  }

  private close(): void {
    if (!this.member) return;
    const { name, stream, hash } = this.member;
    this.members.set(name, hash.digest("hex"));
    stream.end();
    this.member = undefined;
  }
}
