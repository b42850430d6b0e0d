import { readdirSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { chosenSchools } from "@/core/matching/family";
import { matchPart } from "@/core/matching/match";
import type { Attributes } from "@/core/matching/part";
import { parseValue } from "@/core/matching/typed";
import { FAMILY_IDS, loadFamily } from "@/parts/registry";
import { LIMITS } from "../core/shop-context";

interface Worked {
  readonly family: string;
  readonly cases: readonly {
    readonly name: string;
    readonly need: Readonly<Record<string, string>>;
    readonly part: Readonly<Record<string, string>>;
    readonly schools?: Readonly<Record<string, string>>;
    readonly answer: {
      readonly fit: string;
      readonly attribute?: string;
      readonly code?: string;
      readonly note?: string;
    };
  }[];
}

const ALL = readdirSync("src/parts", { withFileTypes: true })
  .filter((room) => room.isDirectory())
  .map(({ name }) => JSON.parse(readFileSync(`src/parts/${name}/worked.json`, "utf8")) as Worked);

it("every family has a worked match", () => {
  expect(ALL.map(({ family }) => family).sort()).toEqual([...FAMILY_IDS].sort());
});

describe.each(ALL.map((one) => [one.family, one] as const))("%s", (id, { cases }) => {
  it.each(cases.map((one) => [one.name, one] as const))("%s", async (_, { need, part, schools, answer }) => {
    const family = await loadFamily(id);
    if (!family) throw new Error(`no family ${id}`);
    const read = (typed: Readonly<Record<string, string>>): Attributes =>
      Object.fromEntries(
        Object.entries(typed).map(([name, text]) => {
          const spec = family.attributes[name];
          const value = spec ? parseValue(spec, text) : undefined;
          if (!value?.ok) throw new Error(`${name}: ${value?.issues[0]?.message ?? "no such attribute"}`);
          return [name, value.value];
        }),
      );
    const found = matchPart(
      family,
      read(need),
      { id: "one", family: id, label: "One", attributes: read(part), priceMinor: 1, days: 0, supplier: "" },
      { limits: LIMITS, schools: chosenSchools(family, schools ?? {}) },
    );
    const told = found.attributes.find((one) => one.id === answer.attribute);
    expect({ fit: found.fit, code: told?.reason.code, note: told?.reason.note }).toEqual({
      fit: answer.fit,
      code: answer.code,
      note: answer.note ?? (answer.code === "never" ? answer.attribute : undefined),
    });
  });
});
