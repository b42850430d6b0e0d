import { useStore } from "@nanostores/react";
import { useEffect, useState } from "react";
import { WAKING } from "../state/awake";
import { $underWay } from "../state/under-way";

const PATIENCE_MS = 500;

/** Says that something is being kept, once it takes over half a second. */
export function Working() {
  const isBusy = useStore($underWay, WAKING) > 0;
  const [isSlow, setIsSlow] = useState(false);
  useEffect(() => {
    if (!isBusy) return setIsSlow(false);
    const timer = setTimeout(() => setIsSlow(true), PATIENCE_MS);
    return () => clearTimeout(timer);
  }, [isBusy]);
  return (
    <p role="status" className="pointer-events-none fixed inset-x-0 bottom-0 z-30 flex justify-center">
      {isSlow ? (
        <span className="border border-ink bg-sheet px-5 py-2 font-semibold text-lg">Keeping …</span>
      ) : null}
    </p>
  );
}
