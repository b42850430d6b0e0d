import { readdirSync } from "node:fs";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { FAMILY_IDS } from "@/parts/registry";
import { TOOL_IDS } from "@/tools/registry";

const foldersIn = (path: string): readonly string[] =>
  readdirSync(path, { withFileTypes: true })
    .filter((one) => one.isDirectory())
    .map(({ name }) => name);

describe("a room that no registry names is forgotten in silence, but for this", () => {
  it("every tool's", () => {
    const rooms = foldersIn("src/tools").flatMap((topic) => foldersIn(join("src/tools", topic)));
    expect([...TOOL_IDS].sort()).toEqual([...rooms].sort());
  });

  it("every part family's", () => {
    expect([...FAMILY_IDS].sort()).toEqual([...foldersIn("src/parts")].sort());
  });
});
