import type { Listed } from "@/core/matching/family";
import { mm } from "@/core/matching/specs";

const SHAFTS = [6, 7, 8, 9, 10, 12, 14, 15, 16, 17, 18, 20, 22, 24, 25, 28, 30, 32, 35, 38, 40];
const WALLS = [10, 12, 14, 16, 20];

export function* shaftSeals(): Generator<Listed> {
  for (const shaft of SHAFTS)
    for (const wall of WALLS)
      for (const width of [5, 7, 8, 10])
        for (const lip of ["single", "double"])
          for (const material of ["nbr", "fkm"])
            yield {
              label: `Shaft seal ${shaft} × ${shaft + wall} × ${width} mm, ${lip} lip, ${material.toUpperCase()}`,
              attributes: { shaft: mm(shaft), outside: mm(shaft + wall), width: mm(width), lip, material },
              priceMinor: Math.round((110 + shaft * 5) * (material === "fkm" ? 2.4 : 1)),
              days: material === "nbr" ? 2 : 5,
            };
}
