import type { SeededRandom } from "@/core/seeded-random";

type Json = Readonly<Record<string, unknown>>;

/** What breaks programs: names every object has, edges of numbers, text that is no text, and things that only look right. */
const HOSTILE: readonly unknown[] = [
  "",
  " ",
  "constructor",
  "__proto__",
  "toString",
  "hasOwnProperty",
  "valueOf",
  "0x10",
  "1e999",
  "-3",
  "OL",
  "12.4",
  "NaN",
  "nul\0",
  "\ud800",
  "../../etc/passwd",
  "' or 1=1 --",
  "<script>alert(1)</script>",
  "\u202eright to left",
  "9".repeat(400),
  "x".repeat(5_000),
  null,
  true,
  false,
  0,
  -1,
  1.5,
  1e9,
  1e9 + 1,
  2 ** 31 - 1,
  2 ** 31,
  2 ** 53,
  1e308,
  -1e308,
  5e-324,
  [],
  {},
  [[[[]]]],
  { kind: "value", value: 1 },
  { kind: "over-range", entered: "OL" },
];

/** Ids and figures that mean something here, by the name of the field they stand in. */
export type Pools = ReadonlyMap<string, readonly unknown[]>;

const list = (value: unknown): readonly unknown[] => (Array.isArray(value) ? value : []);
const isJson = (value: unknown): value is Json =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/**
 * Values for a JSON Schema: mostly what it asks for, and with a chance at every node something hostile, something left
 * out or something nobody asked for.
 */
export class Values {
  constructor(
    private readonly random: SeededRandom,
    private readonly pools: Pools,
    private readonly hostility: number,
  ) {}

  pick<T>(from: readonly T[]): T {
    return from[Math.floor(this.random.next() * from.length)] as T;
  }

  chance(share: number): boolean {
    return this.random.next() < share;
  }

  of(schema: unknown, name = ""): unknown {
    if (this.chance(this.hostility)) return structuredClone(this.pick(HOSTILE));
    const pool = this.pools.get(name);
    if (!isJson(schema)) return this.pick(HOSTILE);
    if (pool && schema["type"] !== "array" && this.chance(0.9)) return this.pick(pool);
    const ways = [...list(schema["oneOf"]), ...list(schema["anyOf"])];
    if (ways.length > 0) return this.of(this.pick(ways), name);
    if (Array.isArray(schema["enum"])) return this.pick(schema["enum"]);
    const types = [schema["type"]].flat();
    return this.ofType(this.pick(types), schema, name);
  }

  private ofType(type: unknown, schema: Json, name: string): unknown {
    switch (type) {
      case "object":
        return this.object(schema);
      case "array":
        return this.array(schema, name);
      case "string":
        return this.text(schema);
      case "integer":
      case "number":
        return this.number(schema, type === "integer");
      case "boolean":
        return this.chance(0.5);
      case "null":
        return null;
      default:
        return this.pick(HOSTILE);
    }
  }

  private object(schema: Json): unknown {
    const properties = isJson(schema["properties"]) ? schema["properties"] : {};
    const needed = new Set(list(schema["required"]));
    const entries = Object.entries(properties).flatMap(([key, inner]): [string, unknown][] => {
      const isLeftOut = needed.has(key) ? this.chance(this.hostility / 3) : this.chance(0.5);
      return isLeftOut ? [] : [[key, this.of(inner, key)]];
    });
    if (this.chance(this.hostility / 3))
      entries.push([this.pick(["constructor", "__proto__", "extra"]), this.pick(HOSTILE)]);
    return Object.fromEntries(entries);
  }

  private array(schema: Json, name: string): unknown {
    const fixed = list(schema["prefixItems"]);
    if (fixed.length > 0) return fixed.map((inner) => this.of(inner, name));
    const count = Math.floor(this.random.next() * 3) + Number(schema["minItems"] ?? 0);
    return Array.from({ length: count }, () => this.of(schema["items"], name));
  }

  private text(schema: Json): string {
    if (schema["format"] === "uuid") return this.uuid();
    const words = ["12.4", "62 uF", "145-174 uF 250 VAC", "wave washer", "as typed", "Ω 3,5", "2026-11-30"];
    const text = this.pick(words);
    return text.slice(0, Number(schema["maxLength"] ?? text.length));
  }

  private number(schema: Json, isWhole: boolean): number {
    const low = Number(schema["minimum"] ?? -10);
    const high = Math.min(Number(schema["maximum"] ?? low + 100), low + 1e6);
    const value = this.pick([low, high, low + this.random.next() * (high - low)]);
    return isWhole ? Math.round(value) : value;
  }

  uuid(): string {
    const hex = (count: number): string =>
      Array.from({ length: count }, () => Math.floor(this.random.next() * 16).toString(16)).join("");
    return `${hex(8)}-${hex(4)}-4${hex(3)}-a${hex(3)}-${hex(12)}`;
  }
}
