import type { Listed } from "@/core/matching/family";

const SQUARE_MM = 1e-6;

export function* cords(): Generator<Listed> {
  for (const cores of [2, 3])
    for (const square of [0.5, 0.75, 1, 1.5, 2.5, 4])
      for (const sheath of ["light", "pvc", "rubber", "rubber-heavy"])
        for (const length of [1.5, 2, 3, 4, 5, 10]) {
          if (sheath === "light" && square > 0.75) continue;
          yield {
            label: `Cord ${cores} × ${square} mm², ${sheath === "rubber-heavy" ? "heavy rubber" : sheath === "pvc" ? "plastic" : sheath === "light" ? "light plastic" : "rubber"}, ${length} m`,
            attributes: { cores, section: Number((square * SQUARE_MM).toPrecision(12)), sheath, length },
            priceMinor: Math.round(120 + length * (40 + cores * square * 45)),
            days: 2,
          };
        }
}
