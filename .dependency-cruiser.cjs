/**
 * Who may import whom, as an allow-list (docs/README.md, "Who may import whom").
 * A path that no rule below allows is an error, dynamic and type-only imports included.
 */
const external = (...names) => names.map((name) => `node_modules/(@types/)?${name}(/|$)`);
const core = (...parts) => parts.map((part) => `^src/core/${part}`);
const CORE_BASE = core("result\\.ts$", "seeded-random\\.ts$", "validate\\.ts$", "quantity/", "motor/");
const CORE_LOWER = [...CORE_BASE, ...core("knowledge/", "safety/", "markings/", "cost/")];
const YUP = external("yup");
const allow = (from, ...to) => ({ from: { path: from }, to: { path: to.flat() } });
const UI = external(
  "react",
  "react-dom",
  "lucide-react",
  "react-hook-form",
  "cmdk",
  "nanostores",
  "@nanostores/react",
  "comlink",
  "@dnd-kit/core",
  "@dnd-kit/sortable",
  "@dnd-kit/utilities",
  "date-fns",
);

module.exports = {
  forbidden: [
    { name: "no-circles", severity: "error", from: {}, to: { circular: true } },
    {
      name: "no-orphans",
      severity: "error",
      from: {
        orphan: true,
        pathNot: ["^src/pages/", "\\.d\\.ts$", "^src/knowledge/", "^src/middleware\\.ts$", "^src/styles/"],
      },
      to: {},
    },
    {
      name: "yup-stays-at-the-boundary",
      severity: "error",
      from: {
        path: "^src/core",
        pathNot: ["\\.input\\.ts$", "^src/core/validate\\.ts$", "^src/core/tools/json-schema\\.ts$"],
      },
      to: { path: YUP, dependencyTypesNot: ["type-only"] },
    },
  ],
  allowedSeverity: "error",
  allowed: [
    allow("^src/core/seeded-random\\.ts$", "^src/core/result\\.ts$"),
    allow("^src/core/validate\\.ts$", core("result\\.ts$"), YUP),
    allow("^src/core/quantity/", core("result\\.ts$", "validate\\.ts$", "quantity/"), YUP),
    allow("^src/core/motor/", core("result\\.ts$", "quantity/", "motor/")),
    allow("^src/core/knowledge/", CORE_BASE, core("knowledge/"), YUP),
    allow("^src/core/markings/", CORE_BASE, core("markings/"), YUP),
    allow("^src/core/safety/", CORE_BASE, core("knowledge/", "safety/"), YUP),
    allow("^src/core/cost/", CORE_BASE, core("knowledge/", "safety/", "cost/"), YUP),
    allow("^src/core/tools/", CORE_LOWER, core("tools/"), YUP),
    allow("^src/core/isolation/", CORE_LOWER, core("isolation/"), YUP),
    allow("^src/core/matching/", CORE_LOWER, core("matching/")),
    allow("^src/core/decision/", CORE_LOWER, core("decision/")),
    allow(
      "^src/core/simulation/",
      core(
        "result\\.ts$",
        "seeded-random\\.ts$",
        "quantity/",
        "motor/",
        "simulation/",
        "knowledge/types\\.ts$",
      ),
      external("complex\\.js"),
    ),
    allow(
      "^src/core/shop/",
      CORE_BASE,
      core("knowledge/", "safety/", "shop/", "isolation/shop-counts\\.ts$"),
      YUP,
    ),
    allow(
      "^src/core/job/",
      core(
        "result\\.ts$",
        "validate\\.ts$",
        "quantity/",
        "safety/",
        "knowledge/",
        "tools/tool\\.ts$",
        "tools/finding\\.input\\.ts$",
        "isolation/isolate\\.input\\.ts$",
        "isolation/shop-counts\\.ts$",
        "decision/",
        "motor/",
        "job/",
      ),
      YUP,
    ),
    allow(
      "^src/server/db/",
      core(""),
      "^src/server/db/",
      external("drizzle-orm", "@electric-sql/pglite", "pg", "proper-lockfile"),
      "^(node:)?[a-z_/]+$",
    ),
    allow(
      "^src/server/(repositories|queries)/",
      core(""),
      "^src/server/(db|repositories|queries)/",
      external("drizzle-orm"),
      "^(node:)?[a-z_/]+$",
    ),
    allow(
      "^src/server/services/",
      core(""),
      "^src/server/(db|repositories|queries|services)/",
      "^src/knowledge/",
      "^src/demo/",
      "^src/workers/",
      external("date-fns", "@date-fns/tz", "ics", "qrcode", "sharp"),
      "^(node:)?[a-z_/]+$",
    ),
    allow(
      "^src/server/http/",
      core("result\\.ts$", "validate\\.ts$"),
      "^src/server/(http|services)/",
      YUP,
      external("astro"),
      "^(node:)?[a-z_/]+$",
    ),
    allow(
      "^src/middleware\\.ts$",
      "^src/server/(http|services)/",
      core("result\\.ts$"),
      external("astro"),
      "^astro:middleware$",
    ),
    allow(
      "^src/(pages|layouts)/",
      core(""),
      "^src/server/(http|services|queries)/",
      "^src/(islands|layouts|styles)/",
      YUP,
      external("astro"),
    ),
    allow(
      "^src/islands/(fields|frame|charts|state|words|isolation)/",
      core(""),
      "^src/islands/(fields|frame|charts|state|words|isolation)/",
      "^src/workers/",
      UI,
    ),
    allow(
      "^src/islands/tools/",
      core(""),
      "^src/islands/(fields|frame|charts|state|words|isolation|tools)/",
      "^src/workers/",
      UI,
    ),
    allow(
      "^src/islands/(?!fields|frame|charts|state|words|isolation|tools)([^/]+)/",
      core(""),
      "^src/islands/(fields|frame|charts|state|words|isolation|tools)/",
      "^src/islands/$1/",
      "^src/workers/",
      UI,
    ),
    allow("^src/workers/", core(""), external("comlink"), "^worker_threads$"),
    allow("^src/(demo|stand-ins)/", core(""), "^src/(demo|stand-ins)/"),
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    enhancedResolveOptions: { exportsFields: ["exports"], conditionNames: ["import", "node", "default"] },
  },
};
