import type { Family } from "@/core/matching/family";
import { MAKERS_NUMBER } from "@/core/matching/makers-number";
import { choice, size, trimmed } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { readBrush } from "./mark";
import { brushes } from "./series";

const CALIPER = "Caliper, on the end that does not wear.";

/** Carbon brushes: they slide in their holder, so two sizes are exact; the third can be filed down. */
export const family: Family = {
  id: "brush",
  title: "Brush pair",
  key: "thickness",
  attributes: {
    thickness: size("Thickness", 0.1, { how: `${CALIPER} The smaller of the two.`, minutes: 1 }),
    width: size("Width", 0.1, { how: `${CALIPER} The larger of the two.`, minutes: 1 }),
    length: trimmed("Length, new", { how: "A new one, or the holder's depth less the spring.", minutes: 2 }),
    contact: choice(
      "Its lead ends in",
      { tag: "a flat tag", cap: "a round cap", spade: "a spade", wire: "bare braid" },
      { how: "Look.", minutes: 0.5 },
    ),
    spring: choice(
      "Spring",
      { own: "on the brush", holder: "in the holder" },
      { how: "Look.", minutes: 0.5 },
      { rule: { kind: "instead", notes: { holder: { own: "spring-off" } } } },
    ),
    grade: choice(
      "Grade",
      { electro: "electrographite, fast motors", hard: "hard carbon", metal: "metal, low volts" },
      { how: "The maker's letters; grey and greasy is graphite, copper shows metal.", minutes: 2 },
    ),
    number: MAKERS_NUMBER,
  },
  never: [],
  schools: {},
  notes: { "spring-off": "Take its own spring off: the holder has one." },
  goesWith: [
    {
      label: "Springs for the pair",
      why: "Heat took the old ones' force: a brush that is pressed too little sparks.",
      count: 1,
      priceMinor: 160,
      when: (need) => need["spring"] === "holder",
    },
  ],
  readMark: readBrush,
  used: {
    never:
      "A brush has worn itself round for another commutator and burns this one: always new ones, in pairs.",
  },
  drawing,
  series: brushes,
};
