import type { Listed } from "@/core/matching/family";
import { mm } from "@/core/matching/specs";

/** Bore and the outsides sold with it, millimetres. Source: iso-2795. */
const SIZES: readonly (readonly [number, readonly number[]])[] = [
  [3, [5, 6]],
  [4, [7, 8]],
  [5, [8, 9]],
  [6, [9, 10, 12]],
  [8, [11, 12, 14]],
  [9, [12, 14]],
  [10, [13, 14, 16]],
  [12, [15, 16, 18]],
  [14, [18, 20]],
  [15, [19, 21]],
  [16, [20, 22]],
  [18, [22, 24]],
  [20, [24, 26, 28]],
  [25, [30, 32]],
];

export function* bushes(): Generator<Listed> {
  for (const [bore, outsides] of SIZES)
    for (const outside of outsides)
      for (const length of [4, 5, 6, 8, 10, 12, 15, 16, 20, 25])
        for (const material of ["sintered", "solid", "plastic"])
          for (const flange of ["no", "yes"])
            if (length <= bore * 2 + 4)
              yield {
                label: `Bush ${bore} × ${outside} × ${length} mm, ${material}${flange === "yes" ? ", flanged" : ""}`,
                attributes: { bore: mm(bore), outside: mm(outside), length: mm(length), material, flange },
                priceMinor: Math.round(60 + outside * 5 + (material === "solid" ? 90 : 0)),
                days: 3,
              };
}
