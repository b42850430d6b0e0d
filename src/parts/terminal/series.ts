import type { Listed } from "@/core/matching/family";
import { mm } from "@/core/matching/specs";
import { ZERO_CELSIUS_K } from "@/core/quantity/units";

export function* terminals(): Generator<Listed> {
  for (const blade of [2.8, 4.8, 6.3, 9.5])
    for (const wire of ["small", "middle", "large"])
      for (const degrees of [105, 150, 250])
        for (const cover of ["full", "barrel", "none"])
          yield {
            label: `Tab ${blade} mm, ${wire === "small" ? "0.5 to 1" : wire === "middle" ? "1 to 2.5" : "4 to 6"} mm², ${degrees} °C, ${cover === "full" ? "covered" : cover === "barrel" ? "barrel covered" : "bare"}`,
            attributes: { blade: mm(blade), wire, heat: degrees + ZERO_CELSIUS_K, cover },
            priceMinor: 12 + Math.round(degrees / 20),
            days: 1,
          };
}
