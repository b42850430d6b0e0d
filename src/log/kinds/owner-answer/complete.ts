import { fail, issue, ok } from "@/core/result";
import type { Completion } from "../../completion";

/** What was not said is empty; where a no leads is said of a no only. */
export const complete: Completion<"owner-answer"> = ({ priceMinor, byDay, leadsTo, words, ...said }) => {
  if (leadsTo && said.answer !== "no")
    return fail(
      issue(
        "payload.leadsTo",
        "owner/leads-of-no-no",
        `"${leadsTo}" follows from a no; the answer was "${said.answer}".`,
        leadsTo,
      ),
    );
  return ok({
    payload: {
      ...said,
      priceMinor: priceMinor ?? null,
      byDay: byDay ?? null,
      leadsTo: leadsTo ?? "",
      words: words ?? "",
    },
  });
};
