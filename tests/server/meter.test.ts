import { type ChildProcess, spawn } from "node:child_process";
import { existsSync, mkdtempSync, rmSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { listenToMeter, type MeterAsked } from "@/server/services/meter";

let folder: string;
let meter: ChildProcess;
const before = process.env["GOOD_SPINDLE_METER"];

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), "spindle-meter-"));
  const path = join(folder, "m.sock");
  meter = spawn("npx", ["--no-install", "tsx", "src/stand-ins/meter.ts", path], {
    stdio: ["pipe", "ignore", "ignore"],
  });
  process.env["GOOD_SPINDLE_METER"] = path;
  const until = Date.now() + 20_000;
  while (!existsSync(path) && Date.now() < until) await new Promise((done) => setTimeout(done, 100));
});
afterAll(() => {
  meter.stdin?.end();
  meter.kill();
  if (before === undefined) delete process.env["GOOD_SPINDLE_METER"];
  else process.env["GOOD_SPINDLE_METER"] = before;
  rmSync(folder, { recursive: true, force: true });
});

/** What it shows until so many readings have come, or why it ended. */
function heard(
  asked: MeterAsked,
  count: number,
): Promise<{ readonly typed: string[]; readonly why: string }> {
  const typed: string[] = [];
  return new Promise((done) => {
    const end = listenToMeter(asked, {
      reading: (_line, text) => {
        typed.push(text);
        if (typed.length === count) end();
      },
      unfit: (why) => typed.push(why),
      ended: (why) => done({ typed, why }),
    });
  });
}

describe("the simulated meter, through the server's only line to it", () => {
  it("comes to rest at the demo machine's value, over range where nothing joins two leads", async () => {
    const { typed } = await heard({ quantity: "resistance", a: "red", b: "white" }, 12);
    expect(Number(typed.at(-1))).toBeCloseTo(1.5, 0);
    const open = await heard({ quantity: "resistance", a: "red", b: "green" }, 1);
    expect(open.typed).toEqual(["OL"]);
  });

  it("goes to the screen that asked last, and says so to the one before", async () => {
    const first = heard({ quantity: "capacitance", a: "", b: "" }, 99);
    await new Promise((done) => setTimeout(done, 400));
    const second = await heard({ quantity: "capacitance", a: "", b: "" }, 2);
    expect((await first).why).toMatch(/Another screen/);
    expect(second.typed).toHaveLength(2);
  });

  it("tells of another quantity than was asked, and of a line that is none", async () => {
    const path = join(folder, "other.sock");
    const other = createServer((socket) =>
      socket.write("METER 1 x\nREAD voltage 230 0.1\nREAD resistance twelve 0.1\nREAD resistance 12 0.1\n"),
    );
    await new Promise<void>((ready) => other.listen(path, ready));
    const simulated = process.env["GOOD_SPINDLE_METER"];
    process.env["GOOD_SPINDLE_METER"] = path;
    const { typed } = await heard({ quantity: "resistance", a: "", b: "" }, 3);
    process.env["GOOD_SPINDLE_METER"] = simulated;
    other.close();
    expect(typed).toEqual([
      "The meter shows voltage, not resistance: turn its knob.",
      expect.stringMatching(/has no number: "twelve"/),
      "12.0",
    ]);
  });

  it("says what it cannot measure, and that nobody answers", async () => {
    expect((await heard({ quantity: "speed", a: "", b: "" }, 1)).why).toMatch(/no such range/);
    process.env["GOOD_SPINDLE_METER"] = join(folder, "nobody.sock");
    expect((await heard({ quantity: "resistance", a: "", b: "" }, 1)).why).toMatch(/does not answer/);
  });
});
