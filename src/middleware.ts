import { defineMiddleware } from "astro:middleware";
import { isDamaged, isDiskFull, isUnreachable, traceOf } from "./server/http/fault";
import { withSecurityHeaders } from "./server/http/headers";
import { answersTo } from "./server/http/methods";
import { allowedHosts, originRefusal } from "./server/http/origin";
import { oneProblem } from "./server/http/problem";
import { needsAccess } from "./server/services/access";
import { endForDamage } from "./server/services/end-for-damage";
import { isSession } from "./server/services/sessions";

/** What a page says while the database server does not answer. */
const AWAY = "/away";
const OPEN_PATHS = /^\/(access|api\/access|api\/health|_astro\/.*|favicon\.svg|away|early-taps\.js)\/?$/;

function refused(status: number, code: string, message: string): Response {
  return oneProblem(status, code, message);
}

function byOtherMethod(method: string, address: string, methods: readonly string[]): Response {
  const told = `${address} is not asked by ${method}: it answers to ${methods.join(" and ")}.`;
  const answer = refused(405, "method/not-allowed", told);
  answer.headers.set("allow", methods.join(", "));
  return answer;
}

export const onRequest = defineMiddleware(async (context, next) => {
  const { request, url, cookies, locals } = context;
  const requestId = crypto.randomUUID();
  locals.requestId = requestId;
  const dress = (response: Response): Response =>
    withSecurityHeaders(response, requestId, import.meta.env.PROD);
  const port = process.env["PORT"] ?? url.port;
  const refusal = originRefusal(request, allowedHosts(port, process.env["GOOD_SPINDLE_HOSTS"]));
  if (refusal) return dress(refused(403, refusal.code, refusal.message));
  // The server's own idea of its address knows no port: what is printed has to lead back here.
  locals.origin = `${url.protocol}//${request.headers.get("host")}`;
  if (
    needsAccess() &&
    !OPEN_PATHS.test(url.pathname) &&
    !isSession(cookies.get("session")?.value, Date.now())
  ) {
    if (url.pathname.startsWith("/api/"))
      return dress(refused(401, "access/needed", "Enter the access code of this shop first, at /access."));
    return dress(context.redirect(`/access?to=${encodeURIComponent(url.pathname)}`));
  }
  try {
    const answer = await next();
    // Whatever is asked under /api is answered as data: an address or a method that is not there, too.
    const isPage = !/json/.test(answer.headers.get("content-type") ?? "");
    if (url.pathname.startsWith("/api/") && answer.status >= 400 && isPage) {
      const methods = answersTo(url.pathname);
      if (methods.length > 0) return dress(byOtherMethod(request.method, url.pathname, methods));
      return dress(
        refused(
          404,
          "not-found/address",
          `There is no ${request.method} ${url.pathname} here: GET /api/openapi.json lists what there is.`,
        ),
      );
    }
    return dress(answer);
  } catch (error) {
    console.error(`request ${requestId} ${request.method} ${url.pathname}: ${traceOf(error)}`);
    if (isDamaged(error)) endForDamage();
    const isAway = process.env["DATABASE_URL"] !== undefined && isUnreachable(error);
    if (!url.pathname.startsWith("/api/")) {
      if (isAway && url.pathname !== AWAY) return dress(await context.rewrite(AWAY));
      throw error;
    }
    if (isDiskFull(error))
      return dress(
        refused(
          507,
          "disk/full",
          "The disk of the shop's computer is full: what you typed is kept here. Make room, then keep it again.",
        ),
      );
    if (isAway)
      return dress(
        refused(
          503,
          "database/no-answer",
          "The database server does not answer: what you typed is kept here. Keep it again in a moment.",
        ),
      );
    return dress(
      refused(
        500,
        "server/fault",
        `Something went wrong here; nothing was changed. Its number is ${requestId}.`,
      ),
    );
  }
});
