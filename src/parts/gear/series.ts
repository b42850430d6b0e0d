import type { Listed } from "@/core/matching/family";
import { mm } from "@/core/matching/specs";

/** Preferred modules, millimetres. Source: iso-54. */
const MODULES = [0.5, 0.6, 0.8, 1, 1.25, 1.5, 2];
const TEETH = [10, 12, 13, 14, 15, 16, 17, 18, 20, 22, 24, 25, 28, 30, 32, 36, 40, 45, 48, 50, 60, 72, 80];
const BORES = [3, 4, 5, 6, 8, 10, 12];

export function* gears(): Generator<Listed> {
  for (const module of MODULES)
    for (const teeth of TEETH)
      for (const bore of BORES)
        for (const helix of ["straight", "left", "right"])
          for (const material of ["plastic", "steel"]) {
            // The hub needs some metal round its bore.
            if (module * (teeth - 2.5) < bore * 1.5) continue;
            const width = Math.max(4, Math.round(module * 10));
            yield {
              label: `Gear module ${module}, ${teeth} teeth, bore ${bore} mm, ${helix}, ${material}`,
              attributes: { teeth, module: mm(module), bore: mm(bore), width: mm(width), helix, material },
              priceMinor: Math.round(180 + module * teeth * 5 + (material === "steel" ? 350 : 0)),
              days: 5,
            };
          }
}
