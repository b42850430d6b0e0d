import { ok } from "@/core/result";
import type { Completion } from "../../completion";

/** A line that took nothing away is struck out without a reason. */
export const complete: Completion<"struck"> = (draft) =>
  ok({ payload: { ...draft, reason: draft.reason ?? "none" } });
