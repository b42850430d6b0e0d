import { useEffect, useState } from "react";
import type { ListedTool } from "@/wire/tools";
import { request } from "../state/api";

let fetched: Promise<readonly ListedTool[]> | undefined;

async function fetchTools(): Promise<readonly ListedTool[]> {
  const answer = await request("GET /api/tools");
  if (!answer.ok) fetched = undefined;
  return answer.ok ? answer.value.tools : [];
}

/** The tools by name, fetched the first time they are wanted. */
export function useToolList(isWanted: boolean): readonly ListedTool[] {
  const [list, setList] = useState<readonly ListedTool[]>([]);
  useEffect(() => {
    if (!isWanted) return;
    fetched ??= fetchTools();
    void fetched.then(setList);
  }, [isWanted]);
  return list;
}
