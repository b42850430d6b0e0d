import type { BenchEvent } from "@/core/safety/bench-event.input";
import { storeWords } from "@/words/stores";
import { voltsRead } from "@/words/volts-read";
import type { KindWords } from "../../kind-words";

type Of<E extends BenchEvent["event"]> = Extract<BenchEvent, { event: E }>;

const EVIDENCE: Readonly<Record<Of<"unplugged">["evidence"], string>> = {
  "plug-in-sight": "plug in sight",
  "plug-in-pocket": "plug in the pocket",
  "plug-tagged": "plug tagged",
  "cord-off-machine": "cord off the machine",
};

const HELD: Readonly<Record<Exclude<Of<"held">["id"], "coasting">, string>> = {
  springs: "Springs",
  "lifted-load": "Lifted load",
  pressure: "Pressure",
  heat: "Heat",
  belt: "Belt",
  blades: "Blades",
};

const STANDS: Readonly<Record<Of<"held">["is"], string>> = {
  held: "It stands still",
  free: "It may be turning still",
  none: "It does not run on",
};

const INCIDENTS: Readonly<Record<Of<"incident">["what"], string>> = {
  trip: "it tripped the breaker",
  "residual-trip": "it tripped the RCD (GFCI)",
  smoke: "smoke",
  smell: "a burnt smell",
  tingle: "a tingle",
};

export const words: KindWords<"bench-state"> = (payload) => {
  switch (payload.event) {
    case "plugged-in":
      return payload.outlet === "residual-current" ? "Plugged in behind the RCD (GFCI)" : "Plugged in";
    case "unplugged":
      return `Unplugged, ${EVIDENCE[payload.evidence]}`;
    case "isolated":
      return `${voltsRead(payload)} read where it is isolated, ${payload.means}`;
    case "not-known":
      return "Plug not known";
    case "battery":
      return payload.is === "out" ? "Battery out" : "Battery in";
    case "stored-volts":
      return `${voltsRead(payload)} read on the ${storeWords(payload.id)}`;
    case "stored-clip":
      return `Clip left on the ${storeWords(payload.id)}`;
    case "stored-cannot":
      return `Charge of the ${storeWords(payload.id)} not read: ${payload.why}`;
    case "nothing-stores":
      return payload.why === ""
        ? "Nothing in it stores charge"
        : `Nothing in it stores charge: ${payload.why}`;
    case "clips-off":
      return "Clips taken off";
    case "stored-none":
      return `No ${storeWords(payload.id)}: ${payload.why}`;
    case "incident":
      return `Under power: ${INCIDENTS[payload.what]}`;
    case "held":
      if (payload.id === "coasting") return STANDS[payload.is];
      if (payload.id === "heat" && payload.is !== "none")
        return payload.is === "held" ? "It is cold" : "It is hot";
      return `${HELD[payload.id]} ${payload.is === "none" ? "not in this machine" : payload.is}${payload.why ? `: ${payload.why}` : ""}`;
    case "seen-to":
      return `Seen to: ${payload.id.replaceAll("-", " ")}`;
    case "load":
      return payload.is === "separated" ? "Motor parted from its load" : "Motor joined to its load";
    case "temperature":
      return `Machine is ${payload.is}`;
  }
};
