import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { ENTRY_KINDS } from "@/log/schemas";
import { GET } from "@/pages/api/openapi.json";
import { SERVED } from "./served";
import { call, openShop } from "./shop";

interface Description {
  readonly openapi: string;
  readonly paths: Readonly<Record<string, Readonly<Record<string, Operation>>>>;
}
interface Operation {
  readonly summary: string;
  readonly requestBody?: { readonly content: Readonly<Record<string, { readonly schema: Shape }>> };
  readonly parameters?: readonly { readonly name: string }[];
}
interface Shape {
  readonly oneOf?: readonly {
    readonly properties: { readonly kind: { readonly enum: readonly string[] } };
  }[];
}

let shop: Awaited<ReturnType<typeof openShop>>;
let description: Description;
beforeAll(async () => {
  shop = await openShop();
  description = (await call<Description>(GET)).body;
});
afterAll(() => shop.close());

describe("the description of the API", () => {
  it("lists every route file, and each with what it is for", () => {
    expect(Object.keys(description.paths).sort()).toEqual(
      [...new Set(SERVED.map(({ path }) => path))].sort(),
    );
    for (const [path, operations] of Object.entries(description.paths))
      for (const { summary } of Object.values(operations)) expect(summary.length, path).toBeGreaterThan(10);
  });

  it("names each part of a path as a parameter", () => {
    for (const [path, operations] of Object.entries(description.paths))
      for (const { parameters = [] } of Object.values(operations))
        for (const [, name] of path.matchAll(/\{(\w+)\}/g))
          expect(
            parameters.map((one) => one.name),
            path,
          ).toContain(name);
  });

  it("says what each kind of entry takes", () => {
    const body = description.paths["/api/jobs/{id}/entries"]?.["post"]?.requestBody;
    const kinds = body?.content["application/json"]?.schema.oneOf?.flatMap(
      ({ properties }) => properties.kind.enum,
    );
    expect([...(kinds ?? [])].sort()).toEqual([...ENTRY_KINDS].sort());
  });
});
