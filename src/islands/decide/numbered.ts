/** Numbers nearer to each other than this share of a slider would be written over each other. */
const LEAST_APART = 0.27;

/**
 * The notches that carry their number: the nearest to where the slider stands first, and no other so near to one of them
 * that both could not be read.
 * @param places of the notches, shares of the slider's reach
 */
export function numbered(places: readonly number[], stands: number): readonly number[] {
  const kept: number[] = [];
  const nearestFirst = [...places].sort((one, other) => Math.abs(one - stands) - Math.abs(other - stands));
  for (const place of nearestFirst)
    if (kept.every((one) => Math.abs(one - place) >= LEAST_APART)) kept.push(place);
  return kept.sort((one, other) => one - other);
}
