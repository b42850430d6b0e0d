import type { AttributeSpec } from "./family";
import { judgeAttribute, type MatchContext } from "./judge";
import type { Value } from "./part";

/** Whether what is offered would pass where the other is needed. */
const passes = (spec: AttributeSpec, needed: Value, offered: Value, context: MatchContext): boolean =>
  judgeAttribute("", spec, needed, offered, context).fit !== "reject";

/** Whether all of a list that passes for the one passes for the other as well. */
function isWithin(spec: AttributeSpec, one: Value, other: Value, context: MatchContext): boolean {
  return Object.keys(spec.choices ?? {}).every(
    (choice) => !passes(spec, one, choice, context) || passes(spec, other, choice, context),
  );
}

/**
 * Whether one value asks for more than the other: whatever would do for it does for the other, and not the other way round. Two
 * that are merely different (48 V and 230 V of a winding, two ranges) are neither.
 */
export function isStricter(spec: AttributeSpec, one: Value, other: Value, context: MatchContext): boolean {
  if (typeof one === "number" && typeof other === "number") {
    if (spec.rule.kind === "at-least" && spec.rule.more === undefined) return one > other;
    return spec.rule.kind === "at-most" && one < other;
  }
  if (!spec.choices) return false;
  return isWithin(spec, one, other, context) && !isWithin(spec, other, one, context);
}

/** Whether two values can both be right: the one would do in the place of the other, both ways. */
export function agree(spec: AttributeSpec, one: Value, other: Value, context: MatchContext): boolean {
  const both = [judgeAttribute("", spec, one, other, context), judgeAttribute("", spec, other, one, context)];
  return both.every(({ fit, reason }) => fit === "fit" && reason.code !== "better");
}
