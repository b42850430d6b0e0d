import type { Listed } from "@/core/matching/family";
import { mm } from "@/core/matching/specs";

const THICK = [4, 5, 6, 6.3, 6.5, 7, 8, 10, 12.5];
const WIDE = [6, 7, 8, 9, 10, 11, 12, 13, 16, 20];
const LONG = [11, 13, 15, 17, 20, 25, 32];

export function* brushes(): Generator<Listed> {
  for (const thickness of THICK)
    for (const width of WIDE)
      for (const length of LONG)
        for (const contact of ["tag", "cap", "spade"]) {
          if (width < thickness || length < thickness) continue;
          const spring = contact === "cap" ? "own" : "holder";
          yield {
            label: `Brush pair ${thickness} × ${width} × ${length} mm, ${contact}`,
            attributes: {
              thickness: mm(thickness),
              width: mm(width),
              length: mm(length),
              contact,
              spring,
              grade: "electro",
            },
            priceMinor: 2 * Math.round(90 + thickness * width * 1.1 + length),
            days: 2,
          };
        }
}
