import type { Listed } from "@/core/matching/family";
import { mm } from "@/core/matching/specs";

const NANO = [1, 2.2, 3.3, 4.7, 10, 22, 33, 47, 68, 100, 150, 220, 330, 470, 680, 1000];

export function* suppressors(): Generator<Listed> {
  for (const nano of NANO)
    for (const kind of ["X2", "X1", "Y2", "Y1", "none"])
      for (const volts of [275, 310])
        for (const pitch of [10, 15, 22.5]) {
          // No Y part is made large: it would let too much to the frame.
          if (kind.startsWith("Y") && nano > 22) continue;
          yield {
            label: `${kind === "none" ? "Film capacitor, no class," : `Suppressor ${kind}`} ${nano} nF ${volts} V, ${pitch} mm`,
            attributes: {
              class: kind,
              capacitance: Number((nano * 1e-9).toPrecision(12)),
              volts,
              pitch: mm(pitch),
            },
            priceMinor: Math.round(35 + nano * 0.12 + (kind.startsWith("Y") ? 25 : 0)),
            days: 2,
          };
        }
}
