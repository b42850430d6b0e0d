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
import { EXIT, FolderTrouble, writeSynced } from "./folder";
import { COPY_HEAD } from "./journal-gaps";
import { type JournalLine, lineText, readLineText } from "./journal-line";
import { syncFolder } from "./sync-path";
import { SyncedFile } from "./synced-file";
import { lastLine, textLines } from "./text-lines";

const END = ".ndjson";
const FORGETTING = "forgetting.json";
const OWN = "belongs-to.txt";
const LACKED = "lacked.txt";
/** A moment and a sentence. */
const SAID = /^\d{4}-\d\d-\d\dT[\d:.]+Z ./;

/** "~" sorts after ".": a copy stands after the lines of its day, and what follows it after the copy. */
const isCopy = (name: string): boolean => /~whole-\d+\.ndjson$/.test(name);

/** Lines of one file or several, in order; where one is damaged in the middle, its place is told and what stands there. */
type Damaged = (place: string, text: string) => void;

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

  private path(name: string): string {
    return join(this.folder, name);
  }

  /** Cuts a torn end off the newest file: what was cut was never acknowledged. */
  mend(): void {
    const name = this.names().at(-1);
    if (name === undefined) return;
    const handle = openSync(this.path(name), "r+");
    try {
      const last = lastLine(this.path(name));
      const length = last ? (readLineText(last.text) ? last.end : last.start) : 0;
      if (length === fstatSync(handle).size) return;
      ftruncateSync(handle, length);
      fsyncSync(handle);
    } finally {
      closeSync(handle);
    }
  }

  private *read(name: string, damaged: Damaged = () => undefined): Generator<JournalLine> {
    let number = 0;
    for (const text of textLines(this.path(name))) {
      number += 1;
      const line = readLineText(text);
      if (line) yield line;
      else damaged(`${name}, line ${number}`, text);
    }
  }

  private lastOf(name: string): JournalLine | undefined {
    const last = readLineText(lastLine(this.path(name))?.text ?? "");
    return last ?? [...this.read(name)].at(-1);
  }

  private firstOf(name: string): JournalLine | undefined {
    return this.read(name).next().value ?? undefined;
  }

  /** Number of the newest line; 0 where there is none. */
  lastNumber(): number {
    for (const name of this.names().reverse()) {
      const last = this.lastOf(name);
      if (last) return last.n;
    }
    return 0;
  }

  /**
   * Number of the line before those that {@link linesAfter} reads from the newest whole copy on; undefined where that copy
   * does not say how long it is.
   */
  numberBefore(): number | undefined {
    const copy = this.names().findLast(isCopy);
    if (copy === undefined) return 0;
    const first = this.firstOf(copy);
    return first?.table === COPY_HEAD ? first.n : undefined;
  }

  /** All lines after a number, or from the newest whole copy on; files that end before it are not opened. */
  *linesAfter(n: number | "copy", damaged?: Damaged): Generator<JournalLine> {
    const names = this.names();
    const isBefore = (name: string): boolean =>
      n === "copy" ? isCopy(name) : (this.firstOf(name)?.n ?? Number.POSITIVE_INFINITY) <= n;
    for (const name of names.slice(Math.max(0, names.findLastIndex(isBefore))))
      for (const line of this.read(name, damaged)) if (n === "copy" || line.n > n) yield line;
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
    if (isNew) syncFolder(this.folder);
    return this.file;
  }

  /**
   * Begins the journal anew with the line of every row of the shop, as they come.
   * @param n the number that the copy is taken at
   * @param count how many rows there are
   */
  async writeCopy(at: string, n: number, count: number, lines: AsyncIterable<string>): Promise<void> {
    this.close();
    const number = String(n).padStart(12, "0");
    const file = new SyncedFile(this.path(`${at.slice(0, 10)}~whole-${number}${END}`));
    try {
      file.add(lineText({ n, at, table: COPY_HEAD, row: { lines: count } }));
      for await (const line of lines) file.add(line);
      file.finish();
    } finally {
      file.drop();
    }
  }

  /** Rewrites every file that holds a line to be changed: new file, sync, rename. */
  rewrite(change: (line: JournalLine) => JournalLine): void {
    this.close();
    for (const name of this.names()) {
      if (!this.holds(name, change)) continue;
      const file = new SyncedFile(this.path(name));
      try {
        for (const line of this.read(name)) file.add(lineText(change(line)));
        file.finish();
      } finally {
        file.drop();
      }
    }
  }

  private holds(name: string, change: (line: JournalLine) => JournalLine): boolean {
    for (const line of this.read(name)) if (change(line) !== line) return true;
    return false;
  }

  /** Keeps what the journal was found to lack, for whoever looks later. */
  noteLacks(at: string, sentences: readonly string[]): void {
    const text = sentences.map((sentence) => `${at} ${sentence}\n`).join("");
    writeSynced(
      this.path(LACKED),
      `${this.lacked()
        .map((line) => `${line}\n`)
        .join("")}${text}`,
    );
  }

  /** What the journal was found to lack, ever: a sentence a line, each with its moment. */
  lacked(): readonly string[] {
    const path = this.path(LACKED);
    return existsSync(path)
      ? readFileSync(path, "utf8")
          .split("\n")
          .filter((line) => SAID.test(line))
      : [];
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
    try {
      const read: unknown = JSON.parse(readFileSync(path, "utf8"));
      if (Array.isArray(read) && read.every((id) => Number.isInteger(id))) return read;
    } catch {
      // Told below, whatever is the matter with it.
    }
    throw new FolderTrouble(
      EXIT.damaged,
      `${path} cannot be read. It names owners who were still to be forgotten: nothing was changed. Put it elsewhere, start again, and forget them once more on their pages.`,
    );
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
