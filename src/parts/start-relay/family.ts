import { follows } from "@/core/matching/facts";
import type { Family } from "@/core/matching/family";
import { MAKERS_NUMBER } from "@/core/matching/makers-number";
import { choice, equal, rating, voltsAc } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { startRelays } from "./series";

/** Start relays and PTC starters: the kind and the pick-up of this motor. Source: shop-practice. */
export const family: Family = {
  id: "start-relay",
  title: "Start relay or PTC",
  key: "ohms",
  attributes: {
    kind: choice(
      "Kind",
      {
        ptc: "PTC, no moving part",
        current: "current, a coil of thick wire",
        potential: "potential, a coil of thin wire",
      },
      { how: "Shake it, look at its coil.", minutes: 1 },
    ),
    ohms: equal(
      "Cold ohms of a PTC",
      "Ω",
      1.5,
      { how: "Cold for ten minutes, off the motor.", minutes: 2 },
      { isHard: "when-known" },
    ),
    picks: equal(
      "Picks up at",
      "A",
      0.3,
      { how: "Its number in the maker's list: not the motor's plate amps.", minutes: 4 },
      { isHard: "when-known" },
    ),
    amps: rating("Most amps", "A", { how: "Read it.", minutes: 1 }),
    volts: voltsAc({ how: "Read it.", minutes: 0.5 }),
    pins: choice(
      "Fits on",
      { "3": "three pins", "2": "two tabs", tabs: "flat tabs" },
      { how: "Look.", minutes: 0.5 },
    ),
    number: MAKERS_NUMBER,
  },
  never: [],
  schools: {},
  notes: {},
  goesWith: [],
  fromJob: ({ plate, mains }) => [follows("volts", plate.volts ?? mains.volts, "what feeds it")],
  used: { note: "A PTC read cold, a coil by its ohms, and the contacts." },
  drawing,
  series: startRelays,
};
