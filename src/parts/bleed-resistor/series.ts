import { COMMON_WATTS, commonOhms } from "@/core/markings/resistor-series";
import type { Listed } from "@/core/matching/family";
import { formatText } from "@/core/quantity/format";

const LEAST = 1000;
const MOST = 1_000_000;

export function* resistors(): Generator<Listed> {
  for (const resistance of commonOhms(LEAST, MOST))
    for (const watts of COMMON_WATTS)
      for (const volts of [350, 500, 750])
        yield {
          label: `Resistor ${formatText(resistance, "Ω")} ${watts} W ${volts} V`,
          attributes: { resistance, watts, volts, kind: watts >= 3 ? "wire" : "film" },
          priceMinor: Math.round(8 + watts * 9),
          days: 1,
        };
}
