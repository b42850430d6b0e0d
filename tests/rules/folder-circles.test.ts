import { readdirSync, readFileSync } from "node:fs";
import { posix } from "node:path";
import { describe, expect, it } from "vitest";

/** Arrows that would close a circle of folders and stand all the same, each with its reason; at most two. */
const ALLOWED: readonly string[] = [
  // Types only (.dependency-cruiser.cjs): what a line carries, and what of a job each kind of line says.
  "core/job -> log",
];

/** A file's folder: the rooms of core, of the server and of the islands stand by themselves. */
function folderOf(path: string): string {
  const [first = "", second = "", ...deeper] = path.split("/");
  return ["core", "server", "islands"].includes(first) && deeper.length > 0 ? `${first}/${second}` : first;
}

const files = readdirSync("src", { recursive: true, encoding: "utf8" })
  .map((path) => path.replaceAll("\\", "/"))
  .filter((path) => /\.(tsx?|astro)$/.test(path));

function importsOf(path: string): readonly string[] {
  const text = readFileSync(posix.join("src", path), "utf8");
  return [...text.matchAll(/\bfrom\s+"([^"]+)"|\bimport\(\s*"([^"]+)"|^import "([^"]+)"/gm)].flatMap(
    ([, from, lazy, bare]) => {
      const target = from ?? lazy ?? bare ?? "";
      if (target.startsWith("@/")) return [target.slice(2)];
      return target.startsWith(".") ? [posix.join(posix.dirname(path), target)] : [];
    },
  );
}

/** Arrows between folders, by where they begin. */
function arrows(folder: (path: string) => string, left: readonly string[]): Map<string, Set<string>> {
  const all = new Map<string, Set<string>>();
  for (const path of files)
    for (const target of importsOf(path)) {
      const [from, to] = [folder(path), folder(target)];
      if (from === to || left.includes(`${from} -> ${to}`)) continue;
      all.set(from, (all.get(from) ?? new Set()).add(to));
    }
  return all;
}

/** A way from a folder back to itself, or nothing. */
function circle(all: ReadonlyMap<string, ReadonlySet<string>>): readonly string[] {
  const done = new Set<string>();
  const walk = (at: string, way: readonly string[]): readonly string[] => {
    if (way.includes(at)) return [...way.slice(way.indexOf(at)), at];
    if (done.has(at)) return [];
    for (const next of all.get(at) ?? []) {
      const found = walk(next, [...way, at]);
      if (found.length > 0) return found;
    }
    done.add(at);
    return [];
  };
  for (const start of all.keys()) {
    const found = walk(start, []);
    if (found.length > 0) return found;
  }
  return [];
}

describe("the folders", () => {
  it("import each other in no circle, but for the arrows that are named", () => {
    expect(circle(arrows(folderOf, ALLOWED))).toEqual([]);
  });

  it("stand in no circle either where the islands and the server are one folder each", () => {
    const whole = (path: string): string => folderOf(path).replace(/^(server|islands)\/.*/, "$1");
    expect(circle(arrows(whole, ALLOWED))).toEqual([]);
  });

  it("name no arrow that is not needed, and at most two", () => {
    expect(ALLOWED.length).toBeLessThanOrEqual(2);
    for (const arrow of ALLOWED) {
      const others = ALLOWED.filter((one) => one !== arrow);
      expect(circle(arrows(folderOf, others)), `"${arrow}" closes a circle`).not.toEqual([]);
    }
  });
});
