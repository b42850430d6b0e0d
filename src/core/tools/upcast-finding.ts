type Loose = Readonly<Record<string, unknown>>;

const asLoose = (value: unknown): Loose =>
  typeof value === "object" && value !== null ? Object.fromEntries(Object.entries(value)) : {};
const listed = (value: unknown): Loose[] => (Array.isArray(value) ? value.map(asLoose) : []);

/**
 * A Finding as tools gave it before they said how the machine stood: all was read cold then, and a number was held
 * against its lower mark. One that says it already is left as it is. Pure.
 */
export function upcastFinding(given: unknown, input: unknown): unknown {
  const finding = asLoose(given);
  const old = listed(finding["evidence"]);
  if (old.every((one) => "circumstance" in one) && (old.length > 0 || "tells" in finding)) return given;
  const share = listed(finding["figures"]).find(({ id }) => id === "share-of-lower-mark")?.["value"];
  const evidence = old.map((one) => {
    const likelihood = asLoose(one["likelihood"]);
    const value = likelihood["value"];
    const isRatio = typeof share === "number" && typeof value === "number" && share > 0 && value > 0;
    return {
      ...one,
      circumstance: "cold",
      ...(isRatio ? { likelihood: { ...likelihood, mark: value / share } } : {}),
    };
  });
  const bleed = asLoose(input)["bleedResistor"];
  const tells = bleed === undefined ? {} : { tells: { bleedResistor: bleed !== "none" } };
  return { ...finding, evidence, ...tells };
}
