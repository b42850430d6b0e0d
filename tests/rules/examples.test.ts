import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import * as units from "@/core/quantity/units";
import { LIMITS } from "../core/shop-context";

interface Example {
  readonly file: string;
  readonly call: string;
  readonly answer: string;
}

/** A worked example as a docstring says it: a call, two strokes, what it gives. Prose examples are worked cases elsewhere. */
const EXAMPLE = /@example (\w+\(.*?\)(?:\.\w+(?:\(\))?|\[\d+\]\.\w+)?) \/\/ (.+?)(?: \*\/)?$/gm;

const examples: readonly Example[] = ["src/core", "src/tools"].flatMap((folder) =>
  readdirSync(folder, { recursive: true, encoding: "utf8" })
    .filter((name) => name.endsWith(".ts"))
    .flatMap((name) => {
      const file = join(folder, name);
      return [...readFileSync(file, "utf8").matchAll(EXAMPLE)].map(([, call = "", answer = ""]) => ({
        file,
        call,
        answer,
      }));
    }),
);

const MODULES = import.meta.glob<Readonly<Record<string, unknown>>>([
  "/src/core/**/*.ts",
  "/src/tools/**/*.ts",
]);

async function resultOf({ file, call }: Example): Promise<unknown> {
  const load = MODULES[`/${file.replaceAll("\\", "/")}`];
  const scope = { ...units, LIMITS, ...(await load?.()) };
  const run = new Function(...Object.keys(scope), `return ${call};`);
  const given: unknown = run(...Object.values(scope));
  const isResult = typeof given === "object" && given !== null && "ok" in given;
  if (!isResult) return given;
  expect(given.ok, call).toBe(true);
  return "value" in given ? given.value : given;
}

/** Every number in a value, however deep. */
function numbersIn(value: unknown): readonly number[] {
  if (typeof value === "number") return [value];
  if (typeof value === "string")
    return [...value.matchAll(/-?\d+(\.\d+)?(e-?\d+)?/g)].map(([text]) => Number(text));
  return typeof value === "object" && value !== null ? Object.values(value).flatMap(numbersIn) : [];
}

/** The answer as a literal, where it is one. */
function literal(text: string): { readonly is: unknown } | undefined {
  if (!/^[{"\d-]/.test(text)) return undefined;
  try {
    return { is: new Function(`return (${text});`)() as unknown };
  } catch {
    return undefined;
  }
}

/** Powers of ten by which a unit may be written: percent, milli, micro, kilo. */
const SCALES = [1, 100, 1e3, 1e6, 1e-3];

const isNear = (one: number, other: number): boolean =>
  Math.abs(one - other) <= 0.006 * Math.max(Math.abs(one), Math.abs(other));

describe("worked examples of docstrings", () => {
  it("are found", () => {
    expect(examples.length).toBeGreaterThan(30);
  });

  it.each(examples)("$call // $answer", async (example) => {
    const value = await resultOf(example);
    const said = literal(example.answer);
    if (said && typeof said.is === "object") return expect(value).toMatchObject(said.is as object);
    if (said && typeof said.is === "string") return expect(value).toBe(said.is);
    const wanted = [...example.answer.matchAll(/(?<![\w.])\d+(\.\d+)?(e-?\d+)?/g)].map(([text]) =>
      Number(text),
    );
    const all = numbersIn(value);
    for (const one of wanted)
      expect(
        all.some((number) => SCALES.some((scale) => isNear(number * scale, one))),
        `${one} among ${all.slice(0, 12).join(", ")}`,
      ).toBe(true);
    if (wanted.length === 0) expect(value).toBeDefined();
    return undefined;
  });
});
