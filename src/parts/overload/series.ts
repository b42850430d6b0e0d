import type { Listed } from "@/core/matching/family";

const AMPS = [
  1, 1.5, 2, 2.5, 3, 3.5, 4, 4.5, 5, 5.5, 6, 6.5, 7, 7.5, 8, 9, 10, 11, 12, 13, 14, 15, 16, 18, 20,
];

export function* overloads(): Generator<Listed> {
  for (const amps of AMPS)
    for (const reset of ["hand", "self"])
      for (const senses of ["current", "current-and-heat"])
        yield {
          label: `Overload ${amps} A 250 V, ${reset === "hand" ? "reset by hand" : "resets itself"}${senses === "current" ? "" : ", on the winding"}`,
          attributes: { amps, reset, volts: 250, senses },
          priceMinor: 340 + Math.round(amps * 12),
          days: 3,
        };
}
