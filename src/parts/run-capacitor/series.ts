import type { Listed } from "@/core/matching/family";
import { mm } from "@/core/matching/specs";

const MICRO = [
  1, 1.5, 2, 2.5, 3, 3.5, 4, 4.5, 5, 6, 6.3, 7, 7.5, 8, 9, 10, 12, 12.5, 14, 15, 16, 18, 20, 21, 22, 25, 28,
  30, 31.5, 35, 40, 45, 50, 55, 60, 65, 70, 80, 100,
];

/** Life class by volts: a part that may run at 450 V for 10 000 h runs at 400 V for 30 000. Source: iec-60252-1. */
const RATINGS = [
  [250, "B"],
  [400, "A"],
  [400, "B"],
  [450, "B"],
  [450, "C"],
  [500, "C"],
  [500, "D"],
] as const;

export function* runCapacitors(): Generator<Listed> {
  for (const micro of MICRO)
    for (const [volts, life] of RATINGS)
      for (const protection of ["S0", "S2", "S3"])
        for (const terminals of ["double-tabs", "leads"]) {
          const diameter = micro <= 4 ? 28 : micro <= 12 ? 35 : micro <= 30 ? 42 : 50;
          yield {
            label: `Run capacitor ${micro} μF ±5 % ${volts} V, class ${life}, ${protection}${terminals === "leads" ? ", leads" : ""}`,
            attributes: {
              kind: "run",
              capacitance: Number((micro * 1e-6).toPrecision(12)),
              volts,
              life,
              protection,
              terminals,
              diameter: mm(diameter),
              polarised: false,
            },
            priceMinor: Math.round(420 + micro * 22 + (protection === "S0" ? 0 : 160) + (volts - 250) * 0.6),
            days: micro <= 20 && volts === 450 ? 1 : 3,
          };
        }
}
