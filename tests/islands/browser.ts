import { cleanup } from "@testing-library/react";
import { afterEach, vi } from "vitest";

// Libraries are loaded once a worker; what is ours, with all that it keeps, anew for each file.
vi.resetModules();
afterEach(cleanup);

/** What the page's surroundings need and its stand-in has otherwise or not; nothing in them is looked at. */
class NoObserver implements ResizeObserver {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}
globalThis.ResizeObserver ??= NoObserver;
window.matchMedia = (query) =>
  ({
    matches: false,
    media: query,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }) as unknown as MediaQueryList;
Element.prototype.scrollIntoView ??= () => undefined;
