import type { LineEvent } from "@/core/safety/energy-event";
import type { Payloads } from "./schemas";

/** A cover or screw that only came off spoils nothing; wires and parts can. */
export function workOn(sort: Payloads["removed"]["sort"]): readonly LineEvent[] {
  switch (sort) {
    case "wire":
    case "connector":
      return [{ event: "worked", spoils: ["look", "insulation"], on: "wires", mends: [], stations: [] }];
    case "part":
      return [{ event: "worked", spoils: ["look", "insulation"], on: "parts", mends: [], stations: [] }];
    case "seal":
    case "washer":
      return [{ event: "worked", spoils: ["look"], on: "parts", mends: [], stations: [] }];
    case "cover":
    case "fastener":
    case "mark":
      return [];
  }
}
