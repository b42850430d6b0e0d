import { createRequire } from "node:module";

const require = createRequire(import.meta.url);
const ATKINSON = "@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next";
const SOURCE = "@fontsource/source-sans-3/files/source-sans-3";

/** The cuts that the letter is set in; the first takes whatever no other one is for. */
const CUTS = {
  Letters: `${ATKINSON}-latin`,
  MoreLetters: `${ATKINSON}-latin-ext`,
  Greek: `${SOURCE}-greek`,
  Cyrillic: `${SOURCE}-cyrillic`,
  Vietnamese: `${SOURCE}-vietnamese`,
  Hebrew: "@fontsource/noto-sans-hebrew/files/noto-sans-hebrew-hebrew",
  Arabic: "@fontsource/noto-sans-arabic/files/noto-sans-arabic-arabic",
} as const;
type Cut = keyof typeof CUTS;

const fontFile = (name: string): string => require.resolve(`${name}-normal.woff`);

/** Fonts by name as pdfmake takes them; all of them ship with the program. */
export const LETTER_FONTS = Object.fromEntries(
  Object.entries(CUTS).map(([name, files]) => [
    name,
    {
      normal: fontFile(`${files}-400`),
      bold: fontFile(`${files}-700`),
      italics: fontFile(`${files}-400`),
      bolditalics: fontFile(`${files}-700`),
    },
  ]),
);

/** Characters that the first cut lacks, by the cut that has them. */
const OF_CUT: readonly (readonly [Cut, RegExp])[] = [
  ["Greek", /[\u0370-\u03ff]/u],
  ["Cyrillic", /[\u0400-\u045f\u0490\u0491\u2116]/u],
  ["Hebrew", /[\u0590-\u05ff\ufb1d-\ufb4f]/u],
  ["Arabic", /[\u0600-\u06ff\u0750-\u077f\ufb50-\ufdff\ufe70-\ufefc]/u],
  ["Vietnamese", /[\u01a0\u01a1\u01af\u01b0\u1ea0-\u1ef9]|\u0300|\u0301|\u0303|\u0309|\u0323/u],
  ["MoreLetters", /[\u0100-\u02ba\u1e00-\u1e9f]/u],
];
const RIGHT_TO_LEFT: ReadonlySet<Cut> = new Set<Cut>(["Hebrew", "Arabic"]);

function cutOf(character: string): Cut {
  return OF_CUT.find(([, characters]) => characters.test(character))?.[0] ?? "Letters";
}

interface Run {
  readonly text: string;
  readonly font: Cut;
}

/**
 * A text in pieces of one font each. Words written from right to left stand in reverse, as the page is filled from the
 * left; the letters of each word are turned by the font's own rules.
 */
export function letterRuns(text: string): readonly Run[] {
  const runs: { text: string; font: Cut }[] = [];
  for (const character of text.normalize("NFC")) {
    const last = runs.at(-1);
    const isBetween = last !== undefined && RIGHT_TO_LEFT.has(last.font) && character === " ";
    const font = isBetween ? last.font : cutOf(character);
    if (last?.font === font) last.text += character;
    else runs.push({ text: character, font });
  }
  return runs.flatMap(({ text: piece, font }): Run[] => {
    if (!RIGHT_TO_LEFT.has(font)) return [{ text: piece, font }];
    const space: Run = { text: " ", font: "Letters" };
    const words = piece.trimEnd().split(" ").reverse();
    // A space inside such a word would be turned with its letters.
    const turned = words.flatMap((word, index): Run[] => [
      ...(index === 0 ? [] : [space]),
      { text: word, font },
    ]);
    const after = piece.length - piece.trimEnd().length;
    return [...turned, ...Array.from({ length: after }, () => space)];
  });
}
