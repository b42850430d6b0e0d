import type { Listed } from "@/core/matching/family";

export function* plugs(): Generator<Listed> {
  for (const piece of ["plug", "relief"])
    for (const earth of ["yes", "no"])
      for (const amps of [2.5, 6, 10, 16])
        for (const sheath of ["5-7", "6-9", "8-11"])
          if (piece === "plug" || earth === "yes")
            yield {
              label: `${piece === "plug" ? `Plug ${amps} A ${earth === "yes" ? "with" : "without"} earth` : `Strain relief, to ${amps} A`}, sheath ${sheath} mm`,
              attributes: { piece, earth, amps, sheath },
              priceMinor: piece === "plug" ? 190 + amps * 8 : 60,
              days: 1,
            };
}
