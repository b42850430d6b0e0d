import type { Asked } from "@/core/matching/asked.input";
import { fromMark } from "@/core/matching/facts";
import type { Family } from "@/core/matching/family";
import type { Source } from "@/core/matching/source";
import { formatValue, parseValue, suggestUnit } from "@/core/matching/typed";
import { type Issue, issue } from "@/core/result";
import { priceListOf } from "./price-lists";

/** What is typed and printed of a part, as sources; paths of issues are those of what was asked. */
export function typedSources(
  family: Family,
  { typed, marking }: Pick<Asked, "typed" | "marking">,
): { sources: Source[]; issues: Issue[] } {
  const sources: Source[] = [];
  const issues: Issue[] = [];
  for (const { attribute, of: text } of typed) {
    const spec = Object.hasOwn(family.attributes, attribute) ? family.attributes[attribute] : undefined;
    if (text.trim() === "") continue;
    const path = `typed.${attribute}`;
    if (!spec) {
      const known = Object.keys(family.attributes).join(", ");
      issues.push(
        issue(
          path,
          "match/no-attribute",
          `A ${family.title.toLowerCase()} has no "${attribute}": it has ${known}.`,
          attribute,
        ),
      );
      continue;
    }
    const value = parseValue(spec, text);
    if (!value.ok) {
      issues.push(...value.issues.map((one) => ({ ...one, path })));
      continue;
    }
    const sold = spec.unit === "m" ? priceListOf(family).rangeOf(attribute) : undefined;
    const meant = sold && typeof value.value === "number" ? suggestUnit(text, value.value, sold) : undefined;
    if (meant !== undefined && sold)
      issues.push(
        issue(
          path,
          "length/other-unit",
          `${spec.label} ${formatValue(spec, value.value)} is far from all that is listed, ${formatValue(spec, sold[0])} to ${formatValue(spec, sold[1])}: ${meant}. Write it with its unit.`,
          text,
        ),
      );
    else
      sources.push({
        attribute,
        value: value.value,
        // A weak capacitor measures less than was needed: its mark goes before it.
        from: spec.wears ? "assumed" : "measured",
        said: spec.wears ? "typed here; a worn part measures otherwise" : "typed here",
      });
  }
  if (marking.trim() !== "") {
    const read = family.readMark?.(marking);
    if (read) sources.push(...fromMark(read, "its mark"));
    else
      issues.push(
        issue(
          "marking",
          "match/marking",
          `"${marking}" says nothing of a ${family.title.toLowerCase()}: leave it out and give the figures.`,
          marking,
        ),
      );
  }
  return { sources, issues };
}
