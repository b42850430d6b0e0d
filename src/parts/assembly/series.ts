import type { Listed } from "@/core/matching/family";

/** Machines of the made-up maker of Tern Quay, each with what its list sells in one piece. */
const MACHINES = [
  ["Garage-door opener", "21", ["gear-motor", "panel"]],
  ["Ice-cream churn", "22", ["gear-motor", "panel"]],
  ["Cement mixer", "23", ["gear-motor", "head"]],
  ["Honey extractor", "24", ["gear-motor", "head", "panel"]],
  ["Dehumidifier", "25", ["fan-motor", "pump-motor"]],
  ["Hedge trimmer", "26", ["head", "panel"]],
  ["Aquarium wave maker", "27", ["pump-motor"]],
  ["Sewing machine", "28", ["gear-motor", "panel"]],
  ["Floor polisher", "29", ["gear-motor", "panel"]],
] as const;
const WORDS = {
  "gear-motor": "motor with gears",
  "fan-motor": "motor with fan",
  "pump-motor": "motor with pump",
  head: "gear head",
  panel: "switch with board",
} as const;
const PRICES = {
  "gear-motor": 8900,
  "fan-motor": 5400,
  "pump-motor": 4600,
  head: 3900,
  panel: 2700,
} as const;
const MODELS = [1, 2, 3, 4];
/** Every other model's number has replaced an older one. */
const isReplaced = (model: number): boolean => model % 2 === 0;

/** Units by their number, each for one supply. */
export function* assemblies(): Generator<Listed> {
  for (const [machine, group, units] of MACHINES)
    for (const [place, what] of units.entries())
      for (const model of MODELS)
        for (const [volts, hertz, mark] of [
          [230, 50, "E"],
          [120, 60, "N"],
        ] as const) {
          const stem = `${group}-${place + 1}${model}`;
          const number = isReplaced(model) ? `${stem}B${mark}<${stem}A${mark}` : `${stem}A${mark}`;
          yield {
            label: `${machine} ${model}: ${WORDS[what]}, ${volts} V, ${number.split("<")[0]}`,
            attributes: { what, number, volts, hertz },
            priceMinor: PRICES[what] + model * 300,
            days: 8,
          };
        }
}
