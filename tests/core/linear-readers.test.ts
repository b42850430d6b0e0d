import { describe, expect, it } from "vitest";
import { kindByName } from "@/core/job/door/machine-kind";
import { parseCapacitorMark } from "@/core/markings/capacitor";
import { parseLeadPair } from "@/core/markings/lead-pair";
import { bandsIn } from "@/core/markings/resistor-bands";
import { highestVolts } from "@/core/markings/volts";
import { parseNumber } from "@/core/matching/makers-number";
import { parseLength } from "@/core/matching/typed";
import { readOf } from "@/core/nameplate/as-typed";
import { parsePower } from "@/core/nameplate/power";
import { supplyOf } from "@/core/nameplate/supply";
import { parseNameplate } from "@/core/nameplate/type-line";
import { parseMeterLine } from "@/core/quantity/meter-line";
import { parseMoney } from "@/core/quantity/money";
import { parseReading } from "@/core/quantity/parse-reading";
import { allFamilies } from "@/parts/registry";
import { KNOWLEDGE } from "./shop-context";

const FAMILIES = await allFamilies();

/** Whatever reads typed text. */
const READERS: readonly (readonly [name: string, read: (text: string) => unknown])[] = [
  ["a capacitor's marking", parseCapacitorMark],
  ["a plate in one line", parseNameplate],
  ["a reading", (text) => parseReading(text, "resistance")],
  ["a length", (text) => parseLength(text, "Bore")],
  ["a power", parsePower],
  ["volts of a plate", (text) => supplyOf(text, 230)],
  ["high voltage on a plate", highestVolts],
  ["a figure as typed", (text) => readOf(text, "resistance")],
  ["a maker's number", (text) => parseNumber(text, "Number")],
  ["a pair of leads", parseLeadPair],
  ["the bands of a resistor", bandsIn],
  ["a line of a meter", parseMeterLine],
  ["a price", (text) => parseMoney(text, "EUR", "Price")],
  ["a machine's name", (text) => kindByName(text, KNOWLEDGE.archetypes)],
  ...FAMILIES.flatMap((family) =>
    family.readMark ? [[`the mark of ${family.id}`, family.readMark] as const] : [],
  ),
];

/** What a pattern goes over again and again, if anything. */
const PIECES = [
  "9",
  " ",
  "a",
  "-",
  ".",
  "1/",
  "9 ",
  "uF ",
  "230V ",
  "+",
  "1.",
  "μ",
  "0-",
  "/",
  "S1 ",
  "x9",
  "\t",
  "12 uF/",
];

function millisecondsFor(read: (text: string) => unknown, text: string): number {
  const started = performance.now();
  read(text);
  return performance.now() - started;
}

const best = (read: (text: string) => unknown, text: string): number =>
  Math.min(...Array.from({ length: 3 }, () => millisecondsFor(read, text)));

/** A shared machine is taken away now and then, for one length or the other: what truly grows with the square never holds. */
const TRIES = 4;

/** @returns what was read last, where it held at none of the tries */
function growth(read: (text: string) => unknown, short: string, long: string): string | undefined {
  let last: string | undefined;
  for (let tries = 0; tries < TRIES; tries += 1) {
    const [before, then] = [best(read, short), best(read, long)];
    // Ten times the text may take ten times as long, and a clock is no finer than some tenths of a millisecond.
    if (then < 30 * before + 5) return undefined;
    last = `${before} ms, then ${then} ms`;
  }
  return last;
}

describe("time to read a text grows no faster than the text", () => {
  it.each(READERS)("%s", (_, read) => {
    for (const piece of PIECES) {
      const of = (length: number): string => piece.repeat(Math.ceil(length / piece.length)).slice(0, length);
      expect(growth(read, of(1_000), of(10_000)), `"${piece}" over and over`).toBeUndefined();
    }
  });

  it("is told of a reader that grows with the square", () => {
    const square = (text: string): number => {
      let count = 0;
      for (const one of text) for (const other of text) if (one === other) count += 1;
      return count;
    };
    expect(growth(square, "a".repeat(300), "a".repeat(3_000))).toMatch(/ms, then/);
  });
});
