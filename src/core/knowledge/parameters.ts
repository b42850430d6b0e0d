/** Tuning values of the engine. What each does and why it has its value stands in knowledge/tables/parameters.yaml. */
export const PARAMETER_IDS = [
  "leak-told",
  "leak-felt",
  "leak-seen",
  "leak-read",
  "told-most",
  "second-root-rate",
  "rarest-set",
  "rarest-set-wide",
  "third-root-fit",
  "conflict-share",
  "impossible-share",
  "kind-settled",
  "unlikely-chance",
  "answer-counts-strength",
  "fault-counts-strength",
  "least-move-worth",
  "near-tie-minutes",
  "ranking-rate-default",
  "ranking-rate-least",
  "unplugging-minutes",
  "plugging-minutes",
  "trial-run-minutes",
  "machine-price-default",
  "unproven-part-share",
  "ask-owner-from",
  "in-passing-minutes",
  "in-passing-part",
  "price-low",
  "price-high",
  "minutes-low",
  "minutes-high",
  "postage-default",
  "stock-part-most",
  "order-days",
  "hold-days",
  "machine-years-default",
  "mended-years-share",
  "motor-years-share",
  "donor-works",
  "donor-years-share",
  "second-hand-works",
  "second-hand-years-share",
  "trade-cures",
  "retest-holds",
  "interest",
] as const;

export type ParameterId = (typeof PARAMETER_IDS)[number];

/** Every parameter by its id; the loader refuses a table that lacks one. */
export type Parameters = Readonly<Record<ParameterId, number>>;

/** The rows of the table as one record. A row that the loader let go missing is a bug. */
export function parametersOf(rows: readonly { readonly id: string; readonly value: number }[]): Parameters {
  const values = new Map(rows.map(({ id, value }) => [id, value]));
  const tuned = (id: ParameterId): number => {
    const value = values.get(id);
    if (value === undefined) throw new Error(`no parameter "${id}"`);
    return value;
  };
  return Object.fromEntries(PARAMETER_IDS.map((id) => [id, tuned(id)])) as Record<ParameterId, number>;
}
