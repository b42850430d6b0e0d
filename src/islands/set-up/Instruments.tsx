import { newId } from "../state/person";
import type { InstrumentDraft } from "./use-set-up";

interface InstrumentsProps {
  readonly rows: readonly InstrumentDraft[];
  problemOf(path: string): string | undefined;
  onRows(rows: readonly InstrumentDraft[]): void;
}

const QUANTITIES = ["capacitance", "resistance", "insulation", "voltage", "current"] as const;
const COLUMNS = [
  { key: "label", label: "Meter" },
  { key: "upTo", label: "Range up to" },
  { key: "percent", label: "% of reading" },
  { key: "counts", label: "Counts" },
  { key: "resolution", label: "Last digit" },
] as const;

interface RowProps extends Pick<InstrumentsProps, "problemOf"> {
  readonly row: InstrumentDraft;
  readonly index: number;
  change(change: Partial<InstrumentDraft>): void;
  remove(): void;
}

function Row({ row, index, problemOf, change, remove }: RowProps) {
  const problems = COLUMNS.map(({ key }) => problemOf(`instruments.${index}.${key}`)).filter(
    (one) => one !== undefined,
  );
  const name = `${row.label || "meter"} ${index + 1}`;
  return (
    <li className="border-rule border-t py-2">
      <div className="grid grid-cols-2 items-end gap-2 md:grid-cols-[minmax(0,2fr)_150px_110px_110px_90px_110px_130px_90px]">
        {COLUMNS.slice(0, 1).map(({ key, label }) => (
          <input
            key={key}
            className="input col-span-2 md:col-span-1"
            aria-label={`${label}, ${name}`}
            value={row[key]}
            onChange={(event) => change({ [key]: event.target.value })}
          />
        ))}
        <select
          className="select"
          aria-label={`It reads, ${name}`}
          value={row.quantity}
          onChange={(event) => change({ quantity: event.target.value as InstrumentDraft["quantity"] })}
        >
          {QUANTITIES.map((quantity) => (
            <option key={quantity}>{quantity}</option>
          ))}
        </select>
        {COLUMNS.slice(1).map(({ key, label }) => (
          <input
            key={key}
            className="input num"
            aria-label={`${label}, ${name}`}
            placeholder={label}
            value={row[key]}
            onChange={(event) => change({ [key]: event.target.value })}
          />
        ))}
        <select
          className="select"
          aria-label={`How it measures capacitance, ${name}`}
          disabled={row.quantity !== "capacitance"}
          value={row.mode}
          onChange={(event) => change({ mode: event.target.value as InstrumentDraft["mode"] })}
        >
          <option value="ramp">by a ramp</option>
          <option value="series">by a tone</option>
        </select>
        <button
          type="button"
          className="min-h-11 text-teal underline underline-offset-4"
          onClick={remove}
          aria-label={`Take out ${name}`}
        >
          take out
        </button>
      </div>
      {problems.map((problem) => (
        <p key={problem} role="alert" className="mt-1 font-semibold text-oxide">
          {problem}
        </p>
      ))}
    </li>
  );
}

const NEW_ROW: Omit<InstrumentDraft, "id"> = {
  label: "",
  quantity: "capacitance",
  upTo: "",
  percent: "",
  counts: "",
  resolution: "",
  mode: "ramp",
};

/** The meters of the shop, a line a range, with the accuracy from their sheets. */
export function Instruments({ rows, problemOf, onRows }: InstrumentsProps) {
  return (
    <section aria-label="Instruments">
      <h2 className="font-bold text-lg">Instruments, a line a range</h2>
      <p className="text-soft">
        The accuracy from the meter's sheet decides when a reading is inside, outside, or too close to tell.
      </p>
      <div
        className="mt-2 hidden gap-2 text-soft md:grid md:grid-cols-[minmax(0,2fr)_150px_110px_110px_90px_110px_130px_90px]"
        aria-hidden="true"
      >
        {["Meter", "It reads", "Range up to", "% of reading", "Counts", "Last digit", "Capacitance"].map(
          (label) => (
            <span key={label}>{label}</span>
          ),
        )}
      </div>
      <ul>
        {rows.map((row, index) => (
          <Row
            key={row.id}
            row={row}
            index={index}
            problemOf={problemOf}
            change={(change) => onRows(rows.map((one) => (one.id === row.id ? { ...one, ...change } : one)))}
            remove={() => onRows(rows.filter(({ id }) => id !== row.id))}
          />
        ))}
      </ul>
      <button
        type="button"
        className="btn btn-outline mt-2"
        onClick={() => onRows([...rows, { ...NEW_ROW, id: newId() }])}
      >
        Add a range
      </button>
    </section>
  );
}
