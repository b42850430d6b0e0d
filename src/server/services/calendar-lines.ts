const MOST_OCTETS = 75;
const encoder = new TextEncoder();

/** One line of a calendar in pieces of at most 75 octets, never within a character (RFC 5545, 3.1). */
function fold(line: string): string {
  const pieces: string[] = [];
  let piece = "";
  let octets = 0;
  for (const character of line) {
    const own = encoder.encode(character).length;
    if (octets + own > MOST_OCTETS) {
      pieces.push(piece);
      [piece, octets] = ["", 1];
    }
    piece += character;
    octets += own;
  }
  return [...pieces, piece].join("\r\n ");
}

/** A calendar whose lines are folded by octets: the package that writes it counts characters. */
export function foldedByOctets(calendar: string): string {
  return calendar
    .replace(/\r\n[ \t]/g, "")
    .split("\r\n")
    .map(fold)
    .join("\r\n");
}
