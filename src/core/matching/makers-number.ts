import { fail, issue, ok, type Result } from "../result";
import type { AttributeSpec } from "./family";

/** Between a number and those that it replaces, the newest first. */
const OLDER = "<";
const NUMBER = /^[A-Z0-9][A-Z0-9 ./-]{0,38}$/;

/** The maker's number of a part: no rule of sizes follows from it, and none is passed over for it. */
export const MAKERS_NUMBER: AttributeSpec = {
  label: "Maker's number",
  rule: { kind: "number" },
  isHard: false,
  how: "On the part, or in the machine's list of parts; with the older ones it replaces.",
  minutes: 2,
};

const tidied = (text: string): string =>
  text
    .normalize("NFKC")
    .replace(/[‐-―−]/g, "-")
    .replace(/\s+/g, " ")
    .trim()
    .toUpperCase();

/**
 * A maker's number with those that it replaces, as one word.
 * @example parseNumber("41-220 replaces 41-200, 41-118") // "41-220<41-200<41-118"
 */
export function parseNumber(text: string, label: string): Result<string> {
  const [first = "", ...rest] = tidied(text).split(/\bREPLACES\b|[,;]/);
  const all = [first, ...rest].map((one) => one.trim());
  const isNumber = all.every((one) => NUMBER.test(one) && /\d/.test(one));
  const isOnce = new Set(all).size === all.length;
  if (isNumber && isOnce) return ok(all.join(OLDER));
  const told = isNumber ? "names a number as its own substitute" : "is no maker's number";
  return fail(
    issue(
      "",
      isNumber ? "number/own-substitute" : "number/unreadable",
      `${label} "${text}" ${told}: write 41-220, or 41-220 replaces 41-200.`,
      text,
    ),
  );
}

/** A maker's number as it is told; what is typed the same way means the same. */
export function formatNumber(value: string): string {
  const [newest = "", ...older] = value.split(OLDER);
  return older.length > 0 ? `${newest} replaces ${older.join(", ")}` : newest;
}

/** How an offered number stands to the one that is needed. */
export function compareNumbers(needed: string, offered: string): "same" | "newer" | "older" | "other" {
  const [[wanted = "", ...replaced], [newest = "", ...older]] = [needed.split(OLDER), offered.split(OLDER)];
  if (wanted === newest) return "same";
  if (older.includes(wanted)) return "newer";
  return replaced.includes(newest) ? "older" : "other";
}
