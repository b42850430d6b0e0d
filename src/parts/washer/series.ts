import type { Listed } from "@/core/matching/family";
import { mm } from "@/core/matching/specs";

const THICKNESS: readonly (readonly [kind: string, name: string, sheets: readonly number[]])[] = [
  ["wave", "Wave washer", [0.3, 0.4, 0.5]],
  ["thrust", "Thrust washer", [0.5, 0.8, 1]],
  ["fibre", "Fibre washer", [0.5, 1, 1.5]],
  ["felt", "Felt ring", [2, 3, 5]],
];

export function* washers(): Generator<Listed> {
  for (const inside of [4, 5, 6, 7, 8, 9, 10, 12, 14, 15, 17, 20, 25])
    for (const wall of [4, 6, 8, 11, 15])
      for (const [kind, name, sheets] of THICKNESS)
        for (const thickness of sheets)
          yield {
            label: `${name} ${inside} × ${inside + wall} × ${thickness} mm`,
            attributes: { kind, inside: mm(inside), outside: mm(inside + wall), thickness: mm(thickness) },
            priceMinor: 15 + inside,
            days: 1,
          };
}
