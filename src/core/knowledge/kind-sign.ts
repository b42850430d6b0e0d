/** The sign by which a motor of a family is known, where the family itself is what is asked. */
export function kindSign(family: string): string {
  return `kind-${family}`;
}
