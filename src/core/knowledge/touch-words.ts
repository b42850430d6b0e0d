import { type Issue, issue } from "../result";
import { repairTouches, type Touch } from "./touches";
import type { Knowledge, TouchWords } from "./types";

/** A page as its words and its touches are held against each other. */
interface Page {
  readonly file: string;
  readonly id: string;
  readonly words: string;
  readonly touches: readonly Touch[];
  /** Words that mean something else here, each with what it means. */
  readonly otherSense: Readonly<Record<string, string>>;
}

/** What nobody's hands go to: words about it are about another time. */
const NO_HANDS: ReadonlySet<Touch> = new Set<Touch>(["past", "marking"]);
/** Touches that no single word says: that hands go inside follows from what is looked at there. */
const SAID_BY_MORE: ReadonlySet<string> = new Set(["inside", "outlet"]);

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, "\\$&");

function has(words: string, form: string): boolean {
  return new RegExp(`(^|[^\\p{L}-])${escaped(form)}(?![\\p{L}-])`, "u").test(words);
}

/** The text without what says nothing of touching. */
function bare(words: string, silent: readonly string[]): string {
  return silent.reduce((text, phrase) => text.replaceAll(phrase, " "), words.toLowerCase());
}

function unsaid({ file, id, words, touches, otherSense }: Page, row: TouchWords): Issue[] {
  if (touches.some((one) => row.touches.includes(one))) return [];
  const text = bare(words, row.silent);
  const said = row.forms.filter((form) => has(text, form) && otherSense[form] === undefined);
  return said.map((form) =>
    issue(
      file,
      "knowledge/touch-unsaid",
      `${file}.yaml: "${id}" says "${form}" and touches ${touches.join(", ")} alone: add ${row.touches.join(" or ")}, or say under otherSense what else "${form}" means here.`,
      form,
    ),
  );
}

function needless({ file, id, words, touches }: Page, row: TouchWords): Issue[] {
  const own = touches.find((one) => one === row.id);
  if (own === undefined || SAID_BY_MORE.has(row.id)) return [];
  const text = bare(words, []);
  if ([...row.forms, ...row.saidBy].some((form) => has(text, form))) return [];
  return [
    issue(
      file,
      "knowledge/touch-needless",
      `${file}.yaml: "${id}" touches ${own}, and none of its words needs that: leave it out, or say what is done.`,
      own,
    ),
  ];
}

function otherSenses({ file, id, words, otherSense }: Page, rows: readonly TouchWords[]): Issue[] {
  const known = new Set(rows.flatMap(({ forms }) => forms));
  return Object.keys(otherSense)
    .filter((form) => !known.has(form) || !has(words.toLowerCase(), form))
    .map((form) =>
      issue(
        file,
        "knowledge/touch-other-sense",
        `${file}.yaml: "${id}" explains "${form}", which it does not say or no row of touchWords asks for.`,
        form,
      ),
    );
}

type Tables = Pick<Knowledge, "moves" | "deadChecks" | "repairs" | "touchWords">;

function pagesOf({ moves, deadChecks, repairs }: Tables): Page[] {
  const page = (
    file: string,
    words: string,
    {
      id,
      touches,
      otherSense = {},
    }: Pick<Page, "id" | "touches"> & { readonly otherSense?: Page["otherSense"] | undefined },
  ): Page => ({ file, id, words, touches, otherSense });
  return [
    ...moves.map((move) => page(`moves/${move.id}`, `${move.title}. ${move.how}`, move)),
    ...deadChecks.map((check) => page("tables/deadChecks", `${check.label}. ${check.how}`, check)),
    ...repairs.map((row) => page("tables/repairs", row.label, { ...row, touches: repairTouches(row) })),
  ];
}

/**
 * Every page that turns, spins, pushes, runs, plugs in or reaches says so in what it touches, and none says it without
 * need: what has to be settled beforehand follows from it and nothing else.
 */
export function touchIssues(tables: Tables): Issue[] {
  const rows = tables.touchWords;
  return pagesOf(tables)
    .filter(({ touches }) => touches.some((one) => !NO_HANDS.has(one)))
    .flatMap((page) => [
      ...rows.flatMap((row) => unsaid(page, row)),
      // What is done to a repair's part is not all in its name.
      ...(page.file === "tables/repairs" ? [] : rows.flatMap((row) => needless(page, row))),
      ...otherSenses(page, rows),
    ]);
}
