import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { DEFAULT_SETTINGS } from "@/core/shop/settings";
import { TERN_QUAY } from "@/demo/shop";
import { GET, PUT } from "@/pages/api/settings";
import { call, openShop } from "./shop";

let shop: Awaited<ReturnType<typeof openShop>>;
beforeAll(async () => {
  shop = await openShop();
});
afterAll(() => shop.close());

const put = (value: unknown, version: number) =>
  call<{ version: number }>(PUT, { method: "PUT", body: { value, version } });

describe("settings of the shop", () => {
  it("start from the defaults, count their versions, and refuse the later of two", async () => {
    expect((await call(GET)).body).toEqual({ value: DEFAULT_SETTINGS, version: 0 });
    expect((await put(TERN_QUAY, 0)).body.version).toBe(1);
    expect((await put({ ...TERN_QUAY, shopName: "Other" }, 0)).status).toBe(409);
    expect((await put({ ...TERN_QUAY, shopName: "Tern Quay" }, 1)).body).toMatchObject({
      version: 2,
      value: { shopName: "Tern Quay" },
    });
    expect((await put(TERN_QUAY, 1)).problem.issues[0]?.code).toBe("stale/settings");
  });

  it.each<[string, object, string, RegExp]>([
    ["a zone that is none", { zone: "Mars/Olympus" }, "value.zone", /Area\/City/],
    ["a currency that is none", { currency: "ABC" }, "value.currency", /three letters/],
    ["a region that is none", { region: "atlantis" }, "value.region", /"atlantis"/],
    ["volts that are none", { volts: 0 }, "value.volts", /outside what is possible/],
    [
      "a range that cannot be read",
      { instruments: [{ ...TERN_QUAY.instruments[0], upTo: "200 parsecs" }] },
      "value.instruments.0.upTo",
      /no unit of capacitance/,
    ],
    [
      "a safety limit loosened",
      { limits: { "safe-to-work-volts": 40 } },
      "value.limits.safe-to-work-volts",
      /loosen/,
    ],
    ["a school that is none", { dischargeSchool: "prayer" }, "value.dischargeSchool", /not one of/],
  ])("refuses %s", async (_, change, path, words) => {
    const answer = await put({ ...TERN_QUAY, ...change }, 2);
    expect(answer.problem.issues[0]?.path).toBe(path);
    expect(answer.problem.issues[0]?.message).toMatch(words);
  });
});
