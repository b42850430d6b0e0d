import { formatQuantity } from "@/core/quantity/format";
import { parseReading } from "@/core/quantity/parse-reading";
import { seededRandom } from "@/core/seeded-random";
import type { Settings } from "@/core/shop/settings";
import { meterShows, voltsAfter } from "@/core/simulation/meter";

/** The Tern Quay Mending Room, on an island that is on no chart. */
export const TERN_QUAY: Settings = {
  shopName: "Tern Quay Mending Room",
  address: "Net Loft, Tern Quay",
  telephone: "Tern Quay 41",
  calendarKey: "",
  region: "harmonised-230-50",
  volts: 230,
  hertz: 50,
  zone: "Atlantic/Faroe",
  currency: "EUR",
  labourRateMinor: 2800,
  partsMarkupPercent: 0,
  taxPercent: 0,
  instruments: [
    {
      id: "bench-capacitance-200u",
      label: "Bench meter",
      quantity: "capacitance",
      upTo: "200u",
      percent: 1.5,
      counts: 5,
      resolution: "0.1u",
      mode: "ramp",
    },
    {
      id: "bench-capacitance-20u",
      label: "Bench meter",
      quantity: "capacitance",
      upTo: "20u",
      percent: 1.5,
      counts: 5,
      resolution: "0.01u",
      mode: "ramp",
    },
    {
      id: "bench-resistance-200",
      label: "Bench meter",
      quantity: "resistance",
      upTo: "200",
      percent: 0.8,
      counts: 3,
      resolution: "0.1",
      mode: "ramp",
    },
    {
      id: "bench-resistance-20k",
      label: "Bench meter",
      quantity: "resistance",
      upTo: "20k",
      percent: 0.8,
      counts: 3,
      resolution: "10",
      mode: "ramp",
    },
    {
      id: "insulation-500",
      label: "Insulation tester",
      quantity: "insulation",
      upTo: "200M",
      percent: 3,
      counts: 5,
      resolution: "0.1M",
      mode: "ramp",
    },
  ],
  kit: [
    "residual-current-outlet",
    "insulation-tester",
    "earth-tester",
    "discharge-resistor",
    "series-lamp",
    "thermometer",
    "bearing-puller",
  ],
  leadOhms: "0.2",
  residualOutlet: "green socket, left bench",
  dischargeSchool: "resistor-then-short",
  substitution: { "capacitor-value": "near", seals: "as-original" },
  usesCounts: false,
  limits: {},
};

const DRAIN_OHMS = 15_000;
const LEFT_BENCH_METER = { percent: 1.5, counts: 5, mode: "ramp" } as const;

/** A capacitor reading as the bench meter would show it, with the input that a screen would have posted. */
export function capacitorReading(
  seed: number,
  mark: string,
  trueMicrofarads: number,
  temperature: string,
  extra: object = {},
): object {
  const resolution = trueMicrofarads < 20 ? "0.01u" : "0.1u";
  const digit = parseReading(resolution, "capacitance");
  if (!digit.ok || digit.value.reading.kind !== "value") throw new Error("the demo meter has no last digit");
  const accuracy = {
    share: LEFT_BENCH_METER.percent / 100,
    counts: LEFT_BENCH_METER.counts,
    resolution: digit.value.reading.value,
  };
  const shown = meterShows(trueMicrofarads * 1e-6, accuracy, seededRandom(seed));
  const { number, unit } = formatQuantity(shown, "F", 5);
  return {
    mark,
    reading: `${number} ${unit}`,
    meter: { ...LEFT_BENCH_METER, resolution },
    bleedResistor: "none",
    temperature,
    ...extra,
  };
}

/** Volts that the meter shows on a capacitor that stood at its peak and was drained for a while. */
export function drainedVolts(startVolts: number, microfarads: number, seconds: number): string {
  const left = voltsAfter(startVolts, DRAIN_OHMS, microfarads * 1e-6, seconds);
  return `${formatQuantity(left, "V", 2).number} V`;
}
