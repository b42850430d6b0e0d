import { closeSync, fstatSync, openSync, readSync } from "node:fs";

const PIECE = 1024 * 1024;
const NEW_LINE = 10;

/** A file's lines that end, one after the other, never more than a piece of it in memory. What follows the last end is left out. */
export function* textLines(path: string): Generator<string> {
  const handle = openSync(path, "r");
  try {
    let rest = Buffer.alloc(0);
    const piece = Buffer.alloc(PIECE);
    for (let length = readSync(handle, piece); length > 0; length = readSync(handle, piece)) {
      const bytes = Buffer.concat([rest, piece.subarray(0, length)]);
      let start = 0;
      for (let end = bytes.indexOf(NEW_LINE); end !== -1; end = bytes.indexOf(NEW_LINE, start)) {
        yield bytes.toString("utf8", start, end);
        start = end + 1;
      }
      rest = bytes.subarray(start);
    }
  } finally {
    closeSync(handle);
  }
}

/** The last line of a file that ends, where it begins, and how long the file is up to its end. */
export interface LastLine {
  readonly text: string;
  readonly start: number;
  readonly end: number;
}

/** Read from the end of the file: it may be longer than memory. @returns undefined where no line ends */
export function lastLine(path: string): LastLine | undefined {
  const handle = openSync(path, "r");
  try {
    const { size } = fstatSync(handle);
    for (let window = Math.min(size, PIECE); ; window = Math.min(size, window * 4)) {
      const bytes = Buffer.alloc(window);
      readSync(handle, bytes, 0, window, size - window);
      const end = bytes.lastIndexOf(NEW_LINE);
      const before = end > 0 ? bytes.lastIndexOf(NEW_LINE, end - 1) : -1;
      if (end !== -1 && (before !== -1 || window === size)) {
        const from = size - window;
        return {
          text: bytes.toString("utf8", before + 1, end),
          start: from + before + 1,
          end: from + end + 1,
        };
      }
      if (window === size) return undefined;
    }
  } finally {
    closeSync(handle);
  }
}
