import { AT_THE_DOOR_UNSAID } from "@/core/job/nothing-said";

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
  ...AT_THE_DOOR_UNSAID,
} as const;
