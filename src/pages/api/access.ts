import { parseWith } from "@/core/validate";
import { jsonBody } from "@/server/http/body";
import { plainRoute } from "@/server/http/endpoint";
import { oneProblem, problem } from "@/server/http/problem";
import { tryCode } from "@/server/services/access";
import { newSession } from "@/server/services/sessions";
import { WIRE } from "@/wire/wire";

/** Not an endpoint like the others: it sets a cookie. */
export const POST = plainRoute("POST /api/access", async ({ request, cookies, clientAddress }) => {
  const json = await jsonBody(request);
  if (!json.ok) return problem(400, json.issues);
  const parsed = parseWith(WIRE["POST /api/access"].body, json.value);
  if (!parsed.ok) return problem(422, parsed.issues);
  const now = Date.now();
  const answer = tryCode(parsed.value.code, clientAddress, now);
  if (answer.kind === "locked")
    return oneProblem(
      423,
      "access/locked",
      `Five wrong tries: wait ${answer.seconds} s, then read the code off the terminal again.`,
    );
  if (answer.kind === "wrong")
    return oneProblem(
      422,
      "access/wrong",
      `This is not the code of this shop. ${answer.left} ${answer.left === 1 ? "try" : "tries"} left before a minute's wait.`,
    );
  const { token, maxAgeSeconds } = newSession(now, clientAddress);
  cookies.set("session", token, { httpOnly: true, sameSite: "strict", path: "/", maxAge: maxAgeSeconds });
  return Response.json({ ok: true }, { headers: { "cache-control": "no-store" } });
});
