import { type RefObject, useEffect, useRef, useState } from "react";

/** So much of the window is not covered by the foot. */
const IN_SIGHT = 0.85;
const FOCUSABLE = "input:not([type=hidden]), button, select, textarea, a[href], summary";

/** The anchor in the page's address, without its sign; empty where there is none. */
export function anchorNow(): string {
  return typeof window === "undefined" ? "" : decodeURIComponent(window.location.hash.slice(1));
}

/** Goes to a part of this page: the address says it, and every part hears it, also when it was said before. */
export function goToAnchor(anchor: string): void {
  history.replaceState(history.state, "", `#${encodeURIComponent(anchor)}`);
  window.dispatchEvent(new HashChangeEvent("hashchange"));
}

/** Calls back with the anchor of the page, at first and whenever it is gone to. */
export function useAnchor(onAnchor: (anchor: string) => void): void {
  const act = useRef(onAnchor);
  act.current = onAnchor;
  useEffect(() => {
    const heard = (): void => {
      if (anchorNow() !== "") act.current(anchorNow());
    };
    heard();
    window.addEventListener("hashchange", heard);
    return () => window.removeEventListener("hashchange", heard);
  }, []);
}

/** Brings what a tap opened into view, with the focus on the figure it asks for, or on its first field or button. */
export function bringIntoView(element: HTMLElement | null): void {
  if (!element) return;
  element.scrollIntoView({ block: "start" });
  const first =
    element.querySelector<HTMLElement>("[data-figures]") ?? element.querySelector<HTMLElement>(FOCUSABLE);
  first?.focus({ preventScroll: true });
  // Further down than the window reaches: what is asked for counts, not the heading.
  if (first && first.getBoundingClientRect().bottom > window.innerHeight * IN_SIGHT)
    first.scrollIntoView({ block: "center" });
}

/** A part of a screen that its anchor opens: opened, brought into view, its first control focused. */
export function useAnchored<E extends HTMLElement = HTMLElement>(
  anchor: string | undefined,
): {
  readonly ref: RefObject<E | null>;
  readonly isOpen: boolean;
  setIsOpen(isOpen: boolean): void;
} {
  const ref = useRef<E>(null);
  const [isOpen, setIsOpen] = useState(false);
  const [called, setCalled] = useState(0);
  useAnchor((gone) => {
    if (gone !== anchor) return;
    setIsOpen(true);
    setCalled((count) => count + 1);
  });
  useEffect(() => {
    if (called > 0) bringIntoView(ref.current);
  }, [called]);
  return { ref, isOpen, setIsOpen };
}
