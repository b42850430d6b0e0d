import { test as base } from "@playwright/test";
import { type RunningShop, runShop } from "./server";

/** One demo shop a worker: for tests that use it and neither restart it nor count what is in it. */
export const test = base.extend<object, { readonly shop: RunningShop }>({
  shop: [
    // biome-ignore lint/correctness/noEmptyPattern: the form that the runner asks for
    async ({}, use) => {
      const shop = await runShop();
      await use(shop);
      await shop.stop();
    },
    { scope: "worker" },
  ],
});
