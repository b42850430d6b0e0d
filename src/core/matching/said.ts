import { formatPercent } from "../quantity/format";
import type { Family } from "./family";
import type { AttributeFit, FitReason } from "./judge";
import { formatValue } from "./typed";

type ShelfCode = "too-few" | "used" | "used-untested" | "used-never";
type Told = (reason: Readonly<Record<"needed" | "offered" | "share", string>>) => string;

/** A sentence a code; `never` and `instead` have the family's own. */
const WORDS: Readonly<Record<Exclude<FitReason["code"], "never" | "instead" | ShelfCode>, Told>> = {
  same: ({ offered }) => `${offered}, the same.`,
  better: ({ offered, needed }) => `${offered}, better than ${needed}.`,
  trim: ({ offered, needed }) => `${offered}: take it down to ${needed}.`,
  off: ({ offered, share }) => `${offered}, ${share} off: measure the running current, or look that it sits.`,
  "off-for-a-while": ({ offered, share }) => `${offered}, ${share} off: for a while only, with an end date.`,
  "only-here": ({ offered }) => `${offered}; of the old one it is not known.`,
  "lower-but-near": ({ offered, needed }) => `${offered} for ${needed}: near enough.`,
  more: ({ offered, needed }) =>
    `${offered}, more than ${needed}: look at what it drives, its fuse and its cord.`,
  "step-up": ({ offered }) =>
    `${offered}, a step up: check that the switch drops out, and the running current.`,
  "same-range": ({ offered }) => `${offered}: the same range by another name.`,
  "newer-number": ({ offered, needed }) => `${offered}, by the maker's own list in place of ${needed}.`,
  "older-number": ({ offered, needed }) => `${offered}: an older one, which the maker replaced by ${needed}.`,
  "other-number": ({ offered, needed }) => `${offered}, not ${needed}: only its sizes speak for it.`,
  other: ({ offered, needed }) => `${offered}, where ${needed} is needed.`,
  "size-off": ({ offered, needed }) => `${offered}, where ${needed} is needed.`,
  "too-far-off": ({ offered, share }) => `${offered}, ${share} off.`,
  under: ({ offered, needed }) => `${offered} is under the ${needed} needed.`,
  over: ({ offered, needed }) => `${offered} is over the ${needed} allowed.`,
  "far-under": ({ offered, needed }) => `${offered} is far under ${needed}.`,
  "lower-class": ({ offered, needed }) => `${offered} is lower than ${needed}.`,
  "too-short": ({ offered, needed }) => `${offered} is too short for ${needed}.`,
  "holds-figure": ({ offered, needed }) => `${offered} holds the ${needed} that is printed.`,
  "reaches-lower": ({ offered, needed }) =>
    `${offered} holds the ${needed} that is printed, at its upper end: it may start weaker.`,
  "range-lower": ({ offered, needed }) => `${offered} reaches under ${needed}: a weak start.`,
  "range-higher": ({ offered, needed }) => `${offered} reaches too far above ${needed}: too much current.`,
  "not-stated": ({ needed }) => `Not stated; ${needed} is needed.`,
  "not-known": ({ offered }) => `Not known yet of the old one; this is ${offered}.`,
};

/** What is said of a part that lies on the shelf. */
const SHELF_WORDS: Readonly<Record<ShelfCode, (note: string) => string>> = {
  "too-few": (note) => `Only ${note} lie on the shelf.`,
  used: (note) => `Used, out of the ${note}`,
  "used-untested": (note) =>
    `Used, out of the ${note}, and not tested: test it and write that down on the Shelf.`,
  "used-never": (note) => note,
};

const isOfShelf = (code: FitReason["code"]): code is ShelfCode => Object.hasOwn(SHELF_WORDS, code);

/** Why an attribute of a part fits or does not, in a sentence. */
export function fitWords(family: Family, { id, reason }: AttributeFit): string {
  if (reason.code === "never") return family.never.find((one) => one.id === reason.note)?.said ?? "";
  if (isOfShelf(reason.code)) return SHELF_WORDS[reason.code](reason.note ?? "");
  if (reason.code === "instead") return family.notes[reason.note ?? ""] ?? "";
  const spec = family.attributes[id];
  const word = (value: FitReason["needed"]): string =>
    spec && value !== undefined ? formatValue(spec, value) : "nothing stated";
  const said = WORDS[reason.code]({
    needed: word(reason.needed),
    offered: word(reason.offered),
    share: formatPercent(reason.share ?? 0),
  });
  return `${spec?.label ?? id}: ${said}`;
}
