import type { Listed } from "@/core/matching/family";

export function* startRelays(): Generator<Listed> {
  for (const ohms of [4.7, 6.8, 10, 12, 15, 22, 33, 47])
    for (const pins of ["3", "2", "tabs"])
      for (const amps of [6, 8, 12])
        yield {
          label: `PTC starter ${ohms} Ω ${amps} A, ${pins === "3" ? "three pins" : pins === "2" ? "two tabs" : "flat tabs"}`,
          attributes: { kind: "ptc", ohms, amps, volts: 250, pins },
          priceMinor: 420 + amps * 10,
          days: 3,
        };
  for (const picks of [2.5, 3, 3.5, 4, 4.6, 5.3, 6.2, 7.1, 8.3, 9.6])
    for (const pins of ["3", "tabs"])
      yield {
        label: `Start relay, picks up at ${picks} A, ${pins === "3" ? "three pins" : "flat tabs"}`,
        attributes: { kind: "current", picks, amps: 16, volts: 250, pins },
        priceMinor: 780,
        days: 5,
      };
  for (const amps of [20, 35])
    yield {
      label: `Potential start relay ${amps} A`,
      attributes: { kind: "potential", amps, volts: 400, pins: "tabs" },
      priceMinor: 1400,
      days: 6,
    };
}
