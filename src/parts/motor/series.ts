import type { Listed } from "@/core/matching/family";
import { mm } from "@/core/matching/specs";

/** Shaft and its length by watts. Source: iec-60072-1, the smaller ones as sold. */
const SIZES = [
  [25, 8, 25],
  [40, 8, 25],
  [60, 9, 20],
  [90, 9, 20],
  [120, 11, 23],
  [180, 11, 23],
  [250, 14, 30],
  [370, 14, 30],
  [550, 19, 40],
  [750, 19, 40],
  [1100, 24, 50],
] as const;

/** Shaded poles are only made small; a start capacitor only pays for a hard start. */
const isMade = (kind: string, watts: number): boolean =>
  kind === "shaded-pole" ? watts <= 90 : kind === "permanent-split-capacitor" || watts >= 120;

export function* motors(): Generator<Listed> {
  for (const [watts, shaft, reach] of SIZES)
    for (const kind of [
      "capacitor-start",
      "capacitor-start-run",
      "permanent-split-capacitor",
      "split-phase",
      "shaded-pole",
    ])
      for (const poles of [2, 4, 6])
        for (const mount of ["foot", "face", "flange"])
          for (const enclosure of ["closed", "dripproof"])
            for (const supply of [
              [230, 50],
              [115, 60],
              [230, 60],
            ] as const) {
              if (!isMade(kind, watts)) continue;
              const [volts, hertz] = supply;
              for (const rotation of kind === "shaded-pole" ? ["cw", "ccw"] : ["either"])
                yield {
                  label: `Motor ${watts} W, ${poles} poles, ${volts} V ${hertz} Hz, ${kind.replaceAll("-", " ")}, ${mount}, ${enclosure === "closed" ? "closed" : "drip-proof"}${rotation === "either" ? "" : rotation === "cw" ? ", clockwise" : ", anticlockwise"}`,
                  attributes: {
                    volts,
                    hertz,
                    poles,
                    watts,
                    kind,
                    rotation,
                    shaft: mm(shaft),
                    reach: mm(reach),
                    mount,
                    enclosure,
                    protector: watts <= 250 ? "self" : "hand",
                  },
                  priceMinor: Math.round(2600 + watts * 14 + (enclosure === "closed" ? 900 : 0)),
                  days: 6,
                };
            }
}
