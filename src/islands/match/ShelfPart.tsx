import { useEffect, useRef, useState } from "react";
import type { ShelfLine, StockLine, StockMove } from "@/core/matching/shelf.input";
import { formatInstant } from "@/core/quantity/format";
import { parseMoney } from "@/core/quantity/money";
import { Problem } from "../fields/Problem";
import { TextField } from "../fields/TextField";
import { request } from "../state/api";
import { useDraft } from "../state/draft";
import { benchName, newId } from "../state/person";
import { shownMoney } from "./shown-money";

interface ShelfPartProps {
  readonly part: ShelfLine;
  readonly currency: string;
  readonly zone: string;
  /** The shelf may be another now. */
  onMoved(): Promise<void>;
}

const REASONS: ReadonlyMap<string, string> = new Map([
  ["put-in", "put in"],
  ["counted", "counted anew"],
  ["taken-out", "taken out"],
  ["taken-back", "taken back"],
]);

/** The number of the move that takes another back: always the same, so that two devices take it back once. */
const oppositeOf = (moveId: string): string =>
  moveId.replace(/^[0-9a-f]/, (digit) => (15 - Number.parseInt(digit, 16)).toString(16));

function lineWords({ count, reason, jobId }: StockLine): string {
  if (jobId !== null)
    return count < 0 ? `${-count} taken for job ${jobId}` : `${count} back from job ${jobId}`;
  return `${Math.abs(count)} ${REASONS.get(reason) ?? reason}`;
}

/** What came and went, newest first; the last one by hand can be taken back. */
function Moves({
  part,
  zone,
  onTakeBack,
}: Pick<ShelfPartProps, "part" | "zone"> & { onTakeBack(line: StockLine): void }) {
  const [moves, setMoves] = useState<readonly StockLine[]>([]);
  const { id, count } = part;
  // biome-ignore lint/correctness/useExhaustiveDependencies: another count means another move
  useEffect(() => {
    let isCurrent = true;
    void request("GET /api/shelf/{id}/moves", { params: { id } }).then((answer) => {
      if (isCurrent && answer.ok) setMoves(answer.value.moves);
    });
    return () => {
      isCurrent = false;
    };
  }, [id, count]);
  return (
    <ul aria-label="What came and went" className="mt-3">
      {moves.map((line, index) => (
        <li key={line.id} className="flex min-h-11 flex-wrap items-center gap-x-4 border-rule border-t py-1">
          <span className="grow">
            {line.jobId === null ? (
              lineWords(line)
            ) : (
              <a
                className="inline-flex min-h-11 items-center text-teal underline underline-offset-4"
                href={`/jobs/${line.jobId}/match`}
              >
                {lineWords(line)}
              </a>
            )}
            <span className="text-soft">
              {" "}
              {formatInstant(line.at, zone)}, {line.by}
            </span>
          </span>
          {index === 0 && line.jobId === null && line.reason !== "taken-back" ? (
            <button
              type="button"
              className="min-h-11 text-teal underline underline-offset-4"
              onClick={() => onTakeBack(line)}
            >
              take back
            </button>
          ) : null}
        </li>
      ))}
    </ul>
  );
}

