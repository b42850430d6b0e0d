import { createHash } from "node:crypto";
import {
  closeSync,
  existsSync,
  fdatasyncSync,
  fstatSync,
  fsyncSync,
  ftruncateSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeSync,
} from "node:fs";
import { join } from "node:path";
import { writeSynced } from "./folder";

/** One thing that was committed: a row as it stood then. */
export interface JournalLine {
  /** Its number, given inside the transaction, without gaps. All lines of a whole copy carry the number it was taken at. */
  readonly n: number;
  /** UTC, ISO 8601. */
  readonly at: string;
  readonly table: string;
  readonly row: Readonly<Record<string, unknown>>;
}

const END = ".ndjson";
const FORGETTING = "forgetting.json";
const OWN = "belongs-to.txt";
const SUM_LENGTH = 16;
const LINE = /^\{"sum":"([0-9a-f]{16})",(.*\})$/;

/** "~" sorts after ".": a copy stands after the lines of its day, and what follows it after the copy. */
const isCopy = (name: string): boolean => /~whole-\d+\.ndjson$/.test(name);

function sumOf(rest: string): string {
  return createHash("sha256").update(rest).digest("hex").slice(0, SUM_LENGTH);
}

/** A line of JSON that begins with the checksum of the rest of it. */
export function lineText({ n, at, table, row }: JournalLine): string {
  const rest = JSON.stringify({ n, at, table, row }).slice(1);
  return `{"sum":"${sumOf(rest)}",${rest}\n`;
}

/** @returns undefined where the line is not whole */
export function readLineText(text: string): JournalLine | undefined {
  const [, sum, rest] = LINE.exec(text) ?? [];
  if (sum === undefined || rest === undefined || sumOf(rest) !== sum) return undefined;
  return JSON.parse(`{${rest}`) as JournalLine;
}

/** Lines that were read back, and where a file is damaged in the middle. */
export interface ReadJournal {
  readonly lines: readonly JournalLine[];
  readonly damage: readonly string[];
}

/** Length of the part of a file up to its last whole line: what comes after was never acknowledged. */
function wholeLength(bytes: Buffer): number {
  const end = bytes.lastIndexOf(10) + 1;
  if (end === 0) return 0;
  const start = bytes.lastIndexOf(10, end - 2) + 1;
  return readLineText(bytes.subarray(start, end - 1).toString("utf8")) ? end : start;
}

/**
 * The journal beside the database: a file a day, a line for whatever was committed, on the disk before anybody is told.
 * Files sort by name into the order of their lines; a whole copy of the shop begins a new run of them.
 */
export class JournalFiles {
  private file: { readonly day: string; readonly handle: number } | undefined;

  /** @param onFailure a sync that fails leaves nobody knowing what is on the disk: the server stops */
  constructor(
    readonly folder: string,
    private readonly onFailure: (error: unknown) => void,
    private readonly sync: (file: number) => void = fdatasyncSync,
  ) {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
  }

  names(): string[] {
    return readdirSync(this.folder)
      .filter((name) => name.endsWith(END))
      .sort();
  }

  /** Cuts a torn end off the newest file. */
  mend(): void {
    const name = this.names().at(-1);
    if (name === undefined) return;
    const bytes = readFileSync(join(this.folder, name));
    const length = wholeLength(bytes);
    if (length === bytes.length) return;
    const handle = openSync(join(this.folder, name), "r+");
    ftruncateSync(handle, length);
    fsyncSync(handle);
    closeSync(handle);
  }

  private read(name: string): ReadJournal {
    const texts = readFileSync(join(this.folder, name), "utf8").split("\n").slice(0, -1);
    const damage: string[] = [];
    const lines = texts.flatMap((text, index) => {
      const line = readLineText(text);
      if (!line) damage.push(`${name}, line ${index + 1}`);
      return line ?? [];
    });
    return { lines, damage };
  }

