import type { JobView } from "../log/view";
import type { Standing } from "../standing";

/** Something that has to go back on, last off first. */
export interface ToPutBack {
  /** Line that took it off, or an opened cover by its name. */
  readonly line: number | null;
  readonly access: string | null;
  readonly seq: number;
}

function openedSeq(view: JobView, access: string): number {
  return (
    view.ledger.findLast((line) => line.kind === "opened" && !line.isStruck && line.payload.access === access)
      ?.seq ?? 0
  );
}

function lastOffFirst(one: ToPutBack, other: ToPutBack): number {
  return other.seq - one.seq;
}

/** Lines as an order set by hand has them; what came off since then goes back before all of it. */
function byHand(parts: readonly ToPutBack[], order: readonly number[]): ToPutBack[] {
  const place = (one: ToPutBack): number => order.indexOf(one.seq);
  const since = parts.filter((one) => place(one) === -1);
  const placed = parts.filter((one) => place(one) !== -1);
  return [...since.sort(lastOffFirst), ...placed.sort((one, other) => place(one) - place(other))];
}

/**
 * All that came off, reversed: what is put back first stands first. Lines that are back already stay in the list.
 * An order set by hand holds; an open cover closes before the first line that came off before it.
 */
export function putBackOrder(view: JobView): readonly ToPutBack[] {
  const covers = view.bench.opened.map(
    (access): ToPutBack => ({ line: null, access, seq: openedSeq(view, access) }),
  );
  const parts = view.removed.map(({ seq }): ToPutBack => ({ line: seq, access: null, seq }));
  const list = byHand(parts, view.order);
  for (const cover of covers.sort((one, other) => one.seq - other.seq)) {
    const before = list.findIndex(({ seq }) => seq < cover.seq);
    list.splice(before === -1 ? list.length : before, 0, cover);
  }
  return list;
}

/** Lines that are neither back, nor replaced, nor accounted for. */
export function stillOff(view: Pick<Standing, "removed">): readonly number[] {
  return view.removed.filter(({ refit }) => refit === null).map(({ seq }) => seq);
}

/** Whether what was decided is done; a route that is nothing but a run has nothing to fit. */
export function isRepairDone({
  decision,
  interventions,
}: Pick<Standing, "decision" | "interventions">): boolean {
  if (decision?.repairs.length === 0) return true;
  return interventions.some(({ seq }) => seq > (decision?.seq ?? 0));
}

/** Whether the machine is whole: only then may power come. */
export function isWhole(view: Pick<Standing, "removed" | "bench">): boolean {
  return stillOff(view).length === 0 && view.bench.opened.length === 0;
}

/** One wire as it was: from its colour to its terminal. */
export interface WireLine {
  readonly line: number;
  readonly colour: string;
  readonly terminal: string;
  readonly what: string;
  readonly isBack: boolean;
}

/** The wire map: every wire that came off with the terminal it was on, by terminal. */
export function wireMap(view: JobView): readonly WireLine[] {
  return view.removed
    .filter(({ sort }) => sort === "wire" || sort === "connector")
    .map(({ seq, colour, terminal, what, refit }) => ({
      line: seq,
      colour,
      terminal,
      what,
      isBack: refit !== null,
    }))
    .sort((one, other) => one.terminal.localeCompare(other.terminal, "en", { numeric: true }));
}
