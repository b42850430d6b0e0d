// How long a match takes over 100,000 parts, at the endpoint and by itself: `npm run bench:match`.
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { chosenSchools, type Family } from "@/core/matching/family";
import { matchParts } from "@/core/matching/match";
import type { Attributes, Part } from "@/core/matching/part";
import { listed, priceList } from "@/core/matching/price-list";
import { formatValue } from "@/core/matching/typed";
import { seededRandom } from "@/core/seeded-random";
import { allFamilies } from "@/parts/registry";
import { LIMITS } from "../tests/core/shop-context";
import { quantile } from "./lib/measured";
import { ensureBuilt, startServer } from "./lib/prepare.mjs";
import { sized } from "./lib/sized.mjs";

const LISTS = sized(4, 1);
const ASKED = sized(600, 5);
const WARM = sized(100, 2);
const PORT = 47_977;

const { next } = seededRandom(20_261_129);
const pick = <T>(rows: readonly T[]): T => rows[Math.floor(next() * rows.length)] as T;

function told(name: string, times: readonly number[]): number {
  const sorted = [...times].sort((one, other) => one - other);
  const [p50, p95] = [quantile(sorted, 0.5), quantile(sorted, 0.95)];
  console.log(
    `  ${name.padEnd(44)} p50 ${p50.toFixed(2)} ms, p95 ${p95.toFixed(2)} ms, longest ${(sorted.at(-1) ?? 0).toFixed(1)} ms`,
  );
  return p50;
}

interface Wanted {
  readonly family: Family;
  readonly need: Attributes;
}

/** A part of the list as it would be asked for, now and then with something not known yet. */
function wanted(families: readonly Family[], parts: ReadonlyMap<string, readonly Part[]>): Wanted {
  const family = pick(families);
  const part = pick(parts.get(family.id) ?? []);
  const known = Object.keys(family.attributes).filter(() => next() > 0.15);
  return { family, need: Object.fromEntries(known.map((id) => [id, part.attributes[id]])) };
}

function askedOf({ family, need }: Wanted) {
  const typed = Object.entries(need).flatMap(([attribute, value]) => {
    const spec = family.attributes[attribute];
    return spec === undefined || value === undefined || value === 0
      ? []
      : [{ attribute, of: spec.choices ? String(value) : formatValue(spec, value) }];
  });
  return { jobId: null, asked: { family: family.id, marking: "", typed, settled: [], schools: [] } };
}

const families = await allFamilies();
const rows = new Map(families.map((family) => [family.id, listed(family, family.series(), "list")]));
const lists = new Map(
  families.map((family) => {
    const parts = rows.get(family.id) ?? [];
    const all = Array.from({ length: LISTS }, (_, list) =>
      parts.map((part) => ({ ...part, id: `${part.id}:${list}`, supplier: `list ${list}` })),
    ).flat();
    return [family.id, priceList(family, all)] as const;
  }),
);
const total = [...lists.values()].reduce((sum, { parts }) => sum + parts.length, 0);
console.log(`${total} parts in ${families.length} families`);
const cases = Array.from({ length: ASKED + WARM }, () => wanted(families, rows));
const [plain, matched]: [number[], number[]] = [[], []];
cases.forEach(({ family, need }, index) => {
  const list = lists.get(family.id);
  if (!list) return;
  const began = performance.now();
  const near = list.near(need);
  const between = performance.now();
  matchParts(family, need, near, { limits: LIMITS, schools: chosenSchools(family, {}) });
  if (index < WARM) return;
  plain.push(between - began);
  matched.push(performance.now() - began);
});
const look = told("plain look-up by the first attribute", plain);
const match = told("match by itself", matched);
console.log(`  ratio of the two, p50: ${(match / Math.max(look, 1e-4)).toFixed(0)}`);

ensureBuilt();
const folder = mkdtempSync(join(tmpdir(), "spindle-bench-match-"));
const server = await startServer({
  port: PORT,
  data: folder,
  seed: "none",
  output: "ignore",
  env: { GOOD_SPINDLE_PRICE_LISTS: String(LISTS) },
});
const times: number[] = [];
for (const [index, one] of cases.entries()) {
  const began = performance.now();
  const answer = await fetch(`${server.address}/api/match`, {
    method: "POST",
    headers: { "content-type": "application/json", origin: server.address },
    body: JSON.stringify(askedOf(one)),
  });
  const body = await answer.text();
  if (!answer.ok) throw new Error(`${one.family.id}: ${answer.status} ${body.slice(0, 300)}`);
  if (index >= WARM) times.push(performance.now() - began);
}
told("at the endpoint (aim p50 30 ms, p95 80 ms)", times);
const keys: number[] = [];
for (let index = 0; index < sized(200, 5) + WARM; index += 1) {
  const mark = pick([
    "6202-2RS",
    "608 ZZ C3",
    "T2A L 250V",
    "TF 128°C 10A 250V",
    "20 μF 450 VAC",
    "6x9x17",
    "OR 20x2.5",
  ]);
  const began = performance.now();
  const answer = await fetch(
    `${server.address}/api/parts?mark=${encodeURIComponent(mark.slice(0, 3 + (index % 12)))}`,
  );
  await answer.text();
  if (index >= WARM) keys.push(performance.now() - began);
}
told("a key of the type line (aim 50 ms)", keys);
server.child.kill("SIGTERM");
await new Promise((done) => server.child.once("exit", done));
rmSync(folder, { recursive: true, force: true });
