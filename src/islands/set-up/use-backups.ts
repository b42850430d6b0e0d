import { useCallback, useEffect, useRef, useState } from "react";
import { request } from "../state/api";

export interface Backup {
  readonly name: string;
  /** UTC, ISO 8601. */
  readonly at: string;
  readonly bytes: number;
}

/** A backup or a restore of the whole shop: under way, or over. */
export interface Work {
  readonly what: "backup" | "restore";
  readonly since: string;
  readonly isDone: boolean;
  readonly trouble: string | null;
  readonly left: string | null;
}

interface State {
  readonly backups: readonly Backup[];
  readonly work: Work | null;
}

const LOOK_EVERY_MS = 1_500;

/** The shop's backups, and what is done with them: a long work is asked after until it is over. */
export function useBackups(last: Backup | null) {
  const [backups, setBackups] = useState<readonly Backup[]>(last ? [last] : []);
  const [work, setWork] = useState<Work | null>(null);
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
      const state = await request<State>("GET", "/api/backups");
      // While the shop is switched nobody answers for a moment.
      if (state.ok) take(state.value);
    }, LOOK_EVERY_MS);
    return () => clearInterval(timer);
  }, [isBusy, take]);

  const begin = async (what: Work["what"], path: string): Promise<void> => {
    mine.current = true;
    setProblem(undefined);
    setWork({ what, since: new Date().toISOString(), isDone: false, trouble: null, left: null });
    const begun = await request<Partial<State>>("POST", path);
    if (!begun.ok) {
      setWork(null);
      setProblem(begun.issues.map(({ message }) => message).join(" "));
    } else if (begun.value.backups) take(begun.value as State);
  };

  return {
    backups,
    work,
    problem: problem ?? work?.trouble ?? undefined,
    isBusy,
    load: async (): Promise<void> => {
      const state = await request<State>("GET", "/api/backups");
      if (state.ok) take(state.value);
    },
    backUp: () => begin("backup", "/api/backups"),
    putBack: (name: string) => begin("restore", `/api/backups/${name}/restore`),
  };
}