/** Where it lies, its price, and what was tested on it. */
function Ways({ part, currency, onMoved }: Omit<ShelfPartProps, "zone">) {
  const { id, label, place, priceMinor, supplier, donor, version } = part;
  const [draft, setDraft, clear] = useDraft(`shelf:${id}:${version}`, {
    label,
    place,
    supplier,
    price: shownMoney(priceMinor, currency),
    tested: donor?.tested ?? "",
  });
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const set = (change: Partial<typeof draft>) => setDraft({ ...draft, ...change });
  const keep = async (): Promise<void> => {
    const minor = parseMoney(draft.price, currency, "Price of one");
    if (!minor.ok) return setProblem(minor.issues[0]?.message);
    const { price: _, ...to } = draft;
    const body = { ...to, priceMinor: minor.value, version };
    const answer = await request("PUT /api/shelf/{id}", { params: { id }, body });
    setProblem(answer.ok ? undefined : answer.issues.map(({ message }) => message).join(" "));
    if (answer.ok) clear();
    await onMoved();
  };
  return (
    <form
      className="mt-3 grid gap-3 sm:grid-cols-2 lg:grid-cols-4"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <TextField label="Name" value={draft.label} onType={(next) => set({ label: next })} />
      <TextField label="Place" value={draft.place} onType={(next) => set({ place: next })} />
      <TextField
        label={`Price of one, ${currency}`}
        isFigure
        value={draft.price}
        onType={(price) => set({ price })}
      />
      {donor ? (
        <TextField label="What was tested on it" value={draft.tested} onType={(tested) => set({ tested })} />
      ) : (
        <TextField label="Bought from" value={draft.supplier} onType={(next) => set({ supplier: next })} />
      )}
      <div className="sm:col-span-2 lg:col-span-4">
        <button type="submit" className="btn btn-outline">
          Keep
        </button>
        <Problem text={problem} />
      </div>
    </form>
  );
}

/** Puts in and takes out by hand. */
function Hand({ onMove }: { onMove(count: number): Promise<boolean> }) {
  const [text, setText] = useState("1");
  const [wrong, setWrong] = useState<string | undefined>(undefined);
  const move = (sign: 1 | -1) => async (): Promise<void> => {
    const isCount = /^[1-9]\d{0,3}$/.test(text.trim());
    setWrong(isCount ? undefined : `"${text}" is no number of parts: write one such as 2.`);
    if (isCount && (await onMove(sign * Number(text)))) setText("1");
  };
  return (
    <div className="mt-3 flex flex-wrap items-end gap-3">
      <TextField label="How many" isFigure className="w-28" value={text} error={wrong} onType={setText} />
      <button type="button" className="btn btn-outline" onClick={move(-1)}>
        Take out
      </button>
      <button type="button" className="btn btn-outline" onClick={move(1)}>
        Put in
      </button>
    </div>
  );
}

/** A part on the shelf, opened: what it is, what came and went, and what can be said otherwise. */
export function ShelfPart({ part, currency, zone, onMoved }: ShelfPartProps) {
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const isUnderWay = useRef(false);
  const { id, said, unstated, donor } = part;
  /** A second tap before the first is answered is none; once it is answered the next one counts. */
  const post = async (moveId: string, count: number, reason: StockMove["reason"]): Promise<boolean> => {
    if (isUnderWay.current) return false;
    isUnderWay.current = true;
    const body = { id: moveId, count, reason, by: benchName() };
    const answer = await request("POST /api/shelf/{id}/moves", { params: { id }, body });
    isUnderWay.current = false;
    setProblem(answer.ok ? undefined : answer.issues.map(({ message }) => message).join(" "));
    await onMoved();
    return answer.ok;
  };
  return (
    <div className="bg-sheet px-4 py-3">
      <dl className="flex flex-wrap gap-x-6 gap-y-1">
        {said.map(({ label, value }) => (
          <div key={label} className="flex gap-2">
            <dt className="text-soft">{label}</dt>
            <dd className="font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
      {unstated.length > 0 ? (
        <p className="mt-2 font-semibold text-brass">
          Not said: {unstated.join(", ")}. Where a job needs that, this is left out.
        </p>
      ) : null}
      {donor && donor.tested.trim() === "" ? (
        <p className="mt-2 font-semibold text-brass">Not tested yet: no job can take it before that.</p>
      ) : null}
      <Hand onMove={(count) => post(newId(), count, count > 0 ? "put-in" : "taken-out")} />
      <Problem text={problem} />
      <Ways key={part.version} part={part} currency={currency} onMoved={onMoved} />
      <Moves
        part={part}
        zone={zone}
        onTakeBack={(line) => void post(oppositeOf(line.id), -line.count, "taken-back")}
      />
    </div>
  );
}
