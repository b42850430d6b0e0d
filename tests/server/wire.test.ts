import { describe, expect, expectTypeOf, it } from "vitest";
import * as yup from "yup";
import type { JobView } from "@/core/job/log/view";
import { addressOf } from "@/islands/state/api";
import { misfits } from "@/server/http/answer-check";
import { answersTo } from "@/server/http/methods";
import { type AnswerOf, answerOf, type SentOf } from "@/wire/route";
import { type RouteName, WIRE, type Wire } from "@/wire/wire";
import { addressOfFile, SERVED } from "./served";

describe("the wire", () => {
  it("is served whole: each route by the file of its path, and no file serves another", () => {
    expect(SERVED.map(({ name }) => name).sort()).toEqual(Object.keys(WIRE).sort());
    for (const { name, file, method } of SERVED) expect(`${method} ${addressOfFile(file)}`).toBe(name);
  });

  it("names each part of a path as a parameter, and no other", () => {
    for (const { name, path, declared } of SERVED) {
      const inPath = [...path.matchAll(/\{(\w+)\}/g)].map(([, part]) => part);
      expect(Object.keys(declared.params?.fields ?? {}), name).toEqual(inPath);
    }
  });

  it("says for each route what comes back", () => {
    for (const { name, declared } of SERVED)
      expect(declared.answer !== undefined || declared.answers !== undefined, name).toBe(true);
  });

  it("gives a caller the types that its declarations say", () => {
    expectTypeOf<AnswerOf<Wire["GET /api/jobs/{id}"]>>().toEqualTypeOf<JobView>();
    expectTypeOf<SentOf<Wire["POST /api/pictures"]>>().toEqualTypeOf<Blob>();
    expectTypeOf<AnswerOf<Wire["GET /api/events"]>>().toEqualTypeOf<undefined>();
    // @ts-expect-error a field of the type that is not described
    answerOf<{ readonly a: string; readonly b: number }>()({ a: yup.string().required() });
    // @ts-expect-error a description that does not let the field through
    answerOf<{ readonly a: string }>()({ a: yup.number().required() });
  });

  it("finds an answer that does not fit, by its path and without what stands there", () => {
    const told = misfits("GET /api/timers", JSON.stringify({ timers: [{ jobId: "Tansy", seq: 1 }] }));
    expect(told.join(" ")).toMatch(/timers\.0\.jobId/);
    expect(told.join(" ")).not.toContain("Tansy");
    expect(misfits("GET /api/timers", JSON.stringify({ timers: [] }))).toEqual([]);
  });

  it("fills in an address, whatever stands in it", () => {
    const name: RouteName = "POST /api/backups/{name}/restore";
    expect(addressOf(name, { params: { name: "a/b ?.zip" } })).toBe("/api/backups/a%2Fb%20%3F.zip/restore");
    expect(addressOf("GET /api/jobs", { query: { find: "a&b" } })).toBe("/api/jobs?find=a%26b");
    expect(addressOf("GET /api/jobs", { query: { find: undefined } })).toBe("/api/jobs");
  });

  it("knows by what methods an address answers", () => {
    expect(answersTo("/api/jobs/12/entries")).toEqual(["POST"]);
    expect(answersTo("/api/shelf/x/moves/")).toEqual(["GET", "POST"]);
    expect(answersTo("/api/nowhere")).toEqual([]);
  });
});
