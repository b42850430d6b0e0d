import type { APIContext } from "astro";
import type { JobView } from "@/core/job/log/view";
import { listed } from "@/core/matching/price-list";
import { seededRandom } from "@/core/seeded-random";
import { allFamilies, FAMILY_IDS } from "@/parts/registry";
import type { Endpoint } from "@/server/http/endpoint";
import { toJsonSchema } from "@/server/http/json-schema";
import { KNOWLEDGE, TOOLS } from "../../core/shop-context";
import { SERVED, type Served } from "../served";
import { type Pools, Values } from "./values";
import { wellMeant } from "./well-meant";

/** Streams never end, and tries at the access code lock it: both have tests of their own. */
const LEFT_OUT: ReadonlySet<string> = new Set(["/api/events", "/api/access"]);

const ids = (rows: readonly { readonly id: string }[]): readonly string[] => rows.map(({ id }) => id);

/** A few parts of every family, and one of none. */
const PARTS: readonly string[] = [
  ...(await allFamilies()).flatMap((family) => ids(listed(family, family.series(), "").slice(0, 2))),
  "constructor",
];

/** What this shop knows under each name of a field, so that many requests get past the schema. */
export function poolsOf(jobIds: readonly number[]): Pools {
  const moves = KNOWLEDGE.moves.filter(({ families }) => families.length > 0);
  return new Map<string, readonly unknown[]>([
    ["moveId", ids(moves)],
    ["outcomeId", [...new Set(moves.flatMap(({ outcomes }) => outcomes)), "not-sure", "could-not"]],
    ["repair", [...ids(KNOWLEDGE.repairs), "fit-motor"]],
    ["of", [...ids(KNOWLEDGE.repairs), "machine", "tool", "dead-check"]],
    ["partId", PARTS],
    ["checkId", ids(KNOWLEDGE.deadChecks)],
    ["access", ids(KNOWLEDGE.access)],
    ["family", [...ids(KNOWLEDGE.families), ...FAMILY_IDS]],
    ["attribute", ["bore", "volts", "capacitance", "amps", "constructor"]],
    ["marking", ["608-2RS", "T2A L 250V", "145-174 uF 250 VAC", "__proto__"]],
    ["stations", ids(KNOWLEDGE.stations)],
    ["signs", ids(KNOWLEDGE.signs)],
    ["toolId", ids(TOOLS)],
    ["seq", [1, 2, 3, 4, 5, 6, 9, 12]],
    ["line", [1, 2, 3, 4, 5, 6, 9, 12]],
    ["picture", [1, 2, 3, 5, 8]],
    ["mark", ["145-174 uF 250 VAC", "20 uF 450 VAC", "constructor", "3.15 A"]],
    ["entered", ["sound", "0.05", "150 M", "OL", "constructor", "not taken"]],
    ["id", [...jobIds.map(String), "4711", String(2 ** 53), "start", "run", "constructor", "springs"]],
  ]);
}

export interface Asked {
  readonly path: string;
  readonly method: string;
  readonly route: Endpoint;
  readonly params: Readonly<Record<string, string>>;
  readonly query: string;
  readonly body: string | undefined;
}

/** Requests without end, the same for the same seed: every route, every kind of entry, right and wrong. */
export function requests(
  seed: number,
  jobIds: readonly number[],
  viewOf: (jobId: number) => JobView | undefined,
) {
  const random = seededRandom(seed);
  const open = SERVED.filter(({ path }) => !LEFT_OUT.has(path));
  const schemas = new Map(
    open.map(({ name, declared: { body } }) => [name, body ? toJsonSchema(body) : undefined]),
  );
  const pools = poolsOf(jobIds);
  return (): Asked => {
    const values = new Values(random, pools, hostilityOf(random));
    const weighed = values.chance(0.7) ? open.filter(({ path }) => path.endsWith("/entries")) : open;
    const placed = values.pick(weighed);
    const { name: route, path, method, declared } = placed;
    const params = Object.fromEntries(
      [...path.matchAll(/\{(\w+)\}/g)].map(([, name = ""]) => [
        name,
        String(
          values.chance(0.93) && name === "id" ? values.pick(jobIds) : values.of({ type: "string" }, name),
        ),
      ]),
    );
    const query = Object.keys(declared.query ?? {})
      .map((name) => `${name}=${encodeURIComponent(printable(values.of({ type: "string" }, "entered")))}`)
      .join("&");
    return {
      path,
      method,
      route: placed.route,
      params,
      query: query === "" ? "" : `?${query}`,
      body: bodyOf(placed, schemas.get(route), values, viewOf(Number(params["id"]))),
    };
  };
}

/** Half of the requests mean well throughout, so that logs grow; the rest do not. */
function hostilityOf({ next }: { next(): number }): number {
  return next() < 0.5 ? 0 : 0.04;
}

/** A lone half of a character cannot stand in an address. */
const printable = (value: unknown): string => String(value).replace(/[\ud800-\udfff\0]/g, "?");

function bodyOf(
  { path, declared }: Served,
  schema: unknown,
  values: Values,
  view: JobView | undefined,
): string | undefined {
  if (declared.fileUpTo !== undefined) return String(values.of({ type: "string" }));
  if (!declared.body) return undefined;
  if (values.chance(0.01)) return '{"half":';
  const body = values.of(schema);
  if (typeof body !== "object" || body === null || Array.isArray(body)) return JSON.stringify(body);
  const posted: Record<string, unknown> = Object.fromEntries(Object.entries(body));
  // Most requests are sent by somebody who saw the whole log, many by somebody who read it.
  if (view && path.endsWith("/entries")) {
    if (values.chance(0.9)) posted["expectedSeq"] = view.seq;
    if (values.chance(0.6) && typeof posted["payload"] === "object")
      posted["payload"] = { ...posted["payload"], ...wellMeant(posted["kind"], view, values) };
  }
  if ("entryId" in posted && values.chance(0.95)) posted["entryId"] = values.uuid();
  return JSON.stringify(posted);
}

/** Calls a route as the server would. A thrown error is what the middleware would answer 500 for. */
export async function send({ path, method, route, params, query, body }: Asked): Promise<Response> {
  const url = new URL(`http://127.0.0.1:4321${path.replace(/\{\w+\}/g, "x")}${query}`);
  const request = new Request(url, {
    method,
    ...(body === undefined ? {} : { body, headers: { "content-type": "application/json" } }),
  });
  return (await route({
    request,
    params,
    url,
    locals: { requestId: "fuzz" },
  } as unknown as APIContext)) as Response;
}
