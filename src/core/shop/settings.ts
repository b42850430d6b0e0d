import type { Shape } from "../validate";
import type { settingsSchema } from "./settings.input";

/** What the shop has set for itself. Stored whole, with a version. */
export type Settings = Shape<typeof settingsSchema>;
/** One range of one meter. */
export type Instrument = Settings["instruments"][number];

/** A shop that has set nothing yet. */
export const DEFAULT_SETTINGS: Settings = {
  shopName: "My mending room",
  address: "",
  telephone: "",
  calendarKey: "",
  region: "harmonised-230-50",
  volts: 230,
  hertz: 50,
  zone: "UTC",
  currency: "EUR",
  labourRateMinor: 2000,
  partsMarkupPercent: 0,
  taxPercent: 0,
  instruments: [
    {
      id: "pocket-meter-200u",
      label: "Pocket meter",
      quantity: "capacitance",
      upTo: "200u",
      percent: 2.5,
      counts: 5,
      resolution: "0.1u",
      mode: "ramp",
    },
  ],
  leadOhms: "",
  kit: [],
  residualOutlet: "",
  dischargeSchool: "resistor-then-short",
  substitution: { "capacitor-value": "near", seals: "as-original" },
  usesCounts: false,
  limits: {},
};

/** Whether the shop has named an outlet behind a residual-current device: without one nothing is run or measured live. */
export function isOutletNamed({ residualOutlet }: Pick<Settings, "residualOutlet">): boolean {
  return residualOutlet.trim() !== "";
}
