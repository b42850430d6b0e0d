import type { JobView } from "@/core/job/log/view";
import type { Limits, ResolvedLimit } from "@/core/knowledge/types";
import { formatText } from "@/core/quantity/format";
import { openDangers } from "@/core/safety/dangers/danger";
import { ANY_STOP, STOP_TIMED } from "@/core/safety/stop-time";
import { FIGURES, type FigureId, type RunDraft } from "./run-draft";

interface FiguresProps {
  readonly job: Pick<JobView, "machine" | "live">;
  readonly limits: Limits;
  readonly draft: RunDraft;
  set(change: Partial<RunDraft>): void;
}

/** How soon a machine of its kind stands still after the switch is off, and who says so. */
function StopLimit({ limit }: { readonly limit: ResolvedLimit | undefined }) {
  if (!limit) return null;
  return (
    <p className="col-span-full text-soft">
      At most {formatText(limit.value, limit.unit)} from the switch to standing still ({limit.source}
      {limit.reviewed ? "" : ", recalled, not checked"})
      {limit.id === ANY_STOP ? ", where it has a brake" : ""}.
    </p>
  );
}

/** Pairs before and after the repair; a figure that was not taken is left out, never guessed. */
export function RunFigures({ job, limits, draft, set }: FiguresProps) {
  const isStopOwed = openDangers(job.live.dangers).some(({ test }) => test === STOP_TIMED);
  const isShown = (id: FigureId): boolean => draft.figures[id] !== undefined || (id === "time" && isStopOwed);
  const chosen = FIGURES.filter(({ id }) => isShown(id));
  const rest = FIGURES.filter(({ id }) => !isShown(id));
  const change = (id: FigureId, side: "before" | "after", text: string): void => {
    const pair = draft.figures[id] ?? { before: "", after: "" };
    set({ figures: { ...draft.figures, [id]: { ...pair, [side]: text } } });
  };
  return (
    <fieldset className="mt-3">
      <legend className="label-line">Before and after the repair</legend>
      {chosen.map(({ id, label, unit }) => (
        <div key={id} className="mb-2 grid grid-cols-[110px_minmax(0,1fr)_minmax(0,1fr)] items-center gap-3">
          <span>
            {label} <span className="text-soft">{unit}</span>
          </span>
          {(["before", "after"] as const).map((side) => (
            <input
              key={side}
              className="input num"
              aria-label={`${label} ${side === "before" ? "before the repair" : "now"}`}
              placeholder={side === "before" ? "before" : "now"}
              value={draft.figures[id]?.[side] ?? ""}
              onChange={(event) => change(id, side, event.target.value)}
            />
          ))}
          {id === "time" ? <StopLimit limit={limits[job.machine.stop]} /> : null}
        </div>
      ))}
      <div className="flex flex-wrap gap-2">
        {rest.map(({ id, label }) => (
          <button
            key={id}
            type="button"
            className="btn btn-outline"
            onClick={() => set({ figures: { ...draft.figures, [id]: { before: "", after: "" } } })}
          >
            and {label.charAt(0).toLowerCase() + label.slice(1)}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
