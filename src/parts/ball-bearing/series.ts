import type { Listed } from "@/core/matching/family";
import { mm } from "@/core/matching/specs";
import { INCH, METRIC } from "./table";

const SEALS = [
  ["sealed", " 2RS"],
  ["shielded", " ZZ"],
  ["open", ""],
] as const;

export function* bearings(): Generator<Listed> {
  for (const [number, [bore, outside, width]] of [...METRIC, ...INCH])
    for (const [seals, suffix] of SEALS)
      for (const clearance of ["CN", "C3", "C4"])
        for (const grade of ["motor", "plain"])
          yield {
            label: `Bearing ${number}${suffix}${clearance === "CN" ? "" : ` ${clearance}`} ${bore} × ${outside} × ${width} mm${grade === "motor" ? ", for motors" : ""}`,
            attributes: { bore: mm(bore), outside: mm(outside), width: mm(width), seals, clearance, grade },
            priceMinor: Math.round((grade === "motor" ? 180 : 90) + outside * 6),
            days: grade === "motor" ? 2 : 1,
          };
}
