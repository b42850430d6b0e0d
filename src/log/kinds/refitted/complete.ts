import { NOT_SAID, protectionOf } from "@/core/job/reassembly/protective";
import { fail, issue, ok } from "@/core/result";
import type { Completion } from "../../completion";

/** What it protects follows from what came off; where that is not known, from what is said, which may be nothing. */
export const complete: Completion<"refitted"> = (draft, { view, shop }) => {
  const rows = shop.knowledge.protections;
  const { line, protects = NOT_SAID } = draft;
  const off = view.removed.find(({ seq }) => seq === line);
  const known = off && protectionOf(off, rows)?.id;
  if (known !== undefined) return ok({ payload: { ...draft, protects: known } });
  if (protects === NOT_SAID || rows.some(({ id }) => id === protects))
    return ok({ payload: { ...draft, protects } });
  return fail(
    issue(
      "payload.protects",
      "unknown/protection",
      `"${protects}" is no protection of the table: say one of ${rows.map(({ id }) => id).join(", ")}, or ${NOT_SAID}.`,
      protects,
    ),
  );
};
