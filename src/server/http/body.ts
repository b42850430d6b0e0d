import { fail, issue, ok, type Result } from "@/core/result";

/** More than any form or reading of ours holds. */
export const MAX_BODY_BYTES = 256 * 1024;

async function readLimited(request: Request, most: number): Promise<Uint8Array | undefined> {
  if (Number(request.headers.get("content-length") ?? 0) > most) return undefined;
  const reader = request.body?.getReader();
  const pieces: Uint8Array[] = [];
  let size = 0;
  while (reader) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.byteLength;
    if (size > most) {
      await reader.cancel();
      return undefined;
    }
    pieces.push(value);
  }
  return Buffer.concat(pieces);
}

/** The bytes of a request as they come, such as a picture, never more than `most` of them in memory. */
export async function rawBody(request: Request, most: number): Promise<Result<Uint8Array>> {
  const bytes = await readLimited(request, most);
  if (bytes) return ok(bytes);
  const limit = `${Math.round(most / 1024 / 1024)} MB`;
  return fail(issue("", "body/too-large", `The file is larger than ${limit}, the most that is taken here.`));
}

/** The JSON of a request, never more than the limit of it in memory. */
export async function jsonBody(request: Request): Promise<Result<unknown>> {
  const bytes = await readLimited(request, MAX_BODY_BYTES);
  if (!bytes) {
    const limit = `${MAX_BODY_BYTES / 1024} kB`;
    return fail(
      issue(
        "",
        "body/too-large",
        `The request is larger than ${limit}, which is more than any reading or form needs.`,
      ),
    );
  }
  const text = new TextDecoder().decode(bytes);
  try {
    return ok(JSON.parse(text));
  } catch {
    const start = text.length > 40 ? `${text.slice(0, 40)}…` : text;
    return fail(
      issue(
        "",
        "body/not-json",
        'The request is not readable JSON: send an object such as {"input": {}}.',
        start,
      ),
    );
  }
}
