import { useSyncExternalStore } from "react";

const never = (): (() => void) => () => undefined;

/** False on the server and in the first render of the page, true from then on: for what lives on the device. */
export function useAwake(): boolean {
  return useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
}

/** For `useStore`: what a tab holds from an earlier screen is shown only after the page has woken up as the server drew it. */
export const WAKING = { ssr: "initial" } as const;
