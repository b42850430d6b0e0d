import { type RefObject, useEffect, useRef, useState } from "react";
import { bringIntoView, useAnchor } from "../frame/anchor";

/** The move that the repairer chose instead of the first; what was chosen is brought into view. */
export function useOwnMove(): {
  readonly own: string | undefined;
  open(moveId: string): void;
  /** Its card stays, whatever is advised meanwhile. */
  stay(moveId: string): void;
  readonly card: RefObject<HTMLDivElement | null>;
} {
  const [own, setOwn] = useState<string | undefined>(undefined);
  const [opened, setOpened] = useState(0);
  const card = useRef<HTMLDivElement>(null);
  const open = (moveId: string): void => {
    setOwn(moveId);
    setOpened((count) => count + 1);
  };
  useAnchor((anchor) => {
    const [what, moveId] = anchor.split(":");
    if (what === "move" && moveId) open(moveId);
  });
  useEffect(() => {
    if (opened > 0) bringIntoView(card.current);
  }, [opened]);
  return { own, open, stay: setOwn, card };
}
