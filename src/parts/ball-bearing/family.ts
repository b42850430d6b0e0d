import type { Family } from "@/core/matching/family";
import { SUBSTITUTION } from "@/core/matching/schools";
import { choice, size } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { readBearing } from "./mark";
import { bearings } from "./series";

const CALIPER = "Caliper, on the ring that did not spin.";

/** Ball bearings by their three sizes; the stamp is held against the caliper. Source: iso-15. */
export const family: Family = {
  id: "ball-bearing",
  title: "Ball bearing",
  key: "bore",
  fitted: 2,
  attributes: {
    bore: size("Bore", 0.05, { how: `${CALIPER} A ring that spun on the shaft reads large.`, minutes: 2 }),
    outside: size("Outside", 0.05, { how: `${CALIPER} One that spun in its seat reads small.`, minutes: 1 }),
    width: size("Width", 0.1, { how: "Caliper, over the rings, not over the seals.", minutes: 1 }),
    seals: choice(
      "Seals",
      { sealed: "rubber, both sides", shielded: "metal, both sides", open: "open" },
      { how: "Look at both sides.", minutes: 0.5 },
      {
        rule: {
          kind: "instead",
          notes: {
            shielded: { sealed: "sealed-for-shielded" },
            open: { shielded: "closed-for-open", sealed: "closed-for-open" },
          },
          bySchool: {
            school: "seals",
            choice: "metal-for-fast",
            notes: { sealed: { shielded: "shielded-for-sealed" } },
          },
        },
      },
    ),
    clearance: choice(
      "Clearance",
      { C2: "C2", CN: "normal", C3: "C3", C4: "C4", C5: "C5" },
      { how: "C3 after the number; nothing means normal.", minutes: 0.5 },
      { rule: { kind: "instead", notes: { CN: { C3: "c3-for-normal" }, C3: { CN: "normal-for-c3" } } } },
    ),
    grade: choice(
      "Made for",
      { motor: "motors, quiet, greased for heat", plain: "wheels and toys" },
      { how: "A motor's: always for motors.", minutes: 0 },
      { isHard: false },
    ),
  },
  never: [],
  schools: { seals: SUBSTITUTION.seals },
  notes: {
    "sealed-for-shielded": "Rubber for metal: keeps more out, drags a little, not above about 100 °C.",
    "shielded-for-sealed": "Metal for rubber: only where it stays dry and free of dust.",
    "closed-for-open": "Closed for open: the oil of the housing no longer reaches the balls.",
    "c3-for-normal": "C3 for normal: a little looser and louder cold, made for motors.",
    "normal-for-c3": "Normal for C3: may run tight when the motor is hot.",
  },
  goesWith: [
    {
      label: "Wave washer",
      why: "It holds the outer ring; a flat one lets it creep.",
      count: 1,
      priceMinor: 45,
    },
  ],
  readMark: readBearing,
  fromJob: () => [{ attribute: "grade", value: "motor", from: "assumed", said: "it is for a motor" }],
  used: { never: "A bearing that was pulled off carries its pull in its balls and tracks: always new ones." },
  drawing,
  series: bearings,
};
