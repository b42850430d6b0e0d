import { issue } from "@/core/result";
import type { Guard } from "../../guard";

export const guard: Guard<"reopened"> = (_, view) => {
  if (view.signedOff) return [];
  return [issue("payload", "guard/not-signed-off", "This job is open: it is not signed off.")];
};
