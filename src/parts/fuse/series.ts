import type { Listed } from "@/core/matching/family";

/** Preferred amps of IEC 60127 (R10). Source: iec-60127-2. */
const IEC_AMPS = [
  0.1, 0.125, 0.16, 0.2, 0.25, 0.315, 0.4, 0.5, 0.63, 0.8, 1, 1.25, 1.6, 2, 2.5, 3.15, 4, 5, 6.3, 8, 10,
];
const UL_AMPS = [0.5, 0.75, 1, 1.5, 2, 2.5, 3, 4, 5, 6, 7, 8, 10, 12, 15];
const PLUG_AMPS = [3, 5, 13];
const VEHICLE_AMPS = [2, 3, 5, 7.5, 10, 15];
const BREAKING = ["high", "enhanced", "low"] as const;

export function* fuses(): Generator<Listed> {
  for (const amps of IEC_AMPS)
    for (const body of ["5x20", "6.3x32"])
      for (const speed of ["FF", "F", "T", "TT"])
        for (const breaking of BREAKING)
          yield {
            label: `Fuse ${speed} ${amps} A ${breaking} ${body} 250 V`,
            attributes: { rating: "iec-60127", amps, speed, body, breaking, volts: 250 },
            priceMinor: breaking === "low" ? 35 : 70,
            days: 2,
          };
  for (const amps of UL_AMPS)
    for (const [speed, body] of [
      ["F", "6.3x32"],
      ["T", "6.3x32"],
      ["F", "5x20"],
    ] as const)
      yield {
        label: `Fuse ${speed} ${amps} A ${body} 250 V, UL`,
        attributes: { rating: "ul-248-14", amps, speed, body, breaking: "low", volts: 250 },
        priceMinor: 60,
        days: 4,
      };
  for (const amps of PLUG_AMPS)
    yield {
      label: `Plug fuse ${amps} A`,
      attributes: { rating: "plug-top", amps, speed: "F", body: "plug-top", breaking: "high", volts: 240 },
      priceMinor: 50,
      days: 1,
    };
  for (const amps of VEHICLE_AMPS)
    yield {
      label: `Vehicle fuse ${amps} A`,
      attributes: { rating: "iec-60127", amps, speed: "F", body: "blade", breaking: "low", volts: 0 },
      priceMinor: 20,
      days: 1,
    };
}
