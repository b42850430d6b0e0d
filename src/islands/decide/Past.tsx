import type { Route } from "@/core/decision/routes";
import { isEnd } from "@/core/decision/schools";

/** How the shop's own closed jobs that were decided alike have ended. */
export interface PastRow {
  readonly route: string;
  readonly repair: string;
  readonly closed: number;
  readonly repaired: number;
  readonly cameBack: number;
}

interface PastProps {
  readonly past: readonly PastRow[];
  readonly chosen: Route;
}

const jobs = (count: number): string => (count === 1 ? "One closed job" : `${count} closed jobs`);

/** What the shop's own closed jobs say of what is to be done first. */
export function Past({ past, chosen }: PastProps) {
  const repair = chosen.steps[0]?.action.repairs[0];
  const alike = past.filter((row) =>
    isEnd(chosen) ? row.route === chosen.id : repair !== undefined && row.repair === repair,
  );
  const sum = (of: "closed" | "repaired" | "cameBack"): number =>
    alike.reduce((all, row) => all + row[of], 0);
  if (sum("closed") === 0) return null;
  const ended = isEnd(chosen) ? "" : `: ${sum("repaired")} left repaired, ${sum("cameBack")} came back`;
  return (
    <p className="mt-2 text-soft" data-testid="past">
      {jobs(sum("closed"))} of this shop {isEnd(chosen) ? "ended so" : "began so"}
      {ended}.
    </p>
  );
}
