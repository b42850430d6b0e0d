import type { LeadGroup } from "@/core/windings/lead-map";
import { areAlike, type GroupSense, otherEnd, senseOf } from "@/core/windings/sense";
import type { Input, Said } from "./fields";
import { leadIndex, nameOf, pairNamed } from "./readings";

export interface Sensed {
  readonly group: LeadGroup;
  readonly sense: GroupSense;
}

/** What one group is, in a sentence; a lead by itself and a link say theirs as cautions. */
function sentence({ leads }: Input["pairs"], { sense }: Sensed): Said[] {
  const name = (lead: number): string => nameOf(leads, lead);
  switch (sense.kind) {
    case "winding": {
      const { a, b, ohms } = sense.winding;
      return [{ code: "map/winding", params: { ...pairNamed(leads, a, b), ohms } }];
    }
    case "two": {
      const { common, low, high, isEqual } = sense;
      const ends = {
        common: name(common),
        run: name(otherEnd(low, common)),
        start: name(otherEnd(high, common)),
      };
      const params = { ...ends, low: low.ohms, high: high.ohms };
      return [{ code: isEqual ? "map/either-main" : "map/two-on-common", params }];
    }
    case "three":
      return [{ code: sense.isEqual ? "map/three-alike" : "map/three-unlike", params: { ohms: sense.ohms } }];
    case "string":
      return [
        {
          code: "map/string",
          params: {
            leads: sense.leads.map(name).join("|"),
            ohms: sense.ohms.map((one) => one.toPrecision(6)).join("|"),
            common: sense.common === undefined ? "" : name(sense.common),
          },
        },
      ];
    case "star": {
      const params = { common: name(sense.common), count: sense.windings.length, isEqual: sense.isEqual };
      return [{ code: sense.common < 0 ? "map/inside-star" : "map/on-one-lead", params }];
    }
    case "branched":
      return [{ code: "map/branched", params: {} }];
    case "loop":
      return [{ code: "map/loop", params: {} }];
    default:
      return [];
  }
}

function singles(sensed: readonly Sensed[]) {
  return sensed.flatMap(({ sense }) => (sense.kind === "winding" ? [sense.winding] : []));
}

/** Windings apart that are alike: halves of a winding for two voltages, to be joined one way only. */
export function alikePairs(sensed: readonly Sensed[], alike: number) {
  const windings = singles(sensed);
  return windings.flatMap((one, index) =>
    windings
      .slice(index + 1)
      .flatMap((other) => (areAlike([one.ohms, other.ohms], alike) ? [[one, other] as const] : [])),
  );
}

/** Sentences of a motor without brushes: the whole first where there are several groups. */
export function inductionReasons(input: Input, sensed: readonly Sensed[], alike: number): Said[] {
  const { leads } = input.pairs;
  const groups = sensed.filter(({ sense }) => sense.kind !== "lead");
  const [pair] = alikePairs(sensed, alike);
  const isHalf = ({ sense }: Sensed): boolean =>
    sense.kind === "winding" && (pair?.includes(sense.winding) ?? false);
  const own = groups.filter((one) => !isHalf(one)).flatMap((one) => sentence(input.pairs, one));
  const halves: Said[] = pair
    ? [
        {
          code: "map/dual-voltage",
          params: {
            first: Object.values(pairNamed(leads, pair[0].a, pair[0].b)).join("–"),
            second: Object.values(pairNamed(leads, pair[1].a, pair[1].b)).join("–"),
            ohms: pair[0].ohms,
          },
        },
      ]
    : [];
  if (groups.length < 2) return own;
  return [
    ...halves,
    ...(halves.length === 0 ? [{ code: "map/groups" as const, params: { count: groups.length } }] : []),
    ...own,
  ];
}

/**
 * What the separate parts of a brushed motor are: the pair whose ohms jump goes through the brushes; two alike are the
 * halves of the field; three leads in a string are a field with a tap; far more ohms than the rest, alone, are a speed
 * sensor.
 */
export function brushedReasons(
  input: Input,
  sensed: readonly Sensed[],
  sensorFrom: number,
): { readonly reasons: Said[]; readonly cautions: Said[] } {
  const { leads } = input.pairs;
  const jumping = input.jumps ? [leadIndex(leads, input.jumps.a), leadIndex(leads, input.jumps.b)] : [];
  const windings = sensed.flatMap(({ group }) => group.networks[0]?.windings ?? []);
  const least = Math.min(...windings.map(({ ohms }) => ohms));
  const cautions: Said[] = [];
  const reasons: Said[] = [{ code: "map/brushed", params: { count: sensed.length } }];
  for (const { group, sense } of sensed) {
    if (sense.kind === "winding") {
      const { a, b, ohms } = sense.winding;
      const named = { ...pairNamed(leads, a, b), ohms };
      if (jumping.length > 0 && jumping.every((lead) => group.leads.includes(lead)))
        cautions.push({ code: "map/armature", params: named });
      else if (ohms >= sensorFrom && ohms > 4 * least) cautions.push({ code: "map/sensor", params: named });
      else reasons.push({ code: "map/winding", params: named });
    }
    if (sense.kind === "two") {
      const [low, high] = [sense.low, sense.high].map((one) => nameOf(leads, otherEnd(one, sense.common)));
      reasons.push({
        code: "map/tapped-field",
        params: {
          tap: nameOf(leads, sense.common),
          a: low ?? "",
          b: high ?? "",
          low: sense.low.ohms,
          high: sense.high.ohms,
        },
      });
    }
    if (sense.kind === "link")
      cautions.push({
        code: "map/thermal",
        params: pairNamed(leads, group.leads[0] ?? 0, group.leads[1] ?? 0),
      });
  }
  return { reasons, cautions };
}

/** Groups with what they are. */
export function sensedOf(groups: readonly LeadGroup[], alike: number): Sensed[] {
  return groups.map((group) => ({ group, sense: senseOf(group, alike) }));
}
