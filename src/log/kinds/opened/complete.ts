import { fail, issue, ok } from "@/core/result";
import type { Completion } from "../../completion";

/** A cover is one of the knowledge, or said to be none of them: its name alone never decides what lies open. */
export const complete: Completion<"opened"> = (payload, { shop }) => {
  const { access } = shop.knowledge;
  if (payload.is === "none" || access.some(({ id }) => id === payload.is)) return ok({ payload });
  return fail(
    issue(
      "payload.is",
      "unknown/access",
      `"${payload.is}" is no cover: say which of ${access.map(({ id }) => id).join(", ")} it is, or none.`,
      payload.is,
    ),
  );
};
