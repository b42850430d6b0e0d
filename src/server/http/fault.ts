/** An error and what caused it, outermost first. */
function chain(error: unknown): readonly unknown[] {
  const all: unknown[] = [];
  for (let one = error; one !== undefined && one !== null && all.length < 8; ) {
    all.push(one);
    one = one instanceof Error ? one.cause : undefined;
  }
  return all;
}

const codeOf = (error: unknown): string =>
  typeof error === "object" && error !== null && "code" in error ? String(error.code) : "";

/** Whether the disk had no room: of Node's own writing, of the embedded database, of a PostgreSQL server. */
export function isDiskFull(error: unknown): boolean {
  return chain(error).some(
    (one) =>
      ["ENOSPC", "EDQUOT", "53100"].includes(codeOf(one)) ||
      (one instanceof Error && /no space left on device/i.test(one.message)),
  );
}

/** Whether a PostgreSQL server did not answer, or sent us away: it is being started, stopped, or cannot be reached. */
export function isUnreachable(error: unknown): boolean {
  return chain(error).some(
    (one) =>
      /^(ECONNREFUSED|ECONNRESET|EPIPE|ENOENT|ENOTFOUND|ETIMEDOUT|08\w{3}|57P0[1-3])$/.test(codeOf(one)) ||
      (one instanceof Error && /connection terminated|connection error/i.test(one.message)),
  );
}

/** Whether the database found its own files damaged: class XX001 and XX002 of its error codes. */
export function isDamaged(error: unknown): boolean {
  return chain(error).some((one) => ["XX001", "XX002"].includes(codeOf(one)));
}

/** What the server's log may say of an error: where it came from, never the text of an entry, which messages quote. */
export function traceOf(error: unknown): string {
  return chain(error)
    .map((one) => {
      if (!(one instanceof Error)) return typeof one;
      const frames = (one.stack ?? "").split("\n").filter((line) => /^\s+at /.test(line));
      return [`${one.name} ${codeOf(one)}`.trim(), ...frames].join("\n");
    })
    .join("\ncaused by ");
}
