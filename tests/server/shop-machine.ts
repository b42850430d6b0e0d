import { EMPTY_DOOR_FACTS } from "@/core/job/log/empty-facts";

/** The machine that server tests take in. */
export const CARDER = {
  machine: "Wool carder",
  tag: "",
  place: "left bench",
  family: "capacitor-start",
  protectionClass: "class-1",
  connection: "plug",
  heater: "no",
  ceilingMinor: 8000,
  history: "",
  ...EMPTY_DOOR_FACTS,
} as const;
