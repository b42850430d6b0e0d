/** Of a turn's lines. */
const [FEWEST, MOST] = [500, 10_000];
/** How long a turn may take: nobody is held up for longer. */
const [SHORTEST_MS, LONGEST_MS] = [25, 75];

/**
 * How much is read from the database at a time by somebody who must not hold up others, nor be starved by them: a turn
 * takes about as long as the wait for it was.
 */
export class Turns {
  /** Lines that the next turn should have. */
  size = 1000;

  constructor(private readonly now: () => number = () => performance.now()) {}

  /** @param read calls what it is given once its turn has come */
  async take<T>(lines: number, read: (began: () => void) => Promise<T>): Promise<T> {
    const asked = this.now();
    let began = asked;
    const done = await read(() => {
      began = this.now();
    });
    const took = Math.max(1, this.now() - began);
    const may = Math.min(LONGEST_MS, Math.max(SHORTEST_MS, began - asked));
    this.size = Math.round(Math.min(MOST, Math.max(FEWEST, (Math.max(1, lines) * may) / took)));
    return done;
  }
}
