import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import ts from "typescript";
import { describe, expect, it } from "vitest";

/**
 * Forms that nobody says at a bench, with how often each stands in the product's sentences today: a number may only fall.
 */
const FORBIDDEN: readonly { readonly form: RegExp; readonly today: number }[] = [
  { form: /\b(of|in|at|with) no (machine|motor|part|fault|case|board)\b/gi, today: 1 },
  { form: /\bsuch that\b/gi, today: 0 },
  { form: /\b(hold|held|holds|hold it) against\b/gi, today: 8 },
  { form: /\bstands? for\b/gi, today: 3 },
  { form: /\btells? of\b/gi, today: 1 },
  { form: /\bis minded\b|\bminded\b/gi, today: 1 },
  { form: /\bcomes? of (it|this|that)\b/gi, today: 0 },
  { form: /\bdear(er|est)?\b/gi, today: 1 },
  { form: /\bas the complaint comes\b/gi, today: 13 },
  { form: /\brung above\b/gi, today: 2 },
  { form: /\bsays? nothing of\b/gi, today: 5 },
  { form: /\bis to be (out|rung|asked|made|opened)\b/gi, today: 0 },
  { form: /\bon average\b/gi, today: 1 },
  { form: /\bstations?\b/gi, today: 2 },
  { form: /\bmoves?\b/gi, today: 42 },
];

const files = (folder: string, ends: RegExp): string[] =>
  readdirSync(folder, { recursive: true, encoding: "utf8" })
    .filter((name) => ends.test(name))
    .map((name) => join(folder, name));

/** What looks like a sentence, not a name, a class or an address. */
const isSaid = (text: string): boolean =>
  /[a-z] [a-z]/i.test(text) && !/^[a-z0-9:[\]/_.#() -]+$/.test(text.trim());

/** The sentences in a source: its texts and the words between its tags, as the compiler reads them. */
function sentencesOf(path: string): string[] {
  const text = readFileSync(path, "utf8");
  const kind = path.endsWith("x") ? ts.ScriptKind.TSX : ts.ScriptKind.TS;
  const source = ts.createSourceFile(path, text, ts.ScriptTarget.Latest, false, kind);
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    const isText =
      ts.isStringLiteral(node) ||
      ts.isNoSubstitutionTemplateLiteral(node) ||
      ts.isTemplateHead(node) ||
      ts.isTemplateMiddle(node) ||
      ts.isTemplateTail(node) ||
      ts.isJsxText(node);
    if (isText && isSaid(node.text)) found.push(node.text.replace(/\s+/g, " "));
    if (ts.isJsxAttribute(node) && node.name.getText(source) === "className") return;
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

/** The lines of a page of the knowledge that are read by people. */
const pageLines = (path: string): string[] =>
  readFileSync(path, "utf8")
    .split("\n")
    // Names of fields and lists of ids are for the program.
    .map((line) => line.replace(/[\w-]+: *\[[^\]]*\]/g, "").replace(/(^|[\s{,])[\w-]+:(?= |$)/g, "$1"))
    .filter((line) => !/^\s*(#|source:|id:)/.test(line) && isSaid(line));

const sentences = [
  ...files("src/words", /\.ts$/),
  ...files("src/letter", /\.ts$/),
  ...files("src/log", /(words|guard|complete)\.ts$/),
  ...files("src/tools", /\.tsx?$/),
  ...files("src/parts", /\.ts$/),
  ...files("src/islands", /\.tsx?$/),
  ...files("src/core", /\.ts$/),
  ...files("src/server", /\.ts$/),
]
  .flatMap(sentencesOf)
  .concat(files("src/knowledge", /\.yaml$/).flatMap(pageLines));

describe("the sentences of the product", () => {
  it("are found", () => {
    expect(sentences.length).toBeGreaterThan(4000);
  });

  it.each(FORBIDDEN)("say $form no oftener than today", ({ form, today }) => {
    const all = sentences.filter((sentence) => new RegExp(form.source, "i").test(sentence));
    expect(all.length, all.slice(0, 5).join(" | ")).toBeLessThanOrEqual(today);
  });
});
