import type { Listed } from "@/core/matching/family";

export function* boards(): Generator<Listed> {
  for (const kind of ["triac", "soft", "timer"])
    for (const amps of [2, 4, 6, 10, 16])
      for (const leads of [2, 3, 4])
        for (const feedback of ["no", "yes"]) {
          if (feedback === "yes" && (kind !== "triac" || leads < 4)) continue;
          yield {
            label: `${kind === "triac" ? "Speed control" : kind === "soft" ? "Soft start" : "Timer"} ${amps} A 250 V, ${leads} leads${feedback === "yes" ? ", with sensor" : ""}`,
            attributes: { kind, amps, volts: 250, leads, feedback },
            priceMinor: 680 + amps * 45,
            days: 4,
          };
        }
}
