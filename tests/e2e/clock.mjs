// Read before the server: a clock that a test can put forward, by the milliseconds in a file.
import { readFileSync } from "node:fs";

const { now } = Date;
const Real = Date;

function ahead() {
  try {
    return Number(readFileSync(process.env.SPINDLE_CLOCK_AHEAD ?? "", "utf8")) || 0;
  } catch {
    return 0;
  }
}

globalThis.Date = class extends Real {
  constructor(...given) {
    super(...(given.length === 0 ? [now() + ahead()] : given));
  }
  static now() {
    return now() + ahead();
  }
};
