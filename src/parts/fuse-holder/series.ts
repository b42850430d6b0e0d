import type { Listed } from "@/core/matching/family";

export function* holders(): Generator<Listed> {
  for (const body of ["5x20", "6.3x32"])
    for (const mount of ["panel", "line", "board"])
      for (const amps of [6.3, 10, 16])
        for (const insulated of ["yes", "no"])
          yield {
            label: `Fuse holder ${body}, ${mount}, ${amps} A 250 V${insulated === "yes" ? "" : ", open"}`,
            attributes: { body, mount, amps, volts: 250, insulated },
            priceMinor: Math.round(90 + amps * 6),
            days: 2,
          };
}
