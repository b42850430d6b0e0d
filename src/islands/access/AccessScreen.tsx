import { useEffect, useRef, useState } from "react";
import { Problem } from "../fields/Problem";
import { Spindle } from "../frame/Spindle";
import { request } from "../state/api";
import { useAwake } from "../state/awake";

/** Only a path of our own: never an address that the link brought along. */
function goOn(): void {
  const to = new URLSearchParams(window.location.search).get("to") ?? "/";
  const { origin } = window.location;
  const url = URL.canParse(to, origin) ? new URL(to, origin) : undefined;
  window.location.assign(url?.origin === origin ? `${url.pathname}${url.search}` : "/");
}

/** The door of a shop that is served on the workshop's network. */
export function AccessScreen() {
  // The browser's own: what is typed before the page has woken up would be lost in a state of ours.
  const code = useRef<HTMLInputElement>(null);
  const [problem, setProblem] = useState<string | undefined>(undefined);
  // A form sent before the page is awake would only load it again.
  const isAwake = useAwake();
  const enter = async (given: string): Promise<void> => {
    const answer = await request("POST /api/access", { body: { code: given } });
    if (answer.ok) goOn();
    else setProblem(answer.issues.map(({ message }) => message).join(" "));
  };
  useEffect(() => {
    const scanned = window.location.hash.slice(1);
    if (scanned !== "" && code.current) code.current.value = scanned;
  }, []);
  return (
    <main className="mx-auto max-w-md px-5 py-10">
      <p className="flex items-center gap-3 font-bold text-xl">
        <Spindle /> Good Spindle
      </p>
      <form
        className="move mt-6 px-5 py-5"
        onSubmit={(event) => {
          event.preventDefault();
          void enter(code.current?.value ?? "");
        }}
      >
        <h1 className="font-bold text-[28px] leading-tight">Access code</h1>
        <p className="mt-1 mb-3">
          It stands in the terminal where the shop was started, and in Set-up of a device that is in already.
        </p>
        <label className="label-line" htmlFor="code">
          Code
        </label>
        <input
          id="code"
          className="input num text-3xl"
          ref={code}
          autoComplete="off"
          autoCapitalize="characters"
          spellCheck={false}
        />
        <Problem text={problem} />
        <button type="submit" className="btn btn-primary mt-4 btn-loud" disabled={!isAwake}>
          Come in
        </button>
      </form>
    </main>
  );
}
