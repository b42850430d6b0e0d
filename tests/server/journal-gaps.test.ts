import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { COPY_HEAD, GapWatch } from "@/server/db/journal-gaps";
import { type JournalLine, lineText, readLineText } from "@/server/db/journal-line";

const at = (n: number): string => new Date(Date.UTC(2026, 10, 28, 9, 0, n)).toISOString();
const line = (n: number, table = "entries"): JournalLine => ({
  n,
  at: at(n),
  table,
  row: { job_id: 100 + n },
});

/** A journal as it is written: a whole copy, or none, and what followed it. */
const journal = fc
  .record({ copied: fc.integer({ min: 0, max: 6 }), followed: fc.integer({ min: 2, max: 12 }) })
  .map(({ copied, followed }) => {
    const n = copied === 0 ? 0 : 40;
    const head = { n, at: at(n), table: COPY_HEAD, row: { lines: copied } };
    const copy = copied === 0 ? [] : [head, ...Array.from({ length: copied }, () => line(n))];
    return [...copy, ...Array.from({ length: followed }, (_, index) => line(n + 1 + index))];
  });

function lacks(texts: readonly string[], after: number | undefined, upTo: number): readonly string[] {
  const watch = new GapWatch(after);
  for (const [index, text] of texts.entries()) {
    const read = readLineText(text);
    if (read) watch.line(read);
    else watch.unreadable(`line ${index + 1}`, text);
  }
  watch.end(upTo);
  return watch.found;
}

const harm = fc.record({ at: fc.nat(), how: fc.constantFrom("out", "flipped") });

describe("what a journal lacks", () => {
  it("is nothing where it is whole, and something where any line but the copy's head is harmed", () => {
    fc.assert(
      fc.property(journal, fc.array(harm, { maxLength: 4 }), (lines, harms) => {
        const begins = lines[0]?.table === COPY_HEAD ? 1 : 0;
        const [upTo, after] = [lines.at(-1)?.n ?? 0, begins === 1 ? lines[0]?.n : 0];
        const texts = lines.map((one) => lineText(one).trimEnd());
        for (const { at: place, how } of harms) {
          const index = begins + (place % Math.max(1, texts.length - begins));
          if (how === "out") texts.splice(index, 1);
          else texts[index] = (texts[index] ?? "").replace(/"n":/, '"m":');
        }
        expect(lacks(texts, after, upTo).length > 0).toBe(harms.length > 0);
      }),
    );
  });

  it("is named with what it held and when it was written", () => {
    const texts = [1, 2, 3, 4, 5, 6].map((n) => lineText(line(n)).trimEnd());
    texts[1] = (texts[1] ?? "").replace('"n":2', '"n":7');
    texts.splice(3, 2);
    expect(lacks(texts, 0, 8)).toEqual([
      "The journal cannot be read at line 2: it held a line of job 102.",
      `The journal lacks lines 4 to 5, written after ${at(3)} and before ${at(6)}.`,
      "The journal lacks lines 7 to 8, the newest.",
    ]);
  });
});
