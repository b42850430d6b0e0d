import type { Access } from "../knowledge/types";
import type { JobView } from "./log/view";

/** What stands open, as the access that moves ask for: as it was said, or by its exact name in lines of before. */
export function openedAccess(
  { ledger }: Pick<JobView, "ledger">,
  opened: readonly string[],
  access: readonly Access[],
): string[] {
  return opened.flatMap((name) => {
    const line = ledger.findLast(
      (one) => one.kind === "opened" && !one.isStruck && one.payload.access === name,
    );
    const said = line?.kind === "opened" ? line.payload.is : "not-said";
    const found =
      said === "not-said"
        ? access.find(({ names }) => names.includes(name.trim().toLowerCase()))
        : access.find(({ id }) => id === said);
    return found ? [found.id] : [];
  });
}
