import { normaliseSigns, parseReading } from "../quantity/parse-reading";
import type { Reading } from "../quantity/reading";
import { fail, issue, ok, type Result } from "../result";

/** Two leads by their names, with the ohms between them where they were typed. */
export interface LeadPair {
  readonly a: string;
  readonly b: string;
  readonly reading: Reading | undefined;
}

/** Letters of any language: green-white, grün, 1/2. */
const NAME = "[\\p{L}\\p{N}][\\p{L}\\p{N}/]{0,19}";
const PAIR = new RegExp(
  `^(${NAME})\\s*(?:-|–|(?<=\\s)to(?=\\s)|(?<=\\s)and(?=\\s))\\s*(${NAME})(?:\\s*[:=]\\s*|\\s+|$)(.*)$`,
  "iu",
);

/**
 * A pair of leads as it is typed at the bench, with or without its ohms. Ohms.
 * @example parseLeadPair("red-blue 12.4") // red, blue, 12.4 Ω
 */
export function parseLeadPair(typed: string): Result<LeadPair> {
  const found = PAIR.exec(normaliseSigns(typed).trim());
  const [, a = "", b = "", rest = ""] = found ?? [];
  if (!found)
    return fail(
      issue(
        "",
        "leads/unreadable",
        `"${typed}" names no pair of leads: write it as red-blue, or red-blue 12.4.`,
        typed,
      ),
    );
  if (a.toLowerCase() === b.toLowerCase())
    return fail(issue("", "leads/pair", `"${typed}" is one lead: name two different ones.`, typed));
  if (rest.trim() === "") return ok({ a, b, reading: undefined });
  const read = parseReading(rest, "resistance", `${a} to ${b}`);
  return read.ok ? ok({ a, b, reading: read.value.reading }) : read;
}

/** The pair as it is typed: reading it again gives the same. */
export function leadPairText({ a, b, reading }: LeadPair): string {
  const ohms = reading && "entered" in reading ? ` ${reading.entered}` : "";
  return `${a}-${b}${ohms}`;
}
