import type { Pin } from "@/core/job/log/entry";
import type { JobView } from "@/core/job/log/view";
import { type Issue, issue } from "@/core/result";

/** A pin stands on a picture of this job. */
export function guardPin(view: JobView, pin: Pin | null, path: string): Issue[] {
  if (pin === null || view.pictures.some(({ seq }) => seq === pin.picture)) return [];
  return [issue(path, "guard/no-picture", `Line ${pin.picture} is no picture of this job.`, pin.picture)];
}
