import type { Listed } from "@/core/matching/family";
import { ZERO_CELSIUS_K } from "@/core/quantity/units";

const DEGREES = [
  72, 77, 84, 94, 99, 104, 113, 117, 121, 128, 133, 142, 152, 157, 167, 172, 184, 192, 216, 229, 240,
];
const CUT_OUTS = [60, 70, 80, 90, 95, 100, 105, 110, 115, 120, 125, 130, 135, 140, 145, 150, 155, 160];

export function* thermalFuses(): Generator<Listed> {
  for (const degrees of DEGREES)
    for (const amps of [2, 10, 15])
      for (const kase of ["bare", "insulated"])
        yield {
          label: `Thermal fuse ${degrees} °C ${amps} A 250 V, ${kase}`,
          attributes: {
            opens: degrees + ZERO_CELSIUS_K,
            reset: "one-shot",
            contact: "opens",
            amps,
            volts: 250,
            case: kase,
          },
          priceMinor: 90 + amps * 4,
          days: 2,
        };
  for (const degrees of CUT_OUTS)
    for (const reset of ["hand", "self"])
      for (const amps of [5, 10, 16])
        for (const kase of ["disc", "insulated"])
          yield {
            label: `Cut-out ${degrees} °C ${amps} A 250 V, ${reset === "hand" ? "reset by hand" : "resets itself"}, ${kase}`,
            attributes: {
              opens: degrees + ZERO_CELSIUS_K,
              reset,
              contact: "opens",
              amps,
              volts: 250,
              case: kase,
            },
            priceMinor: 260 + amps * 6,
            days: 3,
          };
  for (const degrees of CUT_OUTS)
    yield {
      label: `Thermostat ${degrees} °C 10 A 250 V, closes when hot, disc`,
      attributes: {
        opens: degrees + ZERO_CELSIUS_K,
        reset: "self",
        contact: "closes",
        amps: 10,
        volts: 250,
        case: "disc",
      },
      priceMinor: 320,
      days: 3,
    };
}
