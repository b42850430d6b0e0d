/**
 * The address that another device reaches this shop by: never that of this machine to itself, where it has a name.
 * @param asked the address that this page was asked by
 */
export function reachable(asked: string): string {
  const [name] = (process.env["GOOD_SPINDLE_HOSTS"] ?? "").split(",").filter((one) => one !== "");
  const { protocol, hostname, port } = new URL(asked);
  const isOwn = hostname === "localhost" || hostname === "127.0.0.1" || hostname === "[::1]";
  return isOwn && name !== undefined ? `${protocol}//${name}${port === "" ? "" : `:${port}`}` : asked;
}
