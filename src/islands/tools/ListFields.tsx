import { QUANTITIES } from "@/core/quantity/reading";
import type { SequenceSpec, SeriesSpec } from "@/core/tools/field.input";
import { rowsOf, wordsOf } from "@/drawing/typed";
import type { ToolSheetModel } from "./use-tool-sheet";

interface SeriesProps {
  readonly model: ToolSheetModel;
  readonly id: string;
  readonly field: SeriesSpec<unknown>;
}

const EMPTY_ROW = { at: "", reading: "" };

/** Readings one after the other, each with its seconds; a line more stands ready until all are used. */
export function SeriesField({ model, id, field }: SeriesProps) {
  const kept = rowsOf(model.draft, id);
  const rows = kept.length < field.most ? [...kept, EMPTY_ROW] : kept;
  const { symbol } = QUANTITIES[field.quantity].bare;
  const change = (index: number, part: Partial<typeof EMPTY_ROW>): void => {
    const next = rows.map((row, at) => (at === index ? { ...row, ...part } : row));
    model.set({ [id]: next.filter(({ at, reading }) => `${at}${reading}` !== "") });
  };
  return (
    <fieldset>
      <legend className="label-line">{field.label}</legend>
      {rows.map((row, index) => {
        const error = model.problemOf(`${id}.${index}.at`) ?? model.problemOf(`${id}.${index}.reading`);
        return (
          // Lines have no name but their place: one is only ever added at the end.
          // biome-ignore lint/suspicious/noArrayIndexKey: see above
          <div key={index} className="mb-2">
            <div className="grid max-w-[460px] grid-cols-[84px_max-content_minmax(0,1fr)_max-content] items-center gap-2">
              <input
                className="input num text-xl"
                aria-label={`Seconds after switch-off, line ${index + 1}`}
                data-testid={`${id}-at-${index}`}
                autoComplete="off"
                placeholder="s"
                value={row.at}
                onChange={(event) => change(index, { at: event.target.value })}
              />
              <span className="text-soft">s after</span>
              <input
                className="input num font-semibold text-2xl"
                aria-label={`${field.label}, line ${index + 1}`}
                data-testid={`${id}-reading-${index}`}
                autoComplete="off"
                placeholder={symbol}
                value={row.reading}
                onChange={(event) => change(index, { reading: event.target.value })}
                onKeyDown={(event) => event.key === "Enter" && model.tryKeep()}
              />
              <span className="text-soft">{symbol}</span>
            </div>
            {error ? (
              <p role="alert" className="mt-1 font-semibold text-oxide">
                {error}
              </p>
            ) : null}
          </div>
        );
      })}
    </fieldset>
  );
}

interface SequenceProps {
  readonly model: ToolSheetModel;
  readonly id: string;
  readonly field: SequenceSpec<unknown>;
}

/** A few of the same choices in order: tapped one after the other, the last taken back with one tap. */
export function SequenceField({ model, id, field }: SequenceProps) {
  const chosen = wordsOf(model.draft, id);
  const isFull = chosen.length >= field.most;
  const labelOf = (value: string): string =>
    field.choices.find((choice) => choice.value === value)?.label ?? value;
  return (
    <fieldset>
      <legend className="label-line">{field.label}</legend>
      <p className="mb-2 flex min-h-11 flex-wrap items-center gap-x-3" data-testid={id}>
        {chosen.length === 0 ? (
          <span className="text-soft">None yet</span>
        ) : (
          <b className="text-xl">{chosen.map(labelOf).join(", ")}</b>
        )}
        {chosen.length > 0 ? (
          <button
            type="button"
            className="min-h-11 text-teal underline underline-offset-4"
            onClick={() => model.set({ [id]: chosen.slice(0, -1) })}
          >
            take the last back
          </button>
        ) : null}
      </p>
      <div className="flex flex-wrap gap-2">
        {field.choices.map(({ value, label }) => (
          <button
            key={value}
            type="button"
            className="chip"
            disabled={isFull}
            onClick={() => model.set({ [id]: [...chosen, value] })}
          >
            {label}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
