import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import * as fontkit from "fontkit";
import { describe, expect, it } from "vitest";
import {
  formatChance,
  formatDay,
  formatDuration,
  formatInstant,
  formatMoney,
  formatPercent,
  formatReading,
  formatText,
} from "@/core/quantity/format";
import { QUANTITIES } from "@/core/quantity/reading";

const FACES = {
  words: ["Bench Words", "Bench Words Greek"],
  numbers: ["Bench Numbers", "Bench Numbers Greek"],
} as const;
const GREEK = [0x370, 0x3ff] as const;

/** The files that app.css really names, so that a face dropped there is missed here. */
function shippedFonts(): Map<string, fontkit.Font> {
  const css = readFileSync("src/styles/app.css", "utf8");
  const faces = [...css.matchAll(/font-family: "([^"]+)";\s*src: url\("([^"]+)"\)/g)];
  return new Map(
    faces.map(([, family = "", path = ""]) => [
      family,
      fontkit.create(readFileSync(join("node_modules", path))) as fontkit.Font,
    ]),
  );
}

const FONTS = shippedFonts();

function isShown(character: string, stack: readonly string[]): boolean {
  const point = character.codePointAt(0) ?? 0;
  return stack.some((family) => {
    const isSubset = family.endsWith("Greek");
    if (isSubset && (point < GREEK[0] || point > GREEK[1])) return false;
    return FONTS.get(family)?.hasGlyphForCodePoint(point) ?? false;
  });
}

function missing(text: string): string[] {
  const characters = [...new Set(text)].filter((one) => one.trim() !== "");
  return characters.filter((one) => !isShown(one, FACES.words) || !isShown(one, FACES.numbers));
}

/** Everything that format.ts can print, over all units, magnitudes, currencies, months and kinds of reading. */
function printed(): string {
  const units = [...new Set(Object.values(QUANTITIES).map(({ unit }) => unit)), "J", "share"];
  const magnitudes = Array.from({ length: 34 }, (_, index) => 10 ** (index - 15));
  const numbers = units.flatMap((unit) =>
    [0, ...magnitudes, ...magnitudes.map((one) => -one)].map((value) => formatText(value, unit)),
  );
  const money = Intl.supportedValuesOf("currency").flatMap((currency) => [
    formatMoney(123_456, currency),
    formatMoney(-5, currency),
  ]);
  const instants = Array.from({ length: 366 }, (_, day) =>
    new Date(Date.UTC(2028, 0, 1 + day, 5, 7)).toISOString(),
  );
  const zones = ["UTC", "Pacific/Chatham", "Atlantic/Faroe"];
  const dates = instants.flatMap((iso) => [
    formatDay(iso.slice(0, 10)),
    ...zones.map((zone) => formatInstant(iso, zone)),
  ]);
  const readings = [
    formatReading({ kind: "over-range", entered: "OL" }),
    formatReading({ kind: "under-range", entered: "UL" }),
    formatReading({ kind: "not-taken", why: "not taken" }),
  ].map(({ number, unit }) => number + unit);
  const rest = [
    ...Array.from(
      { length: 101 },
      (_, percent) => formatChance(percent / 100) + formatPercent(percent / 100),
    ),
    ...[0.2, 5, 65, 4000].map(formatDuration),
  ];
  return [...numbers, ...money, ...dates, ...readings, ...rest].join("");
}

/** Characters of the interface's own words: what is not ASCII in the sources of screens and of core's messages. */
function written(folder: string): string {
  return readdirSync(folder, { recursive: true, encoding: "utf8" })
    .filter((name) => /\.(tsx?|astro|json)$/.test(name))
    .map((name) =>
      readFileSync(join(folder, name), "utf8").replace(
        /\/\*[\s\S]*?\*\/|\/\/.*$|\/(?:\\.|[^/\n])+\/[a-z]*/gm,
        "",
      ),
    )
    .join("");
}

describe("the fonts that ship", () => {
  it("hold every character that format.ts can print", () => {
    expect(FONTS.size).toBe(4);
    expect(missing(printed())).toEqual([]);
  });

  it("hold every character of the screens' own words", () => {
    expect(
      missing(written("src/islands") + written("src/pages") + written("src/knowledge") + written("src/demo")),
    ).toEqual([]);
  });

  it("would not do without the Greek subsets", () => {
    expect(printed()).toContain("μ");
    expect(printed()).toContain("Ω");
    expect(isShown("Ω", ["Bench Words"])).toBe(false);
    expect(isShown("μ", ["Bench Numbers"])).toBe(false);
  });

  it("print micro and ohm with one code point each", () => {
    expect(printed()).not.toMatch(/[\u00b5\u2126]/);
  });
});
