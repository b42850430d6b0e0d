import type { Listed } from "@/core/matching/family";
import { mm } from "@/core/matching/specs";

/** Outside and arms by size. */
const SIZES = [
  [14, 4],
  [20, 4],
  [25, 4],
  [30, 4],
  [40, 4],
  [55, 6],
  [65, 8],
] as const;

export function* couplings(): Generator<Listed> {
  for (const [outside, arms] of SIZES) {
    for (const hardness of ["soft", "medium", "hard"])
      yield {
        label: `Coupling spider ${outside} mm, ${arms} arms, ${hardness}`,
        attributes: { piece: "spider", outside: mm(outside), arms, hardness },
        priceMinor: 90 + outside * 4,
        days: 3,
      };
    for (const bore of [4, 5, 6, 6.35, 8, 10, 12, 14, 15, 16, 18, 19, 20, 24])
      if (bore * 1.6 < outside)
        yield {
          label: `Coupling half ${outside} mm, bore ${bore} mm`,
          attributes: { piece: "half", outside: mm(outside), arms, bore: mm(bore), hardness: "hard" },
          priceMinor: 260 + outside * 9,
          days: 4,
        };
  }
}
