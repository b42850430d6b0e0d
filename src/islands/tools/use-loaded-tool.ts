import { useEffect, useState } from "react";
import type { Tool } from "@/core/tools/tool";
import { loadTool } from "@/tools/registry";
import { fetchWords } from "../state/tool-words";
import { loadPictures, type Pictures } from "./pictures";

export interface LoadedTool {
  readonly tool: Tool;
  readonly pictures: Pictures;
}

/** A tool with its pictures, fetched when its sheet opens. */
export function useLoadedTool(id: string): LoadedTool | undefined {
  const [loaded, setLoaded] = useState<LoadedTool | undefined>(undefined);
  useEffect(() => {
    let isCurrent = true;
    fetchWords([id]);
    void loadTool(id).then(async (tool) => {
      if (!tool) return;
      const pictures = await loadPictures(tool.topic, tool.id);
      if (isCurrent) setLoaded({ tool, pictures });
    });
    return () => {
      isCurrent = false;
    };
  }, [id]);
  return loaded?.tool.id === id ? loaded : undefined;
}
