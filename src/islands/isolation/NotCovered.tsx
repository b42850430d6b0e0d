import type { Issue } from "@/core/result";

/** Why nothing can be worked out for this machine, and the two ways on. */
export function NotCovered({ jobId, issues }: { readonly jobId: number; readonly issues: readonly Issue[] }) {
  return (
    <div className="move px-5 py-5">
      <h1 className="font-bold text-[30px] leading-tight">Isolation cannot help with this one yet</h1>
      {issues.map(({ message }) => (
        <p key={message} className="mt-2 text-lg">
          {message}
        </p>
      ))}
      <p className="mt-4 flex flex-wrap gap-3">
        <a className="btn btn-primary" href={`/jobs/${jobId}/take-in`}>
          Change the kind of motor
        </a>
        <a className="btn btn-outline" href={`/jobs/${jobId}/measure`}>
          Measure
        </a>
      </p>
    </div>
  );
}
