import { describe, expect, it } from "vitest";
import { kindByName } from "@/core/job/door/machine-kind";
import { parseCapacitorMark } from "@/core/markings/capacitor";
import { highestVolts } from "@/core/markings/high-voltage";
import { parseLeadPair } from "@/core/markings/lead-pair";
import { bandsIn } from "@/core/markings/resistor-bands";
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

describe("time to read a text grows no faster than the text", () => {
  it.each(READERS)("%s", (_, read) => {
    for (const piece of PIECES) {
      const of = (length: number): string => piece.repeat(Math.ceil(length / piece.length)).slice(0, length);
      const [short, long] = [best(read, of(1_000)), best(read, of(10_000))];
      // Ten times the text may take ten times as long, and a clock is no finer than some tenths of a millisecond.
      expect(long, `"${piece}" over and over: ${short} ms, then ${long} ms`).toBeLessThan(30 * short + 5);
    }
  });
});
