import type { Listed } from "@/core/matching/family";
import { mm } from "@/core/matching/specs";

export function* switches(): Generator<Listed> {
  for (const action of ["latching", "momentary", "no-volt", "speed", "reversing"])
    for (const poles of [1, 2])
      for (const amps of [2, 4, 6, 10, 16])
        for (const cutout of [19.2, 22, 27.2, 30, 40])
          for (const seal of ["none", "IP54", "IP65"])
            yield {
              label: `Switch ${action}, ${poles === 1 ? "one pole" : "two poles"}, ${amps} A for motors, ${cutout} mm${seal === "none" ? "" : `, ${seal}`}`,
              attributes: { action, poles, amps, volts: 250, cutout: mm(cutout), seal },
              priceMinor: Math.round(
                240 + amps * 28 + poles * 40 + (action === "no-volt" ? 700 : 0) + (seal === "none" ? 0 : 120),
              ),
              days: 3,
            };
}
