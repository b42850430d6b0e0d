import { minutesOf, repairsOn, type WorkTables } from "./kind-costs";

/** Repairs whose minutes are used up by the covers alone: by repair, or by `kind: repair` where the kind names its own. */
export function withoutHands(tables: WorkTables): readonly string[] {
  const usual = repairsOn({ family: "" }, tables).filter(
    ({ hands, easier, covers }) => hands <= 0 || (easier && easier.minutes <= minutesOf(covers)),
  );
  const own = tables.archetypes.flatMap(({ id, family, repairs = {} }) =>
    repairsOn({ family, archetype: id }, tables)
      .filter((repair) => repair.hands <= 0 && repairs[repair.id]?.minutes !== undefined)
      .map((repair) => `${id}: ${repair.id}`),
  );
  return [...usual.map(({ id }) => id), ...own];
}
