import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { JobView } from "@/core/job/log/view";
import { seededRandom } from "@/core/seeded-random";
import { GET as job } from "@/pages/api/jobs/[id]";
import { toJsonSchema } from "@/server/http/json-schema";
import { seedDemo } from "@/server/services/seed-demo";
import { shopContextOn } from "@/server/services/shop-context";
import { poolsOf, send } from "./fuzz/requests";
import { Values } from "./fuzz/values";
import { SERVED, type Served } from "./served";
import { call, draft, openShop, takeInBody } from "./shop";

/** Streams never end, and tries at the access code lock it: both have tests of their own. */
const LEFT_OUT: ReadonlySet<string> = new Set(["/api/events", "/api/access"]);
const JOBS = [101, 103, 105];

/** What no field may be brought down by: each stands once in every field of every route. */
const VALUES: readonly unknown[] = [
  "nul\0",
  2 ** 31,
  2 ** 53,
  { toString: "x" },
  { toString: null, valueOf: 1 },
  { constructor: { name: 1 } },
  [[1]],
];

type Path = readonly (string | number)[];

/** Every place of a value, the whole first. */
function placesOf(value: unknown, path: Path = []): readonly Path[] {
  if (typeof value !== "object" || value === null) return [path];
  return [
    path,
    ...Object.entries(value).flatMap(([key, inner]) =>
      placesOf(inner, [...path, Array.isArray(value) ? Number(key) : key]),
    ),
  ];
}

function withAt(value: unknown, [first, ...rest]: Path, put: unknown): unknown {
  if (first === undefined) return put;
  const copy: unknown = structuredClone(value);
  if (typeof copy === "object" && copy !== null)
    Reflect.set(copy, first, withAt(Reflect.get(copy, first), rest, put));
  return copy;
}

/** One request that means well: what stands in its path, and its body. */
interface Meant {
  readonly params?: Readonly<Record<string, string>>;
  readonly body: unknown;
}

/** What a tool is asked in its worked cases: its input is described by the tool, not by the route. */
const WORKED = import.meta.glob<{ tool: string; cases: { input: unknown }[] }>("/src/tools/*/*/worked.json", {
  eager: true,
  import: "default",
});
const askedOfTools = (): readonly Meant[] =>
  Object.values(WORKED).map(({ tool, cases }) => ({ params: { tool }, body: { input: cases[0]?.input } }));

/** What a demo job was told, told it once more. */
async function toldJobs(): Promise<readonly Meant[]> {
  const kinds = new Set<string>();
  const told: Meant[] = [];
  for (const id of ["103", "107", "109", "110"]) {
    const { ledger, seq } = (await call<JobView>(job, { params: { id } })).body;
    for (const { kind, payload, stage } of ledger) {
      if (kinds.has(kind)) continue;
      kinds.add(kind);
      told.push({ params: { id }, body: { ...draft(seq, kind, payload ?? {}), stage } });
    }
  }
  return told;
}

/** Bodies that a route takes: one a way that its schema knows, and such as the shop itself would send. */
async function bodiesOf({ name, declared: { body } }: Served, values: Values): Promise<readonly Meant[]> {
  if (!body) return [];
  const schema = toJsonSchema(body);
  const ways = Array.isArray(schema["oneOf"]) ? schema["oneOf"] : [schema];
  const drawn = ways.map((way) => ({ body: values.of(way) }));
  if (name === "POST /api/tools/{tool}") return [...drawn, ...askedOfTools()];
  if (name === "POST /api/jobs") return [...drawn, { body: takeInBody() }];
  return name === "POST /api/jobs/{id}/entries" ? [...drawn, ...(await toldJobs())] : drawn;
}

let close: () => Promise<void>;
beforeAll(async () => {
  const shop = await openShop();
  close = shop.close;
  await seedDemo(await shopContextOn(shop.db), new Date("2026-11-24T09:00:00Z"));
});
afterAll(() => close());

describe("what no field may be brought down by", () => {
  const open = SERVED.filter(({ path, declared }) => !LEFT_OUT.has(path) && declared.fileUpTo === undefined);
  it.each(open.map((served) => [served.name, served] as const))("%s", async (_, served) => {
    const values = new Values(seededRandom(served.name.length), poolsOf(JOBS), 0);
    const params = Object.fromEntries(
      Object.keys(served.declared.params?.fields ?? {}).map((name) => [
        name,
        name === "id" ? "103" : String(values.of({ type: "string" }, name)),
      ]),
    );
    const asked = { path: served.path, method: served.method, route: served.route };
    const wrong: string[] = [];
    const ask = async (where: string, change: object): Promise<void> => {
      const request = { ...asked, params, query: "", body: undefined, ...change };
      const answer = await send(request).catch((error: unknown) => String(error));
      if (typeof answer === "string" || answer.status >= 500)
        wrong.push(`${where}: ${typeof answer === "string" ? answer : await answer.text()}`);
    };
    for (const value of VALUES) {
      for (const name of Object.keys(params))
        await ask(`${name} in the path`, { params: { ...params, [name]: String(JSON.stringify(value)) } });
      for (const name of Object.keys(params))
        if (typeof value !== "object") await ask(`${name}`, { params: { ...params, [name]: String(value) } });
      for (const name of Object.keys(served.declared.query ?? {})) {
        const text = typeof value === "string" ? value : JSON.stringify(value);
        await ask(`${name} in the query`, { query: `?${name}=${encodeURIComponent(text)}` });
      }
    }
    for (const { params: own, body } of await bodiesOf(served, values))
      for (const place of placesOf(body))
        for (const value of VALUES)
          await ask(`${JSON.stringify(own ?? {})} ${place.join(".")}`, {
            params: { ...params, ...own },
            body: JSON.stringify(withAt(body, place, value)),
          });
    expect(wrong.slice(0, 5)).toEqual([]);
  });
});
