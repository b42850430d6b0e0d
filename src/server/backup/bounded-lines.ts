const NEW_LINE = 10;

export interface Bounds {
  readonly mostLines: number;
  /** Longest line, bytes. */
  readonly longest: number;
}

/** What somebody sent holds more than it may: nothing more of it is read. */
export class OutOfBounds extends Error {}

/**
 * The lines of a stream, one after the other, never more than one of them and a piece in memory. A last line without an end
 * counts.
 * @throws OutOfBounds where there are more lines, or one of them is longer
 */
export async function* boundedLines(
  from: AsyncIterable<Buffer>,
  { mostLines, longest }: Bounds,
): AsyncGenerator<string> {
  let lines = 0;
  let rest: Buffer[] = [];
  let held = 0;
  const line = (end: Buffer): string => {
    lines += 1;
    if (lines > mostLines) throw new OutOfBounds(`more than ${mostLines} lines`);
    const text = Buffer.concat([...rest, end]).toString("utf8");
    rest = [];
    held = 0;
    return text;
  };
  for await (const piece of from) {
    let start = 0;
    for (let end = piece.indexOf(NEW_LINE); end !== -1; end = piece.indexOf(NEW_LINE, start)) {
      if (held + end - start > longest) throw new OutOfBounds(`a line of more than ${longest} bytes`);
      yield line(piece.subarray(start, end));
      start = end + 1;
    }
    held += piece.length - start;
    if (held > longest) throw new OutOfBounds(`a line of more than ${longest} bytes`);
    rest.push(piece.subarray(start));
  }
  if (held > 0) yield line(Buffer.alloc(0));
}

/** A stream's bytes whole, where they are no more than they may be. @throws OutOfBounds */
export async function boundedBytes(from: AsyncIterable<Buffer>, most: number): Promise<Buffer> {
  const pieces: Buffer[] = [];
  let size = 0;
  for await (const piece of from) {
    size += piece.length;
    if (size > most) throw new OutOfBounds(`more than ${most} bytes`);
    pieces.push(piece);
  }
  return Buffer.concat(pieces);
}
