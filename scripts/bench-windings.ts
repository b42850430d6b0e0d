// How well leads are mapped and motors named, and how long a tool takes: `npm run bench:windings`.
import { parseCapacitorMark } from "@/core/markings/capacitor";
import { parseLeadPair } from "@/core/markings/lead-pair";
import { parseNameplate } from "@/core/nameplate/type-line";
import { parseReading } from "@/core/quantity/parse-reading";
import { seededRandom } from "@/core/seeded-random";
import { ohmsBetween, potentials } from "@/core/windings/fit";
import { mapLeads } from "@/core/windings/lead-map";
import { nextPair } from "@/core/windings/next-pair";
import { TOOL_CONTEXT, TOOLS } from "../tests/core/shop-context";
import { madeMotors } from "./lib/made-motors";
import { errorOf, POCKET, type RandomNetwork, randomNetwork, reading } from "./lib/random-networks";
import { sized } from "./lib/sized.mjs";

const NETWORKS = sized(500, 20);
const MISREAD = sized(300, 4);
const share = (part: number, whole: number): string =>
  `${((100 * part) / whole).toFixed(1)} % (${part} of ${whole})`;
const milliseconds = (times: readonly number[], at: number): string => {
  const sorted = [...times].sort((one, other) => one - other);
  return `${(sorted[Math.floor(sorted.length * at)] ?? 0).toFixed(1)} ms`;
};
const keyOf = (joins: readonly (readonly [number, number])[]): string =>
  joins
    .map(([a, b]) => [a, b].sort((one, other) => one - other).join("-"))
    .sort()
    .join();

function timed<T>(times: number[], run: () => T): T {
  const started = performance.now();
  const value = run();
  times.push(performance.now() - started);
  return value;
}

function networks(): void {
  const random = seededRandom(20_261_129);
  const [times, six]: [number[], number[]] = [[], []];
  const count = { held: 0, trees: 0, only: 0 };
  for (let index = 0; index < NETWORKS; index += 1) {
    const network = randomNetwork(random);
    const { groups } = timed(network.graph.nodes === 6 ? six : times, () =>
      mapLeads(network.graph.nodes, network.shown),
    );
    const found = groups[0]?.networks ?? [];
    const keys = found.map(({ windings }) => keyOf(windings.map(({ a, b }) => [a, b])));
    const isThere = keys.includes(keyOf(network.graph.joins));
    const isSparser = (found[0]?.windings.length ?? 99) < network.graph.joins.length;
    if (isThere || isSparser) count.held += 1;
    if (network.isTree) count.trees += 1;
    if (network.isTree && isThere && keys.length === 1) count.only += 1;
  }
  console.log(
    `lead map, the true network or a sparser one in the set (aim 98 %): ${share(count.held, NETWORKS)}`,
  );
  console.log(`  of trees the only one (aim 95 %): ${share(count.only, count.trees)}`);
  console.log(
    `  six leads, 15 readings (aim p95 300 ms): median ${milliseconds(six, 0.5)}, p95 ${milliseconds(six, 0.95)} of ${six.length}; three to five leads p95 ${milliseconds(times, 0.95)}`,
  );
}

/** One pair off by more than 15 % and more than five times the meter's limit. */
function spoiled({ shown }: RandomNetwork, at: number, random: ReturnType<typeof seededRandom>) {
  return shown.map((one, index) => {
    if (index !== at) return one;
    const off = Math.max(0.15 * one.ohms, 5 * one.error) * (1.02 + 2 * random.next());
    const ohms = random.next() < 0.5 || one.ohms - off < 1 ? one.ohms + off : one.ohms - off;
    const shownOhms = Math.round(ohms / POCKET.resolution) * POCKET.resolution;
    const error = errorOf(shownOhms);
    return {
      ...one,
      ohms: shownOhms,
      error,
      kind: shownOhms <= error ? ("joined" as const) : ("value" as const),
    };
  });
}

