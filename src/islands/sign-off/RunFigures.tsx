import { FIGURES, type FigureId, type RunDraft } from "./run-draft";

interface FiguresProps {
  readonly draft: RunDraft;
  set(change: Partial<RunDraft>): void;
}

/** Pairs before and after the repair; a figure that was not taken is left out, never guessed. */
export function RunFigures({ draft, set }: FiguresProps) {
  const chosen = FIGURES.filter(({ id }) => draft.figures[id] !== undefined);
  const rest = FIGURES.filter(({ id }) => draft.figures[id] === undefined);
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
