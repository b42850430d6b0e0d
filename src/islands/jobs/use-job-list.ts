import { useEffect, useState } from "react";
import type { JobListPage, ListedJob } from "@/core/job/job-list";
import type { Result } from "@/core/result";
import { request } from "../state/api";

export interface JobList {
  readonly jobs: readonly ListedJob[];
  /** How many there are in all; undefined until the first page is here. */
  readonly all: number | undefined;
  readonly isWhole: boolean;
  readonly problem: string | undefined;
}

type JobListAnswer = Result<JobListPage>;

const NOTHING: JobList = { jobs: [], all: undefined, isWhole: false, problem: undefined };

/** All jobs of the shop, page after page until they are here; what came first is shown first. */
export function useJobList(): JobList {
  const [list, setList] = useState(NOTHING);
  useEffect(() => {
    let isCurrent = true;
    const load = async (): Promise<void> => {
      let after: string | null = "";
      while (isCurrent && after !== null) {
        const page: JobListAnswer = await request(
          "GET /api/jobs/list",
          after === "" ? {} : { query: { after } },
        );
        if (!isCurrent) return;
        if (!page.ok) {
          const problem = page.issues.map(({ message }) => message).join(" ");
          setList((shown) => ({ ...shown, problem }));
          return;
        }
        const { jobs, all, next }: JobListPage = page.value;
        after = next;
        setList((shown) => ({
          jobs: [...shown.jobs, ...jobs],
          all,
          isWhole: next === null,
          problem: undefined,
        }));
      }
    };
    void load();
    return () => {
      isCurrent = false;
    };
  }, []);
  return list;
}
