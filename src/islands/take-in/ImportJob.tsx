import { useState } from "react";
import { Problem } from "../fields/Problem";
import { request } from "../state/api";
import { benchName } from "../state/person";

/** A job that another shop handed over as a file becomes a job here. */
export function ImportJob() {
  const [isBusy, setIsBusy] = useState(false);
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const take = async (file: File): Promise<void> => {
    setIsBusy(true);
    const made = await request("POST /api/jobs/import", { query: { by: benchName() }, body: file });
    setIsBusy(false);
    if (made.ok) window.location.assign(`/jobs/${made.value.jobId}/take-in`);
    else setProblem(made.issues.map(({ message }) => message).join(" "));
  };
  return (
    <div className="mt-6 border-rule border-t pt-3">
      <label className="inline-flex min-h-11 cursor-pointer items-center text-teal underline underline-offset-4">
        {isBusy ? "Taking it in …" : "It comes from another shop, with a file of its job"}
        <input
          type="file"
          accept=".zip"
          className="sr-only"
          disabled={isBusy}
          onChange={({ target }) => {
            const file = target.files?.[0];
            target.value = "";
            if (file) void take(file);
          }}
        />
      </label>
      <Problem text={problem} />
    </div>
  );
}
