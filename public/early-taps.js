// A page that has only just come cannot answer yet: on a slow tablet that takes a second. A button that is pressed in that
// moment is pressed once the page has woken up, if it still says the same: without this the tap would be lost.
(() => {
  const STALE_MS = 10_000;
  let early;
  const asleep = (event) => event.target instanceof Element && event.target.closest("astro-island[ssr]");
  addEventListener(
    "click",
    (event) => {
      const island = asleep(event);
      const button = island && event.target.closest("button");
      if (!button || !event.isTrusted) return;
      event.preventDefault();
      event.stopPropagation();
      early = { island, button, said: button.textContent, at: performance.now() };
    },
    true,
  );
  // A form that nothing listens to yet would load the page anew, and what was typed would be gone.
  addEventListener("submit", (event) => asleep(event) && event.preventDefault(), true);
  addEventListener(
    "astro:hydrate",
    (event) => {
      if (event.target !== early?.island) return;
      const { button, said, at } = early;
      early = undefined;
      if (button.isConnected && button.textContent === said && performance.now() - at < STALE_MS)
        button.click();
    },
    true,
  );
})();
