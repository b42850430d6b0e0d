import { useEffect, useRef, useState } from "react";
import { isSteady, type MeterLine, type Sample } from "@/core/quantity/meter-line";
import { QUANTITIES, type QuantityId } from "@/core/quantity/reading";

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

/** Without a word for so long, at first and then between two readings, a meter is silent. Milliseconds. */
const FIRST_MS = 5000;
const SILENT_MS = 3000;

/** A figure below zero of what cannot be: the probes lie on something that drives the meter. */
function belowZero(quantity: QuantityId, { kind, value }: MeterLine, typed: string): string | undefined {
  const { min, label } = QUANTITIES[quantity];
  return kind === "value" && min === 0 && value < 0
    ? `It shows ${typed}, and ${label} is never below zero: is something live or charged across the probes?`
    : undefined;
}

/** What is told to the screen: a figure only as long as it is the meter's figure now, of this quantity at this place. */
interface Told {
  figure(typed: string): void;
  /** It goes on, with nothing to show and why. */
  nothing(why: string | undefined): void;
  steady(typed: string): void;
  over(why: string | undefined): void;
}

/** Hears the meter until it is steady, silent, ended or let go of. @returns what lets go of it */
function hear({ quantity, a = "", b = "" }: MeterWanted, told: Told): () => void {
  const samples: Sample[] = [];
  const events = new EventSource(`/api/meter?${new URLSearchParams({ quantity, a, b })}`);
  const close = (): void => {
    clearTimeout(watch);
    events.close();
  };
  const end = (why: string | undefined): void => {
    close();
    told.over(why);
  };
  const silent = (): void => end("The meter is silent: see that it is on, and begin again.");
  let watch = setTimeout(silent, FIRST_MS);
  const nothing = (why: string): void => {
    samples.length = 0;
    told.nothing(why);
  };
  const onTold = <T>(event: string, take: (data: T) => void): void =>
    events.addEventListener(event, (message: MessageEvent<string>) => {
      clearTimeout(watch);
      watch = setTimeout(silent, SILENT_MS);
      const data: T = JSON.parse(message.data);
      take(data);
    });
  onTold<{ readonly line: MeterLine; readonly typed: string }>("reading", ({ line, typed }) => {
    const wrong = belowZero(quantity, line, typed);
    if (wrong !== undefined) return nothing(wrong);
    const now = Date.now();
    samples.push({ at: now, line });
    if (samples.length > KEPT) samples.shift();
    told.figure(typed);
    if (!isSteady(samples, now)) return;
    end(undefined);
    told.steady(typed);
  });
  onTold<{ readonly why: string }>("unfit", ({ why }) => nothing(why));
  onTold<{ readonly why: string }>("ended", ({ why }) => end(why));
  events.addEventListener("error", () => end("The meter does not answer."));
  return close;
}

/**
 * The meter's own figure on this screen, handed over once it has stood still for two seconds. A figure is shown only while it
 * is live: never after a stop, a silence, another quantity, or at another pair than it was read on.
 */
export function useMeter(
  { quantity, a = "", b = "" }: MeterWanted,
  onSteady: (typed: string) => void,
): MeterNow {
  const [isOn, setIsOn] = useState(false);
  const [shown, setShown] = useState<string | undefined>(undefined);
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const steady = useRef(onSteady);
  steady.current = onSteady;
  const place = `${quantity} ${a} ${b}`;
  const heardAt = useRef("");
  useEffect(() => {
    setShown(undefined);
    if (!isOn) {
      heardAt.current = "";
      return;
    }
    if (heardAt.current !== "" && heardAt.current !== place)
      setProblem("The place was changed: the figure before it is gone.");
    heardAt.current = place;
    return hear(
      { quantity, a, b },
      {
        figure: (typed) => {
          setShown(typed);
          setProblem(undefined);
        },
        nothing: (why) => {
          setShown(undefined);
          setProblem(why);
        },
        steady: (typed) => steady.current(typed),
        over: (why) => {
          setIsOn(false);
          setProblem(why);
        },
      },
    );
  }, [isOn, quantity, a, b, place]);
  return {
    isOn,
    shown: isOn ? shown : undefined,
    problem,
    start: () => {
      setProblem(undefined);
      setIsOn(true);
    },
    stop: () => setIsOn(false),
  };
}
