import type { Listed } from "@/core/matching/family";

const farads = (micro: number): number => Number((micro * 1e-6).toPrecision(12));

export function* dualCapacitors(): Generator<Listed> {
  for (const larger of [12, 15, 17.5, 20, 25, 30, 35, 40, 45, 50, 55, 60, 70, 80])
    for (const smaller of [1.5, 2, 3, 4, 5, 6, 7.5, 10])
      for (const volts of [370, 400, 440, 450])
        for (const shape of ["round", "oval"])
          yield {
            label: `Dual run capacitor ${larger}+${smaller} μF ±5 % ${volts} V, ${shape}`,
            attributes: { larger: farads(larger), smaller: farads(smaller), volts, shape },
            priceMinor: Math.round(900 + larger * 26 + smaller * 20),
            days: 3,
          };
}
