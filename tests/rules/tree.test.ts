import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";
import ts from "typescript";
import { describe, expect, it } from "vitest";

const tracked = execFileSync("git", ["ls-files", "-co", "--exclude-standard"], { encoding: "utf8" })
  .split("\n")
  .filter(Boolean);
const code = tracked.filter((path) => /^(src|tests|scripts)\/.*\.(ts|tsx|astro|mjs)$/.test(path));
const read = (path: string): string => readFileSync(path, "utf8");

/** Casts and assertions that stand today: this list only shrinks. */
const CASTS_TODAY = 89;

/** Every `as` of the product but `as const`, and every `!`, as the compiler reads them. */
function casts(): readonly string[] {
  const found: string[] = [];
  for (const path of code.filter((one) => /^src\/.*\.tsx?$/.test(one))) {
    const source = ts.createSourceFile(path, read(path), ts.ScriptTarget.Latest);
    const visit = (node: ts.Node): void => {
      const isCast = ts.isAsExpression(node) && node.type.getText(source) !== "const";
      if (isCast || ts.isNonNullExpression(node)) found.push(`${path} ${node.getText(source)}`);
      ts.forEachChild(node, visit);
    };
    visit(source);
  }
  return found;
}

describe("the tree", () => {
  it("has no file over 400 lines", () => {
    expect(code.filter((path) => read(path).split("\n").length > 401)).toEqual([]);
  });

  it("has no heap of odds and ends and no barrel", () => {
    expect(
      tracked.filter(
        (path) =>
          /(^|\/)(utils?|helpers?|common|misc)(\/|\.)|(^|\/)index\.tsx?$/.test(path) &&
          !path.startsWith("src/pages/"),
      ),
    ).toEqual([]);
  });

  it("names no registry's host", () => {
    const hosts = new RegExp(["registry[.]npmjs", "deb[.]debian", `"resol${"ved"}": *"http`].join("|"));
    expect(
      tracked.filter((path) => /(json|mjs|ts|md|npmrc|yml)$/.test(path) && hosts.test(read(path))),
    ).toEqual([]);
  });

  it("keeps thresholds of the trade out of code: numbers of safety stand in the limit rows", () => {
    const safety = code.filter((path) => /^src\/(core\/(safety|tools)|tools)\//.test(path));
    const suspicious = safety.filter((path) =>
      /[<>]=?\s*\d{2,}(?!\d*\s*\*\s*1000)/.test(read(path).replace(/\/\*[\s\S]*?\*\//g, "")),
    );
    expect(suspicious).toEqual([]);
  });

  it("casts only where it must, and no more than today", () => {
    expect(casts().length).toBeLessThanOrEqual(CASTS_TODAY);
  });

  it("landed migrations are those of the journal, in order", () => {
    const journal = JSON.parse(read("drizzle/meta/_journal.json")) as {
      entries: { idx: number; tag: string }[];
    };
    const files = tracked.filter((path) => /^drizzle\/\d+_.*\.sql$/.test(path)).sort();
    expect(files).toEqual(journal.entries.map(({ tag }) => `drizzle/${tag}.sql`));
  });
});