function misread(): void {
  const random = seededRandom(7);
  const [times, six]: [number[], number[]] = [[], []];
  let named = 0;
  for (let index = 0; index < MISREAD; index += 1) {
    const network = randomNetwork(random, 4 + (index % 3), true);
    const at = Math.floor(random.next() * network.shown.length);
    const [group] = timed(network.graph.nodes === 6 ? six : times, () =>
      mapLeads(network.graph.nodes, spoiled(network, at, random)),
    ).groups;
    const [first, ...others] = group?.misfits ?? [];
    const bad = network.shown[at];
    if (others.length === 0 && first?.a === bad?.a && first?.b === bad?.b) named += 1;
  }
  console.log(
    `  one pair misread on trees of four to six leads, it alone is named (aim 90 %): ${share(named, MISREAD)}`,
  );
  console.log(
    `  leave-one-out on six leads (aim 2 s): p95 ${milliseconds(six, 0.95)}, longest ${milliseconds(six, 0.9999)}`,
  );
  let silent = 0;
  for (let index = 0; index < 100; index += 1) {
    const network = randomNetwork(random, 3, true);
    const [group] = mapLeads(3, spoiled(network, Math.floor(random.next() * 3), random)).groups;
    if ((group?.misfits.length ?? 0) === 0) silent += 1;
  }
  console.log(`  on three leads no single pair is blamed: ${share(silent, 100)}`);
}

function several(): void {
  const random = seededRandom(11);
  const count = { several: 0, apart: 0 };
  for (let index = 0; index < NETWORKS; index += 1) {
    const network = randomNetwork(random);
    const leads = network.graph.nodes;
    const left = Math.max(leads - 1, network.shown.length - 1 - Math.floor(random.next() * 3));
    const order = network.shown.map((one) => ({ one, rank: random.next() })).sort((a, b) => a.rank - b.rank);
    const shown = order.slice(0, left).map(({ one }) => one);
    const map = mapLeads(leads, shown);
    if (map.groups.length > 1 || (map.groups[0]?.networks.length ?? 0) < 2) continue;
    count.several += 1;
    const next = nextPair(map, shown, { errorAt: errorOf });
    if (!next) continue;
    const inner = potentials(leads, network.graph.joins, network.ohms);
    const read = reading(next.a, next.b, ohmsBetween(inner, next.a, next.b), random);
    const taken =
      next.why === "finer"
        ? { ...read, ohms: ohmsBetween(inner, next.a, next.b), error: read.error / 10 }
        : read;
    const rest = shown.filter(({ a, b }) => a !== next.a || b !== next.b);
    const [after] = mapLeads(leads, [...rest, taken]).groups;
    if (after?.networks.length === 1) count.apart += 1;
  }
  console.log(
    `  one to three pairs not read and several fit: the proposed reading leaves one (aim 80 %): ${share(count.apart, count.several)}`,
  );
}

function identity(): void {
  const tool = TOOLS.find(({ id }) => id === "motor-identity");
  const count = { right: 0, settled: 0, wrong: 0 };
  const motors = madeMotors(sized(300, 10));
  for (const { kind, input } of motors) {
    const answer = tool?.run(input, TOOL_CONTEXT);
    if (!answer?.ok) throw new Error(answer?.issues[0]?.message);
    const isRight = answer.value.tells?.["motor"] === kind;
    if (isRight) count.right += 1;
    if (answer.value.verdict === "sound") count.settled += 1;
    if (answer.value.verdict === "sound" && !isRight) count.wrong += 1;
  }
  console.log(
    `motor identity, family right (aim 95 %): ${share(count.right, motors.length)}; settled ${count.settled}, of them wrong (aim at most 1 in 100): ${count.wrong}`,
  );
}

function tools(): void {
  for (const { id, example, run } of TOOLS) {
    const times: number[] = [];
    for (let index = 0; index < sized(250, 52); index += 1) timed(times, () => run(example, TOOL_CONTEXT));
    console.log(
      `  ${id.padEnd(28)} run, median of 200 after 50 (aim 5 ms): ${milliseconds(times.slice(50), 0.5)}`,
    );
  }
}

/** Text of the signs that markings are made of, and of none of them. */
function noise(random: ReturnType<typeof seededRandom>): string {
  const signs = "0123456789.,-–/±%μµuFnpkMΩR VAC~ hpW r/min S3 OL red-blue \u0000é漢".split("");
  const length = Math.floor(random.next() * 60);
  return Array.from({ length }, () => signs[Math.floor(random.next() * signs.length)]).join("");
}

function parsers(): void {
  const random = seededRandom(3);
  const times: number[] = [];
  for (let index = 0; index < sized(20_000, 200); index += 1) {
    const text = noise(random);
    for (const parse of [
      parseCapacitorMark,
      parseNameplate,
      parseLeadPair,
      (one: string) => parseReading(one, "resistance"),
    ])
      timed(times, () => parse(text));
  }
  console.log(
    `parsers on 20,000 random texts: p99 ${milliseconds(times, 0.99)} (aim 5), longest ${milliseconds(times, 0.9999999)} (aim 50), none thrown`,
  );
}

networks();
misread();
several();
identity();
tools();
parsers();
