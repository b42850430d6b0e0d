import { endpoint } from "@/server/http/endpoint";
import { keepPicture } from "@/server/services/keep-picture";
import { readShopContext } from "@/server/services/shop-context";

/** An entry then names it by its hash. */
export const POST = endpoint("POST /api/pictures", {
  handle: async ({ bytes }) => keepPicture(bytes, new Date().toISOString(), (await readShopContext()).db),
});
