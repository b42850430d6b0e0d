import { describe, expect, it } from "vitest";
import { type Mark, SHEET } from "@/core/matching/drawing";
import { allFamilies } from "@/parts/registry";

/** Width of a letter and height of a line as they are drawn. */
const LETTER = 6.6;
const LINE = 15;
const ASCENT = 10;
/** Letters of a short value, such as "15 mm". */
const VALUE = 5;

interface Box {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

function boxOf({ label: [x, y], anchor }: Mark, words: string): Box {
  const width = Math.max(words.length, VALUE) * LETTER;
  const left = anchor === "start" ? x : anchor === "end" ? x - width : x - width / 2;
  return { left, right: left + width, top: y - ASCENT, bottom: y + LINE + 2 };
}

const meet = (one: Box, other: Box): boolean =>
  one.left < other.right && other.left < one.right && one.top < other.bottom && other.top < one.bottom;

const families = await allFamilies();

describe.each(families.map((family) => [family.id, family] as const))("the drawing of a %s", (_, family) => {
  const { drawing, attributes } = family;
  const labelOf = (of: string): string => drawing.words?.[of] ?? attributes[of]?.label ?? "";

  it("shows where each length is measured, and nothing that the part has not", () => {
    const marked = drawing.marks.map(({ of }) => of);
    expect(marked.filter((of) => !Object.hasOwn(attributes, of))).toEqual([]);
    expect(new Set(marked).size).toBe(marked.length);
    const lengths = Object.keys(attributes).filter((id) => attributes[id]?.unit === "m");
    expect(lengths.filter((id) => !marked.includes(id))).toEqual([]);
    expect(Object.keys(drawing.words ?? {}).filter((of) => !marked.includes(of))).toEqual([]);
  });

  it("keeps its words on the sheet and apart from each other", () => {
    const boxes = drawing.marks.map((mark) => ({ of: mark.of, box: boxOf(mark, labelOf(mark.of)) }));
    for (const { of, box } of boxes) {
      expect([of, box.left >= 0, box.right <= SHEET.width + 2]).toEqual([of, true, true]);
      expect([of, box.top >= 0, box.bottom <= SHEET.height]).toEqual([of, true, true]);
    }
    const meeting = boxes.flatMap((one, index) =>
      boxes
        .slice(index + 1)
        .flatMap((other) => (meet(one.box, other.box) ? [`${one.of} on ${other.of}`] : [])),
    );
    expect(meeting).toEqual([]);
  });

  it("has lines to draw, all of them on the sheet", () => {
    expect(drawing.shapes.length).toBeGreaterThan(0);
    const places = drawing.marks.flatMap(({ from, to }) => [from, to]);
    expect(places.filter(([x, y]) => x < 0 || y < 0 || x > SHEET.width || y > SHEET.height)).toEqual([]);
    expect(drawing.told.length).toBeGreaterThan(40);
  });
});
