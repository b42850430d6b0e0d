import type { Family } from "@/core/matching/family";
import { choice, size } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { washers } from "./series";

/** Wave, thrust and felt washers beside a bearing. */
export const family: Family = {
  id: "washer",
  title: "Washer or felt",
  key: "inside",
  attributes: {
    kind: choice(
      "Kind",
      { wave: "wave, sprung", thrust: "thrust, hard", fibre: "fibre", felt: "felt ring" },
      { how: "Look.", minutes: 0.5 },
    ),
    inside: size("Inside", 0.3, { how: "Caliper.", minutes: 1 }),
    outside: size("Outside", 0.3, { how: "Caliper, or the seat.", minutes: 1 }),
    thickness: size("Thickness", 0.11, { how: "Caliper; of a wave washer the sheet alone.", minutes: 1 }),
  },
  never: [],
  schools: {},
  notes: {},
  goesWith: [],
  used: { note: "Flat, not blue from heat, no ridge worn into it." },
  drawing,
  series: washers,
};
