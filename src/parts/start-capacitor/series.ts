import type { Listed } from "@/core/matching/family";

/** Ranges as they are printed, microfarads. */
const RANGES = [
  [21, 25],
  [25, 30],
  [30, 36],
  [36, 43],
  [43, 53],
  [53, 64],
  [64, 77],
  [72, 88],
  [88, 106],
  [108, 130],
  [124, 149],
  [130, 156],
  [145, 174],
  [161, 193],
  [189, 227],
  [216, 259],
  [233, 280],
  [243, 292],
  [270, 324],
  [324, 389],
  [340, 408],
  [378, 454],
  [400, 480],
  [430, 516],
  [460, 552],
  [540, 648],
  [590, 708],
  [645, 774],
  [708, 850],
  [829, 995],
  [1000, 1200],
] as const;

const farads = (micro: number): number => Number((micro * 1e-6).toPrecision(12));

export function* startCapacitors(): Generator<Listed> {
  for (const [min, max] of RANGES)
    for (const volts of [125, 165, 220, 250, 330])
      for (const resistor of ["no", "yes"])
        for (const terminals of ["double-tabs", "leads"])
          yield {
            label: `Start capacitor ${min}-${max} μF ${volts} V${resistor === "yes" ? ", resistor" : ""}${terminals === "leads" ? ", leads" : ""}`,
            attributes: {
              kind: "start",
              capacitance: { min: farads(min), max: farads(max) },
              volts,
              resistor,
              terminals,
              polarised: false,
            },
            priceMinor: Math.round(560 + max * 2.1 + (volts - 125) * 2.2 + (resistor === "yes" ? 90 : 0)),
            days: volts === 250 && max < 400 ? 2 : 4,
          };
  for (const micro of [47, 100, 150, 220, 330, 470])
    yield {
      label: `DC capacitor ${micro} μF 450 V, polarised`,
      attributes: {
        kind: "start",
        capacitance: { min: farads(micro * 0.8), max: farads(micro * 1.2) },
        volts: 0,
        resistor: "no",
        terminals: "leads",
        polarised: true,
      },
      priceMinor: 310 + micro,
      days: 1,
    };
}
