import type { Protection } from "../../knowledge/types";
import type { Removed } from "../log/entry";

/** What keeps nobody from harm, as the table calls it. */
export const HARMLESS = "none";
/** Nobody said which it is: it counts as protective. */
export const NOT_SAID = "not-said";
/** Lines of before there was a table: they stay what their words made them then. */
export const BY_NAME = "by-name";

/** Words by which lines of before the table were taken for protective. */
const PROTECTIVE =
  /\b(guard|cover|shield|hood|earth|ground(ing)? (wire|strap|lead)|protector|interlock|thermal (fuse|cut-?out)|cut-?out|strain relief|cord grip|residual|brake)/i;

type Named = Pick<Removed, "sort" | "what" | "colour" | "terminal">;

const plain = (text: string): string => text.trim().toLowerCase();

/** Words apart from each other, however they were joined: "green/yellow" is "green yellow". */
const apart = (text: string): string => text.replace(/[^\p{L}\p{N}’']+/gu, " ").trim();

/** Whether a name, in the singular or the plural, stands as a whole in what was written. */
function says(what: string, name: string): boolean {
  const words = ` ${apart(what)} `;
  return words.includes(` ${apart(name)} `) || words.includes(` ${apart(name)}s `);
}

/** A colour as it was written: with its joints, "and" and "stripe" left out. */
const colourOf = (colour: string): string =>
  apart(plain(colour))
    .split(" ")
    .filter((word) => !/^(and|with|stripe[sd]?)$/.test(word))
    .join("-");

/** The longest name that stands in what was written: "thermal fuse" before "fuse". */
function byName(what: string, rows: readonly Protection[]): Protection | undefined {
  const found = rows
    .filter(({ id }) => id !== HARMLESS)
    .flatMap((row) => row.names.filter((name) => says(what, name)).map((name) => ({ row, name })))
    .sort((one, other) => other.name.length - one.name.length);
  return found[0]?.row;
}

/**
 * Which protection came off, by colour, terminal, name or its being a cover; `none` for what is known to keep nobody from
 * harm; nothing where that has to be asked.
 */
export function protectionOf(
  { sort, what, colour, terminal }: Named,
  rows: readonly Protection[],
): Protection | undefined {
  const byColour = rows.find(
    ({ colours = [], terminals = [] }) =>
      colours.includes(colourOf(colour)) ||
      (sort === "wire" && (terminals.includes(plain(terminal)) || terminals.includes(plain(what)))),
  );
  const named = byColour ?? byName(plain(what), rows);
  if (named) return named;
  if (sort === "cover") return rows.find(({ id }) => id === "cover");
  const harmless = rows.find(({ id }) => id === HARMLESS);
  return harmless?.names.some((name) => plain(what) === name || plain(what) === `${name}s`)
    ? harmless
    : undefined;
}

/** Whether what was left out keeps someone from harm, by what its line says it protects. */
export function isProtective(protects: string, { sort, what }: Pick<Removed, "sort" | "what">): boolean {
  if (protects !== BY_NAME) return protects !== HARMLESS;
  return sort === "cover" || (sort !== "fastener" && PROTECTIVE.test(what));
}
