import { randomUUID } from "node:crypto";
import { closeSync, fsyncSync, openSync, renameSync, rmSync, writeSync } from "node:fs";
import { dirname } from "node:path";
import { syncFolder } from "./sync-path";

const PIECE = 256 * 1024;

/** A file that is written piece by piece and is there whole or not at all. Readable by its owner only. */
export class SyncedFile {
  private readonly aside: string;
  private handle: number | undefined;
  private waiting: string[] = [];
  private length = 0;

  constructor(private readonly path: string) {
    this.aside = `${path}.${randomUUID()}`;
    this.handle = openSync(this.aside, "wx", 0o600);
  }

  add(text: string): void {
    this.waiting.push(text);
    this.length += text.length;
    if (this.length >= PIECE) this.write();
  }

  private write(): void {
    if (this.handle !== undefined) writeSync(this.handle, this.waiting.join(""));
    this.waiting = [];
    this.length = 0;
  }

  /** On the disk, under its name. */
  finish(): void {
    if (this.handle === undefined) return;
    this.write();
    fsyncSync(this.handle);
    closeSync(this.handle);
    this.handle = undefined;
    renameSync(this.aside, this.path);
    syncFolder(dirname(this.path));
  }

  /** What was not finished leaves nothing behind. */
  drop(): void {
    if (this.handle === undefined) return;
    closeSync(this.handle);
    this.handle = undefined;
    rmSync(this.aside, { force: true });
  }
}
