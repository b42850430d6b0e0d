import type { Listed } from "@/core/matching/family";
import { mm } from "@/core/matching/specs";

export function* fans(): Generator<Listed> {
  for (const outside of [60, 70, 80, 92, 100, 110, 120, 130, 150, 172, 200, 250])
    for (const bore of [5, 6, 8, 9, 10, 11, 12, 14, 19])
      for (const hub of ["flat", "screw", "press"])
        for (const turns of ["cw", "ccw", "either"]) {
          if (bore * 4 > outside) continue;
          const speed = outside <= 130 ? 15_000 : 3600;
          yield {
            label: `Fan ${outside} mm, bore ${bore} mm, ${hub}, ${turns === "either" ? "either way" : turns === "cw" ? "clockwise" : "anticlockwise"}`,
            attributes: {
              outside: mm(outside),
              bore: mm(bore),
              hub,
              turns,
              blades: turns === "either" ? 10 : 7,
              speed,
            },
            priceMinor: 160 + outside * 3,
            days: 4,
          };
        }
}
