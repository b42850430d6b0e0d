import { atom } from "nanostores";

/** How many requests that change something are under way from this page. */
export const $underWay = atom(0);

/** Counts a request for as long as it takes. */
export async function whileUnderWay<T>(work: () => Promise<T>): Promise<T> {
  $underWay.set($underWay.get() + 1);
  try {
    return await work();
  } finally {
    $underWay.set($underWay.get() - 1);
  }
}
