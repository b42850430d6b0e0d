import { REPAIRED_STORIES } from "./repaired-stories";
import { capacitorReading, drainedVolts } from "./shop";
import {
  asked,
  bench,
  complaint,
  earthed,
  followUp,
  insulated,
  looked,
  machine,
  marked,
  measured,
  note,
  opened,
  plate,
  type Story,
  unplugged,
} from "./story";

const HOUR = 60;
const DAY = 24 * HOUR;
const CARDER_MARK = "145-174 μF 250 VAC 50/60 Hz";
const CHURN_MARK = "20 μF ±5 % 450 VAC 25/085/21 S0";
const MIXER_MARK = "161-193 μF 250 VAC";
const SCRATTER_MARK = "100-120 μF 250 VAC";

/** Jobs of the demo shop, oldest first, at different stages. Minutes are offsets from the anchor. */
export const STORIES: readonly Story[] = [
  {
    seed: 41,
    by: "right bench",
    minute: -9 * DAY,
    owner: { name: "Harbour café", contact: "in person, mornings" },
    takenIn: machine("Ice-cream churn", "shelf 2", "permanent-split-capacitor", {
      tag: "churn 2",
      ceilingMinor: 9000,
      history: "Stood a winter in the salt air.",
    }),
    complaint: complaint(
      ["turns-slowly", "hot-to-touch"],
      "after-minutes",
      "It gets slow once the mix thickens.",
    ),
    plate: plate("230", "50", "0.9", "120 W", "1400"),
    lines: [
      looked(-9 * DAY + 12),
      unplugged(-9 * DAY + 15 - 1),
      earthed(-9 * DAY + 15, "0.08"),
      insulated(-9 * DAY + 18, "190M"),
      unplugged(-8 * DAY),
      opened(-8 * DAY + 6, "motor cover"),
      marked(-8 * DAY + 8, "run", CHURN_MARK),
      bench(-8 * DAY + 9, { event: "stored-volts", id: "run", volts: drainedVolts(636, 20, 2) }),
      measured(-8 * DAY + 12, "run-capacitance", capacitorReading(41, CHURN_MARK, 19.6, "16 °C")),
      note(
        -8 * DAY + 20,
        "measure",
        "Ran twenty minutes with water only, nothing wrong: needs a thick mix to show.",
      ),
      followUp(-8 * DAY + 22, {
        what: "Run it again with a full, cold mix",
        onDay: "ANCHOR",
        condition: "café brings a batch",
      }),
    ],
  },
  {
    seed: 42,
    by: "left bench",
    minute: -6 * DAY,
    owner: { name: "Moss Farm", contact: "message, evenings" },
    takenIn: machine("Cement mixer", "yard door", "capacitor-start", {
      history: "Repaired twice, once by the neighbour.",
      ceilingMinor: 12000,
    }),
    complaint: complaint(["hum", "trips-breaker"], "cold", "Only the first start in the morning trips it."),
    plate: plate("230", "50", "4.6", "550 W", "1420", "S3 60 %"),
    lines: [
      looked(-6 * DAY + 10),
      unplugged(-6 * DAY + 13 - 1),
      earthed(-6 * DAY + 13, "0.06"),
      insulated(-6 * DAY + 15, "42M"),
      unplugged(-6 * DAY + 30),
      opened(-6 * DAY + 34, "capacitor hump"),
      marked(-6 * DAY + 35, "start", MIXER_MARK),
      bench(-6 * DAY + 38, { event: "stored-volts", id: "start", volts: drainedVolts(354, 177, 14) }),
      bench(-6 * DAY + 40, { event: "stored-volts", id: "start", volts: "2.6 V" }),
      measured(-6 * DAY + 41, "start-capacitance", capacitorReading(42, MIXER_MARK, 176, "17 °C")),
      followUp(-6 * DAY + 50, {
        what: "Start it first thing on a frosty morning",
        onDay: "ANCHOR+8",
        condition: "below 4 °C in the yard",
      }),
    ],
  },
  {
    seed: 43,
    by: "left bench",
    minute: -2 * DAY - 3 * HOUR,
    owner: { name: "Tansy Weavers", contact: "telephone, noon" },
    takenIn: machine("Wool carder", "left bench", "capacitor-start", {
      ceilingMinor: 8000,
      history: "Stands in a cold barn; ran last week.",
    }),
    complaint: complaint(
      ["hum", "does-not-turn", "runs-when-pushed"],
      "always",
      "It hums. If I spin the drum by hand it goes.",
    ),
    plate: plate("230", "50", "3.4", "1/2 hp", "1425"),
    lines: [
      looked(-2 * DAY - 170),
      unplugged(-2 * DAY - 168 - 1),
      earthed(-2 * DAY - 168, "0.05"),
      insulated(-2 * DAY - 165, "85M"),
      unplugged(-95, "plug-in-pocket"),
      opened(-90, "capacitor hump"),
      marked(-88, "start", CARDER_MARK),
      bench(-86, { event: "stored-volts", id: "start", volts: drainedVolts(354, 62, 6.6) }),
      bench(-84, { event: "stored-volts", id: "start", volts: "0.8 V" }),
      measured(
        -82,
        "start-capacitance",
        capacitorReading(43, CARDER_MARK, 61.5, "14 °C", { bleedResistor: "lifted" }),
      ),
    ],
  },
  {
    seed: 44,
    by: "right bench",
    minute: -1 * DAY - 2 * HOUR,
    owner: { name: "Orchard Cooperative", contact: "telephone" },
    takenIn: machine("Cider scratter", "right bench", "capacitor-start", {
      connection: "detachable-cord",
      ceilingMinor: 15000,
    }),
    complaint: complaint(
      ["hum", "does-not-turn", "hot-plastic"],
      "loaded",
      "Stopped dead in the middle of a load of apples.",
    ),
    plate: plate("230", "50", "5.1", "750 W", "1410"),
    lines: [
      looked(-1 * DAY - 100),
      unplugged(-1 * DAY - 97 - 1),
      earthed(-1 * DAY - 97, "0.07"),
      insulated(-1 * DAY - 95, "18M"),
      unplugged(-60, "cord-off-machine"),
      opened(-55, "capacitor hump"),
      marked(-53, "start", SCRATTER_MARK),
      bench(-52, { event: "stored-volts", id: "start", volts: drainedVolts(354, 110, 0.9) }),
    ],
  },
  {
    seed: 45,
    by: "right bench",
    minute: -1 * DAY,
    owner: { name: "Fern Pottery", contact: "message" },
    takenIn: machine("Pottery wheel", "shelf 1", "permanent-magnet-dc", {
      protectionClass: "class-1",
      history: "New brushes two years ago.",
    }),
    complaint: complaint(
      ["turns-slowly", "sparks-at-brushes", "ozone"],
      "loaded",
      "It bogs down with a big lump.",
    ),
    plate: plate("180", "", "2.8", "0.37 kW", "1800", "DC, rectified"),
    lines: [
      looked(-1 * DAY + 20),
      unplugged(-1 * DAY + 22 - 1),
      earthed(-1 * DAY + 22, "0.09"),
      insulated(-1 * DAY + 25, "6.5M"),
      asked(-1 * DAY + 40, {
        question: "May we go to 95.00, brushes and turning the commutator?",
        answer: "asked",
        means: "message",
      }),
    ],
  },
  {
    seed: 46,
    by: "left bench",
    minute: -4 * HOUR,
    owner: { name: "Kelp Row guest house", contact: "in person" },
    takenIn: machine("Dehumidifier", "by the window", "permanent-split-capacitor", {
      protectionClass: "class-1",
      heater: "no",
    }),
    complaint: complaint(
      ["trips-residual"],
      "sometimes",
      "Throws the switch in the hall when the weather is wet.",
    ),
    plate: plate("230", "50", "1.2", "210 W", "1350"),
    lines: [
      looked(-4 * HOUR + 12),
      unplugged(-4 * HOUR + 15 - 1),
      earthed(-4 * HOUR + 15, "0.06"),
      insulated(-4 * HOUR + 19, "0.4M"),
      note(
        -4 * HOUR + 21,
        "make-safe",
        "Damp to the touch inside the grille. Left open to dry by the window.",
      ),
    ],
  },
  {
    seed: 47,
    by: "left bench",
    minute: -40,
    owner: { name: "Beacon Garage", contact: "telephone" },
    takenIn: machine("Garage-door opener", "floor, left", "not-known", {
      protectionClass: "not-known",
      connection: "fixed",
    }),
    complaint: complaint(["click-only"], "always", "One click on the ceiling and nothing moves."),
    plate: null,
    lines: [],
  },
  ...REPAIRED_STORIES,
];
