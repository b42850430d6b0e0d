/** A winding as the map draws it: its ends by lead index (−1 is a point inside), and its ohms. */
export interface DrawnWinding {
  readonly a: number;
  readonly b: number;
  readonly ohms: number;
}

/** Leads along one line, so that windings between neighbours are many. */
export interface Layout {
  readonly order: readonly number[];
  /** How high a winding stands: 1 between neighbours, more where it reaches over others. */
  levelOf(winding: DrawnWinding): number;
}

function degree(windings: readonly DrawnWinding[], lead: number): number {
  return windings.filter(({ a, b }) => a === lead || b === lead).length;
}

/** Walks from an end along the windings; what branches off follows its branching point. */
function walk(windings: readonly DrawnWinding[], from: number, seen: number[]): void {
  if (seen.includes(from)) return;
  seen.push(from);
  const next = windings
    .flatMap(({ a, b }) => (a === from ? [b] : b === from ? [a] : []))
    .sort((one, other) => degree(windings, one) - degree(windings, other) || one - other);
  for (const lead of next) walk(windings, lead, seen);
}

/** The leads of the map in the order in which they are drawn; those without a winding come last. */
export function layoutOf(leads: number, windings: readonly DrawnWinding[]): Layout {
  const seen: number[] = [];
  const named = Array.from({ length: leads }, (_, lead) => lead);
  const tips = named.filter((lead) => degree(windings, lead) === 1);
  for (const lead of tips) walk(windings, lead, seen);
  for (const lead of named) walk(windings, lead, seen);
  return {
    order: seen,
    levelOf: ({ a, b }) => Math.abs(seen.indexOf(a) - seen.indexOf(b)),
  };
}
