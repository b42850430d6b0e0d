import { useEffect, useRef, useState } from "react";
import { isSteady, type MeterLine, type Sample } from "@/core/quantity/meter-line";
import type { QuantityId } from "@/core/quantity/reading";

export interface MeterWanted {
  readonly quantity: QuantityId;
  readonly a?: string;
  readonly b?: string;
}

export interface MeterNow {
  readonly isOn: boolean;
  /** What it shows, as it would be typed. */
  readonly shown: string | undefined;
  readonly problem: string | undefined;
  start(): void;
  stop(): void;
}

/** Samples kept: a little more than two seconds of any meter. */
const KEPT = 60;

/** The meter's own figure on this screen, handed over once it has stood still for two seconds. */
export function useMeter(
  { quantity, a = "", b = "" }: MeterWanted,
  onSteady: (typed: string) => void,
): MeterNow {
  const [isOn, setIsOn] = useState(false);
  const [shown, setShown] = useState<string | undefined>(undefined);
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const steady = useRef(onSteady);
  steady.current = onSteady;
  useEffect(() => {
    if (!isOn) return;
    const samples: Sample[] = [];
    const events = new EventSource(`/api/meter?${new URLSearchParams({ quantity, a, b })}`);
    const end = (why: string | undefined): void => {
      events.close();
      setIsOn(false);
      setShown(undefined);
      setProblem(why);
    };
    events.addEventListener("reading", (event: MessageEvent<string>) => {
      const { line, typed }: { readonly line: MeterLine; readonly typed: string } = JSON.parse(event.data);
      const now = Date.now();
      samples.push({ at: now, line });
      if (samples.length > KEPT) samples.shift();
      setShown(typed);
      if (!isSteady(samples, now)) return;
      end(undefined);
      steady.current(typed);
    });
    events.addEventListener("ended", (event: MessageEvent<string>) => {
      const { why }: { readonly why: string } = JSON.parse(event.data);
      end(why);
    });
    events.addEventListener("error", () => end("The meter does not answer."));
    return () => events.close();
  }, [isOn, quantity, a, b]);
  return {
    isOn,
    shown,
    problem,
    start: () => {
      setProblem(undefined);
      setIsOn(true);
    },
    stop: () => setIsOn(false),
  };
}
