import { ok } from "@/core/result";
import { endpoint } from "@/server/http/endpoint";
import { endSessions } from "@/server/services/sessions";

export const DELETE = endpoint("DELETE /api/sessions", {
  handle: async ({ body }) => ok({ left: endSessions(body.ids) }),
});
