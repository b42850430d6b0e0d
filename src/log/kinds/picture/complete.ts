import { fail, issue, ok } from "@/core/result";
import type { Completion } from "../../completion";

/** The entry of a picture names bytes that lie here, in their own size. */
export const complete: Completion<"picture"> = async (payload, { services }) => {
  const { sha256 } = payload;
  const size = await services.pictureSize(sha256);
  if (size) return ok({ payload: { ...payload, ...size } });
  return fail(
    issue(
      "payload.sha256",
      "unknown/picture",
      `No picture ${sha256.slice(0, 12)}… lies here: send it first.`,
      sha256,
    ),
  );
};
