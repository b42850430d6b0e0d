import { rmSync } from "node:fs";
import { createServer, type Socket } from "node:net";
import { meterLine } from "@/core/quantity/meter-line";
import { QUANTITIES, type QuantityId } from "@/core/quantity/reading";
import { seededRandom } from "@/core/seeded-random";
import { benchMeterShows, type Placed } from "@/core/simulation/bench-meter";

/**
 * A simulated meter: a process of its own that speaks the line protocol of docs/meter-protocol.md on a local socket. Its
 * probes are on the demo's wool carder. One client at a time: a new one takes the place of the old.
 */
const PERIOD_MS = 250;
const path = process.argv[2];
if (path === undefined) {
  console.error("Say where the meter is to listen: node meter.mjs SOCKET");
  process.exit(2);
}

const isQuantity = (word: string): word is QuantityId => Object.hasOwn(QUANTITIES, word);

function placedBy(words: readonly string[]): Placed | undefined {
  const [command, quantity = "", a = "", b = ""] = words;
  return command === "MEASURE" && isQuantity(quantity) ? { quantity, a, b } : undefined;
}

let held: Socket | undefined;

const server = createServer((client) => {
  held?.end();
  held = client;
  const random = seededRandom(20_261_129);
  let placed: { readonly on: Placed; readonly since: number } | undefined;
  let rest = "";
  client.setEncoding("utf8");
  client.write('METER 1 "Simulated meter" resistance capacitance voltage\n');
  client.on("data", (piece: string) => {
    const lines = `${rest}${piece}`.slice(-4096).split("\n");
    rest = lines.pop() ?? "";
    for (const line of lines) {
      const on = placedBy(line.trim().split(/\s+/));
      placed = on ? { on, since: Date.now() } : undefined;
    }
  });
  const beat = setInterval(() => {
    if (!placed) return;
    const shown = benchMeterShows(placed.on, (Date.now() - placed.since) / 1000, random);
    client.write(shown ? `${meterLine(shown)}\n` : `NONE ${placed.on.quantity}\n`);
  }, PERIOD_MS);
  client.on("close", () => clearInterval(beat));
  client.on("error", () => client.destroy());
});

rmSync(path, { force: true });
server.listen(path);
// It never outlives what started it.
process.stdin.resume();
process.stdin.on("end", () => process.exit(0));
