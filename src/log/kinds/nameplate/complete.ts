import { parseCapacitorMark } from "@/core/markings/capacitor";
import { at, fail, ok } from "@/core/result";
import type { Completion } from "../../completion";

/** A capacitor's marking must be one that can be read. */
export const complete: Completion<"nameplate"> = (payload) => {
  if (payload.plate !== "capacitor") return ok({ payload });
  const parsed = parseCapacitorMark(payload.mark);
  return parsed.ok ? ok({ payload }) : fail(...at("payload.mark", parsed.issues));
};
