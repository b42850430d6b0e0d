import type { Listed } from "@/core/matching/family";
import { mm } from "@/core/matching/specs";

const CORDS = [1, 1.5, 1.78, 2, 2.5, 2.62, 3, 3.53, 4, 5];
const MOST_INSIDE = 120;

export function* oRings(): Generator<Listed> {
  for (let inside = 3; inside <= MOST_INSIDE; inside += inside < 40 ? 1 : 2)
    for (const cord of CORDS)
      for (const material of ["nbr", "epdm", "fkm", "silicone"]) {
        // No thick cord is made into a small ring.
        if (cord * 2 > inside) continue;
        yield {
          label: `O-ring ${inside} × ${cord} mm ${material.toUpperCase()}`,
          attributes: { inside: mm(inside), cord: mm(cord), material },
          priceMinor: Math.round((12 + inside * 0.4 + cord * 3) * (material === "fkm" ? 4 : 1)),
          days: material === "nbr" ? 1 : 3,
        };
      }
}
