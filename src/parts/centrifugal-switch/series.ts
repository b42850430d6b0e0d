import type { Listed } from "@/core/matching/family";
import { mm } from "@/core/matching/specs";

export function* startSwitches(): Generator<Listed> {
  for (const piece of ["switch", "weights", "both"])
    for (const shaft of [12.7, 15.875, 16, 17, 19, 20, 24])
      for (const poles of [2, 4, 6])
        for (const hertz of [50, 60])
          for (const amps of [16, 30])
            yield {
              label: `Start switch, ${piece === "switch" ? "contacts" : piece}, shaft ${shaft} mm, ${poles} poles ${hertz} Hz, ${amps} A`,
              attributes: { piece, shaft: mm(shaft), poles, hertz, amps },
              priceMinor: (piece === "both" ? 1450 : 780) + amps * 6,
              days: 6,
            };
}
