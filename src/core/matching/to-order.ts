import type { MatchAnswer } from "./match-answer.input";

/** A line of an order: what, how many, and who sends it. */
export interface ToOrder {
  readonly label: string;
  readonly count: number;
  readonly from: string;
}

type Candidate = Pick<MatchAnswer["candidates"][number], "label" | "shelf" | "supplier" | "goesWith">;

/** What has to be bought for one: itself unless it is here, and its small parts with it. */
export function toOrder({ label, shelf, supplier, goesWith }: Candidate, fitted: number): readonly ToOrder[] {
  const own = shelf ? [] : [{ label, count: fitted, from: supplier }];
  const small = goesWith.map((one) => ({ label: one.label, count: one.count, from: supplier }));
  return [...own, ...small];
}

/** What has to be bought for several in the place of one. */
export function toOrderTogether(
  { parts, goesWith }: Pick<MatchAnswer["together"][number], "parts" | "goesWith">,
  fitted: number,
): readonly ToOrder[] {
  const bought = parts.filter(({ place }) => place === null);
  const labels = [...new Set(bought.map(({ label }) => label))];
  const own = labels.map((label): ToOrder => {
    const same = bought.filter((part) => part.label === label);
    return { label, count: fitted * same.length, from: same[0]?.supplier ?? "" };
  });
  const from = parts[0]?.supplier ?? "";
  return [...own, ...goesWith.map(({ label, count }) => ({ label, count, from }))];
}

/** A line as an order has it. */
export const orderLineOf = ({ count, label }: ToOrder): string => (count > 1 ? `${count} × ${label}` : label);
