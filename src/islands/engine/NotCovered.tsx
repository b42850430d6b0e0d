import type { JobView } from "@/core/job/log/view";
import type { Issue } from "@/core/result";
import type { Shop } from "@/core/shop/shop";

interface NotCoveredProps {
  readonly job: JobView;
  readonly shop: Shop;
  readonly issues: readonly Issue[];
}

/** A kind that is recognised and not worked out: what can be done about it here, and what is passed on. */
function Scope({ family }: { readonly family: Shop["families"][number] }) {
  if (!family.scope) return null;
  return (
    <div className="mt-3 grid gap-x-8 gap-y-3 md:grid-cols-2">
      {[
        { title: "Can be done here", lines: family.scope.within },
        { title: "Passed on", lines: family.scope.outside },
      ].map(({ title, lines }) => (
        <section key={title} aria-label={title}>
          <h2 className="font-semibold text-soft">{title}</h2>
          <ul className="mt-1 border-ink border-t-2">
            {lines.map((line) => (
              <li key={line} className="border-rule border-b py-2 text-lg">
                {line}
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}

/** Why nothing can be worked out for this machine, and the ways on. */
export function NotCovered({ job, shop, issues }: NotCoveredProps) {
  const family = shop.families.find(({ id }) => id === job.takenIn?.family);
  return (
    <div className="move px-5 py-5">
      <h1 className="font-bold text-[30px] leading-tight">
        {family?.scope
          ? `${family.label}: suspects are not worked out`
          : "Nothing can be worked out from this"}
      </h1>
      {family?.scope ? (
        <Scope family={family} />
      ) : (
        issues.map(({ message }) => (
          <p key={message} className="mt-2 text-lg">
            {message}
          </p>
        ))
      )}
      <p className="mt-4 flex flex-wrap gap-3">
        <a className="btn btn-primary" href={`/jobs/${job.jobId}/take-in`}>
          Change the kind of motor
        </a>
        <a className="btn btn-outline" href={`/jobs/${job.jobId}/measure`}>
          Measure
        </a>
      </p>
    </div>
  );
}
