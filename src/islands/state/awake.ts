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
