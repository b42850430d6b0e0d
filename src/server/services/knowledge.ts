import { loadKnowledge } from "@/core/knowledge/load";
import type { Knowledge } from "@/core/knowledge/types";
import access from "@/knowledge/access.json";
import aliases from "@/knowledge/aliases.json";
import archetypes from "@/knowledge/archetypes.json";
import capacitors from "@/knowledge/capacitors.json";
import conditions from "@/knowledge/conditions.json";
import deadChecks from "@/knowledge/deadChecks.json";
import effects from "@/knowledge/effects.json";
import families from "@/knowledge/families.json";
import faults from "@/knowledge/faults.json";
import hazards from "@/knowledge/hazards.json";
import inseparable from "@/knowledge/inseparable.json";
import kit from "@/knowledge/kit.json";
import limits from "@/knowledge/limits.json";
import moves from "@/knowledge/moves.json";
import numeric from "@/knowledge/numeric.json";
import outcomes from "@/knowledge/outcomes.json";
import recalls from "@/knowledge/recalls.json";
import regions from "@/knowledge/regions.json";
import repairs from "@/knowledge/repairs.json";
import seen from "@/knowledge/seen.json";
import signs from "@/knowledge/signs.json";
import sources from "@/knowledge/sources.json";
import stations from "@/knowledge/stations.json";

export const RAW_KNOWLEDGE = {
  access,
  aliases,
  archetypes,
  capacitors,
  conditions,
  deadChecks,
  effects,
  families,
  faults,
  hazards,
  inseparable,
  kit,
  limits,
  moves,
  numeric,
  outcomes,
  recalls,
  regions,
  repairs,
  seen,
  signs,
  sources,
  stations,
};

let loaded: Knowledge | undefined;

/** The knowledge this program ships with. A fault in it stops the program at start, with every problem named. */
export function shopKnowledge(): Knowledge {
  if (!loaded) {
    const result = loadKnowledge(RAW_KNOWLEDGE);
    if (!result.ok)
      throw new Error(
        `The knowledge does not fit:\n${result.issues.map(({ message }) => message).join("\n")}`,
      );
    loaded = result.value;
  }
  return loaded;
}
