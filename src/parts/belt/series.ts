import type { Listed } from "@/core/matching/family";
import { mm } from "@/core/matching/specs";

interface Kind {
  readonly section: string;
  readonly name: string;
  readonly counts: readonly number[];
  readonly from: number;
  readonly to: number;
  /** Teeth are whole: the length goes up by the pitch or by the step of the list. */
  readonly step: number;
  readonly stretch: readonly string[];
}

const KINDS: readonly Kind[] = [
  { section: "z", name: "Z", counts: [1], from: 400, to: 1500, step: 25, stretch: ["fixed"] },
  { section: "a", name: "A", counts: [1], from: 500, to: 2500, step: 25, stretch: ["fixed"] },
  { section: "b", name: "B", counts: [1], from: 700, to: 2800, step: 50, stretch: ["fixed"] },
  { section: "spz", name: "SPZ", counts: [1], from: 500, to: 1800, step: 25, stretch: ["fixed"] },
  {
    section: "j",
    name: "J",
    counts: [2, 3, 4, 5, 6, 8, 10],
    from: 356,
    to: 1500,
    step: 22,
    stretch: ["fixed", "elastic"],
  },
  { section: "h", name: "H", counts: [4, 6, 7, 8], from: 800, to: 1600, step: 20, stretch: ["elastic"] },
  { section: "t-3", name: "3M", counts: [6, 9, 15], from: 120, to: 900, step: 12, stretch: ["fixed"] },
  { section: "t-5", name: "5M", counts: [9, 12, 15, 25], from: 225, to: 1600, step: 25, stretch: ["fixed"] },
  { section: "t-8", name: "8M", counts: [20, 30, 50], from: 400, to: 2000, step: 40, stretch: ["fixed"] },
  {
    section: "round",
    name: "round",
    counts: [3, 4, 5, 6],
    from: 150,
    to: 900,
    step: 10,
    stretch: ["elastic"],
  },
];

export function* belts(): Generator<Listed> {
  for (const { section, name, counts, from, to, step, stretch } of KINDS)
    for (const count of counts)
      for (let length = from; length <= to; length += step)
        for (const kind of stretch)
          yield {
            label: `Belt ${name} ${length} mm${counts.length > 1 ? `, ${count}${section.startsWith("t") ? " mm wide" : section === "round" ? " mm" : " ribs"}` : ""}${kind === "elastic" ? ", elastic" : ""}`,
            attributes: { section, count, length: mm(length), stretch: kind },
            priceMinor: Math.round(220 + length * 0.35 + count * 12),
            days: 3,
          };
}
