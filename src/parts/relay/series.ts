import type { Listed } from "@/core/matching/family";

export function* relays(): Generator<Listed> {
  for (const coil of [5, 12, 24, 48, 110, 230])
    for (const supply of coil < 24 ? ["dc"] : ["ac", "dc"])
      for (const contacts of ["no", "nc", "co"])
        for (const poles of [1, 2, 3])
          for (const amps of [3, 6, 9, 12])
            for (const mount of ["board", "rail", "tabs"])
              yield {
                label: `Relay ${coil} V ${supply.toUpperCase()}, ${poles} × ${contacts.toUpperCase()} ${amps} A for motors, ${mount}`,
                attributes: { coil, supply, contacts, poles, amps, volts: 250, mount },
                priceMinor: Math.round(260 + amps * 40 + poles * 90 + (mount === "rail" ? 500 : 0)),
                days: 3,
              };
}
