/** A point of a drawing, in the units of its sheet. */
export type Point = readonly [x: number, y: number];

export const SHEET = { width: 320, height: 200 } as const;

/** What a line of a drawing is of. */
export type Look = "body" | "dark" | "hole" | "line" | "hidden";

export interface Shape {
  readonly d: string;
  readonly look: Look;
}

/** Where an attribute is found: between two points, or at one. */
export interface Mark {
  readonly of: string;
  readonly kind: "size" | "point";
  readonly from: Point;
  readonly to: Point;
  /** Where its words stand, and which way they run from there. */
  readonly label: Point;
  readonly anchor: "start" | "middle" | "end";
}

/** What of a part is measured, and where: each attribute that a caliper, a tape or an eye finds on the part itself. */
export interface Drawing {
  /** The whole in a sentence, for those who cannot see it. */
  readonly told: string;
  readonly shapes: readonly Shape[];
  readonly marks: readonly Mark[];
  /** Shorter words for labels that are too long for a sheet. */
  readonly words?: Readonly<Record<string, string>>;
}

/** Room for the two lines of a mark's words. */
const LINES = 31;
const BESIDE = 7;
/** From the beginning of words to where their line begins. */
const INSET = 14;
/** The highest that words stand. */
const TOP = 13;
/** Words of a size at the edge of the sheet begin here. */
const EDGE = 8;

export const path = (d: string, look: Look = "body"): Shape => ({ d, look });

export const box = (x: number, y: number, width: number, height: number, look: Look = "body"): Shape =>
  path(`M${x} ${y} h${width} v${height} h${-width} z`, look);

export const disc = (x: number, y: number, radius: number, look: Look = "body"): Shape =>
  path(
    `M${x - radius} ${y} a${radius} ${radius} 0 1 0 ${2 * radius} 0 a${radius} ${radius} 0 1 0 ${-2 * radius} 0 z`,
    look,
  );

/** A level size, with its words above or below it. */
export const across = (
  of: string,
  y: number,
  from: number,
  to: number,
  words: "above" | "below" = "below",
): Mark => ({
  of,
  kind: "size",
  from: [from, y],
  to: [to, y],
  label: [(from + to) / 2, words === "below" ? y + 17 : y - LINES + 8],
  anchor: "middle",
});

/** An upright size, with its words left or right of it, or over it at the edge of the sheet. */
export function tall(
  of: string,
  x: number,
  from: number,
  to: number,
  words: "left" | "right" | "over" = "right",
): Mark {
  const size = { of, kind: "size", from: [x, from], to: [x, to] } as const;
  if (words === "over") return { ...size, label: [EDGE, Math.max(TOP, from - 20)], anchor: "start" };
  return {
    ...size,
    label: [words === "right" ? x + BESIDE : x - BESIDE, (from + to) / 2 - 2],
    anchor: words === "right" ? "start" : "end",
  };
}

/** A size that runs aslant, with its words where there is room. */
export const aslant = (
  of: string,
  from: Point,
  to: Point,
  label: Point,
  anchor: Mark["anchor"] = "start",
): Mark => ({
  of,
  kind: "size",
  from,
  to,
  label,
  anchor,
});

/** From the words' own side that is nearer: above or below them. */
const aboveOrBelow = (label: number, place: number): number => (place > label ? label + 20 : label - 14);

/** A place that is looked at or read, and where its words stand: beside the place, or well above or below it. */
export function at(of: string, place: Point, label: Point, anchor: Mark["anchor"] = "start"): Mark {
  const [x, y] = label;
  const isBeside = anchor === "start" && place[0] < x;
  const inset = anchor === "start" ? INSET : 0;
  const to: Point = isBeside ? [x - 4, y + 3] : [x + inset, aboveOrBelow(y, place[1])];
  return { of, kind: "point", from: place, to, label, anchor };
}

/** A wheel with so many teeth, arms or blades, between two radii. */
export function toothed(x: number, y: number, inner: number, outer: number, teeth: number): string {
  const turn = (2 * Math.PI) / teeth;
  const place = (radius: number, angle: number): string =>
    `${(x + radius * Math.cos(angle)).toFixed(1)} ${(y + radius * Math.sin(angle)).toFixed(1)}`;
  const tooth = (index: number): string => {
    const angle = index * turn;
    return [
      place(inner, angle),
      place(outer, angle + turn * 0.15),
      place(outer, angle + turn * 0.42),
      place(inner, angle + turn * 0.57),
    ].join(" L");
  };
  return `M${Array.from({ length: teeth }, (_, index) => tooth(index)).join(" L")} z`;
}
