import { follows, fromPlate } from "@/core/matching/facts";
import type { Family } from "@/core/matching/family";
import { MAKERS_NUMBER } from "@/core/matching/makers-number";
import { choice, count, equal, rating } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { relays } from "./series";

/** Relays and contactors: coil exact, contacts never under. Source: iec-60947-4-1. */
export const family: Family = {
  id: "relay",
  title: "Relay or contactor",
  key: "coil",
  attributes: {
    coil: equal(
      "Coil volts",
      "V",
      0.5,
      { how: "Read the coil, not the contacts.", minutes: 1 },
      { isSafety: true },
    ),
    supply: choice(
      "Coil fed with",
      { ac: "AC", dc: "DC" },
      { how: "~ or = on the coil.", minutes: 0.5 },
      { isSafety: true },
    ),
    contacts: choice(
      "Contacts",
      { no: "close", nc: "open", co: "change over" },
      { how: "The little drawing on its body.", minutes: 1 },
      {
        rule: { kind: "instead", notes: { no: { co: "spare-contact" }, nc: { co: "spare-contact" } } },
        isSafety: true,
      },
    ),
    poles: count("Poles", { how: "Pairs of contacts.", minutes: 0.5 }),
    amps: rating("Amps for motors", "A", {
      how: "The figure for AC-3 or motors, not the one for heaters.",
      minutes: 1,
    }),
    volts: rating("Contact volts", "V", { how: "Read it.", minutes: 0.5 }),
    mount: choice(
      "Mounting",
      { board: "on a board", rail: "on a rail", tabs: "tabs" },
      { how: "Look.", minutes: 0.5 },
    ),
    number: MAKERS_NUMBER,
  },
  never: [],
  schools: {},
  notes: { "spare-contact": "Changes over: leave the third terminal free and insulated." },
  goesWith: [],
  fromJob: ({ plate, mains }) => [
    ...fromPlate("amps", plate.amps, "amps on the plate"),
    follows("volts", plate.volts ?? mains.volts, "what feeds it"),
  ],
  used: { note: "Its contacts read under a tenth of an ohm, and the coil within its ohms." },
  drawing,
  series: relays,
};
