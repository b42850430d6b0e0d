import type { JobView } from "./reduce";

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

/** All that came off, reversed: what is put back first stands first. Lines that are back already stay in the list. */
export function putBackOrder(view: JobView): readonly ToPutBack[] {
  const covers = view.bench.opened.map(
    (access): ToPutBack => ({ line: null, access, seq: openedSeq(view, access) }),
  );
  const parts = view.removed.map(({ seq }): ToPutBack => ({ line: seq, access: null, seq }));
  return [...covers, ...parts].sort((one, other) => other.seq - one.seq);
}

/** Lines that are neither back, nor replaced, nor accounted for. */
export function stillOff(view: JobView): readonly number[] {
  return view.removed.filter(({ refit }) => refit === null).map(({ seq }) => seq);
}

/** Whether the machine is whole: only then may power come. */
export function isWhole(view: JobView): boolean {
  return stillOff(view).length === 0 && view.bench.opened.length === 0;
}
