/** Text as it is searched: small letters, without their accents. */
export function folded(text: string): string {
  return text.normalize("NFKD").replace(/\p{M}/gu, "").toLocaleLowerCase("en");
}
