/** What the page's surroundings need and jsdom does not have; nothing in them is looked at. */
class NoObserver implements ResizeObserver {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}
globalThis.ResizeObserver ??= NoObserver;
window.matchMedia ??= (query) =>
  ({
    matches: false,
    media: query,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }) as unknown as MediaQueryList;
Element.prototype.scrollIntoView ??= () => undefined;
