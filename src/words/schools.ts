import type { DischargeSchool } from "@/core/safety/discharge";

/** The ways of draining a capacitor, the default first. */
export const DISCHARGE_CHOICES: readonly { readonly value: DischargeSchool; readonly label: string }[] = [
  { value: "resistor-then-short", label: "Resistor, then insulated short" },
  { value: "resistor-only", label: "Resistor only, clip left on" },
  { value: "insulated-short", label: "Insulated short" },
];
