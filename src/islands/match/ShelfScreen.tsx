import { useRef, useState } from "react";
import { folded } from "@/core/job/folded";
import type { ShelfLine } from "@/core/matching/shelf.input";
import { formatMoney } from "@/core/quantity/format";
import { TextField } from "../fields/TextField";
import { PlainFrame } from "../frame/PlainFrame";
import { request } from "../state/api";
import { ShelfPart } from "./ShelfPart";

interface ShelfProps {
  readonly parts: readonly ShelfLine[];
  readonly currency: string;
  readonly zone: string;
}

function Line({
  part,
  currency,
  isOpen,
  onOpen,
}: Pick<ShelfProps, "currency"> & {
  readonly part: ShelfLine;
  readonly isOpen: boolean;
  onOpen(): void;
}) {
  const { label, place, count, priceMinor, donor } = part;
  return (
    <button
      type="button"
      aria-expanded={isOpen}
      onClick={onOpen}
      className={`grid min-h-12 w-full grid-cols-[44px_minmax(0,1fr)] items-center gap-x-4 py-1.5 text-left md:grid-cols-[44px_minmax(0,1fr)_160px_84px] ${isOpen ? "bg-sheet" : ""}`}
    >
      <b className={`num text-right text-xl ${count === 0 ? "text-oxide" : ""}`}>{count}</b>
      <span className="min-w-0">
        {label}
        {donor ? <span className="block text-soft">{donor.tested || "not tested yet"}</span> : null}
      </span>
      <span className="col-start-2 flex justify-between gap-x-4 text-soft md:contents">
        <span>{place}</span>
        <span className="num md:text-right">{formatMoney(priceMinor, currency)}</span>
      </span>
    </button>
  );
}

interface GroupProps extends Pick<ShelfProps, "parts" | "currency" | "zone"> {
  readonly title: string;
  readonly openId: string | undefined;
  onOpen(id: string | undefined): void;
  onMoved(): Promise<void>;
}

function Group({ title, parts, openId, onOpen, onMoved, currency, zone }: GroupProps) {
  return (
    <section aria-label={title} className="mt-5">
      <h2 className="border-ring border-b-2 pb-1 font-semibold text-soft">{title}</h2>
      <ul>
        {parts.map((part) => {
          const isOpen = part.id === openId;
          return (
            <li key={part.id} className="border-rule border-t">
              <Line
                part={part}
                currency={currency}
                isOpen={isOpen}
                onOpen={() => onOpen(isOpen ? undefined : part.id)}
              />
              {isOpen ? <ShelfPart part={part} currency={currency} zone={zone} onMoved={onMoved} /> : null}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** What a part is found by: its name, its kind, its place, the machine it is out of. */
const wordsOf = ({ label, familyTitle, place, donor }: ShelfLine): string =>
  folded(`${label} ${familyTitle} ${place} ${donor?.machine ?? ""}`);

/** Parts by a heading, in the order of the alphabet. */
function grouped(parts: readonly ShelfLine[], of: (part: ShelfLine) => string) {
  const titles = [...new Set(parts.map(of))].sort((one, other) => one.localeCompare(other));
  return titles.map((title) => [title, parts.filter((part) => of(part) === title)] as const);
}

/** What lies in the shop: how many, where, and what is still in machines that are kept for parts. */
export function ShelfScreen({ parts: fromPage, currency, zone }: ShelfProps) {
  const [parts, setParts] = useState(fromPage);
  const [find, setFind] = useState("");
  const [openId, setOpenId] = useState<string | undefined>(undefined);
  const asked = useRef(0);
  /** Of several answers on their way the one that was asked for last counts. */
  const reload = async (): Promise<void> => {
    asked.current += 1;
    const own = asked.current;
    const answer = await request("GET /api/shelf");
    if (answer.ok && own === asked.current) setParts(answer.value.parts);
  };
  const words = folded(find).split(/\s+/).filter(Boolean);
  const shown = parts.filter((part) => words.every((word) => wordsOf(part).includes(word)));
  const group = { openId, onOpen: setOpenId, onMoved: reload, currency, zone };
  return (
    <PlainFrame path="/parts">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <h1 className="font-bold text-[28px] leading-tight">Shelf</h1>
        <a className="inline-flex min-h-11 items-center text-teal underline underline-offset-4" href="/parts">
          Put another part on it
        </a>
        <a
          className="inline-flex min-h-11 items-center text-teal underline underline-offset-4"
          href="/orders"
        >
          On order
        </a>
      </div>
      {parts.length === 0 ? (
        <p className="mt-3 text-lg text-soft">
          Nothing lies on the shelf yet. Find a part under Parts and put it here: jobs are then matched from
          the shelf first.
        </p>
      ) : (
        <TextField
          label="Find on the shelf"
          hint="Name, kind, place, or the machine it is out of."
          className="mt-3 max-w-md"
          value={find}
          onType={setFind}
        />
      )}
      {parts.length > 0 && shown.length === 0 ? (
        <p className="mt-4 text-lg">Nothing on the shelf is called “{find}”.</p>
      ) : null}
      {grouped(
        shown.filter(({ donor }) => donor === null),
        ({ familyTitle }) => familyTitle,
      ).map(([title, own]) => (
        <Group key={title} title={title} parts={own} {...group} />
      ))}
      {grouped(
        shown.filter(({ donor }) => donor !== null),
        ({ donor }) => donor?.machine ?? "",
      ).map(([machine, own]) => (
        <Group key={`donor ${machine}`} title={`Kept for parts: ${machine}`} parts={own} {...group} />
      ))}
    </PlainFrame>
  );
}
