import { PlainFrame } from "./PlainFrame";

/** An address that leads nowhere. */
export function NothingHere({ path }: { readonly path: string }) {
  return (
    <PlainFrame path={undefined}>
      <div className="move mt-4 px-6 py-8">
        <h1 className="font-bold text-[28px]">There is nothing at {path}</h1>
        <p className="mt-1 text-lg">
          The job number may be mistyped. Type it into the line above, or look at the Bench.
        </p>
        <a className="btn btn-primary mt-4" href="/">
          To the Bench
        </a>
      </div>
    </PlainFrame>
  );
}
