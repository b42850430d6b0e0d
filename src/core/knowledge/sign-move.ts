/** Answer of a sign's page that says it was ticked. */
export const TOLD = "told";

/** The page that says how often a sign of the complaint is told, whatever is wrong. */
export function signMove(sign: string): string {
  return `told-${sign}`;
}