  /** Number of the newest line; 0 where there is none. */
  lastNumber(): number {
    for (const name of this.names().reverse()) {
      const last = this.read(name).lines.at(-1);
      if (last) return last.n;
    }
    return 0;
  }

  /** All lines after a number, from the newest whole copy on when that is asked for. */
  linesAfter(n: number, fromCopy = false): ReadJournal {
    const names = this.names();
    const from = fromCopy ? Math.max(0, names.findLastIndex(isCopy)) : 0;
    const read = names.slice(from).map((name) => this.read(name));
    return {
      lines: read.flatMap(({ lines }) => lines.filter((line) => line.n > n || (fromCopy && line.n === n))),
      damage: read.flatMap(({ damage }) => damage),
    };
  }

  /** Appends lines of one or more days and brings them to the disk; what was written in part is taken back. */
  append(lines: readonly JournalLine[]): void {
    for (const line of lines) {
      const { handle } = this.fileOf(line.at.slice(0, 10));
      const before = fstatSync(handle).size;
      try {
        writeSync(handle, lineText(line));
      } catch (error) {
        ftruncateSync(handle, before);
        throw error;
      }
    }
    if (!this.file) return;
    try {
      this.sync(this.file.handle);
    } catch (error) {
      this.onFailure(error);
      throw error;
    }
  }

  /** The clock may be set back: lines stay in order whatever day they carry. After a whole copy a new file begins. */
  private fileOf(day: string): { readonly handle: number } {
    if (this.file?.day === day) return this.file;
    this.close();
    const newest = this.names().at(-1) ?? "";
    const ofDay = `${day}${END}`;
    const older = isCopy(newest) ? newest.replace(END, `~on${END}`) : newest;
    const name = ofDay > newest ? ofDay : older;
    const isNew = !existsSync(join(this.folder, name));
    this.file = { day, handle: openSync(join(this.folder, name), "a", 0o600) };
    if (isNew) this.syncFolder();
    return this.file;
  }

  private syncFolder(): void {
    const handle = openSync(this.folder, "r");
    fsyncSync(handle);
    closeSync(handle);
  }

  /** Begins the journal anew with every row of the shop. */
  writeCopy(day: string, lines: readonly JournalLine[]): void {
    this.close();
    const number = String(lines[0]?.n ?? 0).padStart(12, "0");
    writeSynced(join(this.folder, `${day}~whole-${number}${END}`), lines.map(lineText).join(""));
  }

  /** Rewrites every file that holds a line to be changed: new file, sync, rename. */
  rewrite(change: (line: JournalLine) => JournalLine): void {
    this.close();
    for (const name of this.names()) {
      const { lines } = this.read(name);
      const changed = lines.map(change);
      if (changed.some((line, index) => line !== lines[index]))
        writeSynced(join(this.folder, name), changed.map(lineText).join(""));
    }
  }

  /** Whose journal this is; it takes the first name that it is given. */
  identityOr(identity: string): string {
    const path = join(this.folder, OWN);
    if (existsSync(path)) return readFileSync(path, "utf8").trim();
    writeSynced(path, `${identity}\n`);
    return identity;
  }

  /** Writes down that an owner is to be forgotten, before anything of it is done. */
  noteForgetting(id: number): void {
    writeSynced(join(this.folder, FORGETTING), JSON.stringify([...new Set([...this.forgetting(), id])]));
  }

  /** Owners whose forgetting was begun and not finished. */
  forgetting(): readonly number[] {
    const path = join(this.folder, FORGETTING);
    if (!existsSync(path)) return [];
    const read: unknown = JSON.parse(readFileSync(path, "utf8"));
    return Array.isArray(read) ? read.filter((id) => Number.isInteger(id)) : [];
  }

  forgettingDone(): void {
    rmSync(join(this.folder, FORGETTING), { force: true });
  }

  close(): void {
    if (this.file) {
      this.sync(this.file.handle);
      closeSync(this.file.handle);
    }
    this.file = undefined;
  }
}
