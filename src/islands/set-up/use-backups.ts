import { useCallback, useEffect, useRef, useState } from "react";
import { ok, type Result } from "@/core/result";
import type { AnswerOf } from "@/wire/route";
import type { Backup, Undertaking } from "@/wire/shop";
import type { Wire } from "@/wire/wire";
import { request } from "../state/api";

type State = Pick<AnswerOf<Wire["GET /api/backups"]>, "backups" | "work">;

const LOOK_EVERY_MS = 1_500;

/** The shop's backups, and what is done with them: a long work is asked after until it is over. */
export function useBackups(last: Backup | null) {
  const [backups, setBackups] = useState<readonly Backup[]>(last ? [last] : []);
  const [work, setWork] = useState<Undertaking | null>(null);
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const mine = useRef(false);

  const take = useCallback((state: State): void => {
    setBackups(state.backups);
    // What was over before this page asked for anything is none of its business.
    if (mine.current || state.work?.isDone === false) setWork(state.work);
  }, []);
  const isBusy = work?.isDone === false;
  useEffect(() => {
    if (!isBusy) return undefined;
    const timer = setInterval(async () => {
      const state = await request("GET /api/backups");
      // While the shop is switched nobody answers for a moment.
      if (state.ok) take(state.value);
    }, LOOK_EVERY_MS);
    return () => clearInterval(timer);
  }, [isBusy, take]);

  /** @param ask begins it; answers how the shop stands, where it does so by itself */
  const begin = async (
    what: Undertaking["what"],
    ask: () => Promise<Result<State | undefined>>,
  ): Promise<void> => {
    mine.current = true;
    setProblem(undefined);
    setWork({ what, since: new Date().toISOString(), isDone: false, trouble: null, left: null });
    const begun = await ask();
    if (!begun.ok) {
      setWork(null);
      setProblem(begun.issues.map(({ message }) => message).join(" "));
    } else if (begun.value) take(begun.value);
  };

  return {
    backups,
    work,
    problem: problem ?? work?.trouble ?? undefined,
    isBusy,
    load: async (): Promise<void> => {
      const state = await request("GET /api/backups");
      if (state.ok) take(state.value);
    },
    backUp: () => begin("backup", () => request("POST /api/backups")),
    putBack: (name: string) =>
      begin("restore", async () => {
        const begun = await request("POST /api/backups/{name}/restore", { params: { name } });
        return begun.ok ? ok(undefined) : begun;
      }),
  };
}
