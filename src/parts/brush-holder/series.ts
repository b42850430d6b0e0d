import type { Listed } from "@/core/matching/family";
import { mm } from "@/core/matching/specs";

const SLOTS = [
  [5, 8],
  [5, 11],
  [6, 9],
  [6, 16],
  [6.3, 11],
  [6.3, 13],
  [6.5, 13.5],
  [7, 11],
  [8, 12],
  [8, 16],
  [10, 16],
  [12.5, 20],
] as const;
const WALLS = [2, 3, 4];

export function* brushHolders(): Generator<Listed> {
  for (const [thickness, width] of SLOTS)
    for (const wall of WALLS) {
      const seat = thickness + 2 * wall;
      const sizes = { thickness: mm(thickness), width: mm(width), seat: mm(seat) };
      const slot = `${thickness} × ${width} mm, seat ${seat} mm`;
      for (const press of ["coil", "spiral"])
        yield {
          label: `Brush holder ${slot}, ${press}`,
          attributes: { piece: "holder", ...sizes, press },
          priceMinor: 420 + Math.round(thickness * width * 2),
          days: 3,
        };
      yield {
        label: `Brush spring ${slot}, coil`,
        attributes: { piece: "spring", ...sizes, press: "coil" },
        priceMinor: 90 + Math.round(width * 4),
        days: 3,
      };
      yield {
        label: `Brush cap ${slot}`,
        attributes: { piece: "cap", ...sizes, press: "none" },
        priceMinor: 110 + Math.round(width * 3),
        days: 3,
      };
    }
}
