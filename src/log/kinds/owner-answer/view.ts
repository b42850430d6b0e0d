import { latestBy } from "@/core/job/log/lines";
import { fold, type Line, ofThisVisit } from "../../view-part";

export const view = {
  /** Questions that nobody answered yet. */
  questions: fold<"owner-answer", readonly Line<"owner-answer">[]>([], (lines) =>
    latestBy(lines, ({ question }) => question).filter(({ answer }) => answer === "asked"),
  ),
  /** What the owner answered last on this visit; null while nothing was answered. */
  ownerSaid: ofThisVisit(
    fold<"owner-answer", Line<"owner-answer"> | null>(
      null,
      (lines) => lines.findLast(({ answer }) => answer !== "asked") ?? null,
    ),
  ),
};
