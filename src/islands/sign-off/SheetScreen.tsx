import type { Letter } from "@/letter/letter";
import { withShop } from "../frame/with-shop";
import { LetterSheet } from "./LetterSheet";
import { type SheetProps, ShopCopy } from "./ShopCopy";

interface Props extends SheetProps {
  /** What the owner gets; none before the job is signed off. */
  readonly letter: Letter | undefined;
  readonly isOwnCopy: boolean;
}

function NotYet({ jobId }: { readonly jobId: number }) {
  return (
    <div className="move px-5 py-5">
      <h1 className="font-bold text-[30px] leading-tight">Not signed off yet</h1>
      <p className="mt-1 text-lg">The owner's sheet is made from what is signed off.</p>
      <a className="btn btn-primary mt-4" href={`/jobs/${jobId}/sign-off`}>
        Sign off
      </a>
    </div>
  );
}

/** The owner's letter as it is printed, or the shop's own copy of it. */
export const SheetScreen = withShop(function SheetScreen({ letter, isOwnCopy, ...props }: Props) {
  const { jobId } = props.job;
  return (
    <main className="px-4 py-4">
      <p className="no-print mx-auto mb-4 flex max-w-[760px] flex-wrap gap-3">
        {letter ? (
          <>
            <button type="button" className="btn btn-primary" onClick={() => window.print()}>
              Print
            </button>
            <a className="btn btn-outline" href={`/jobs/${jobId}/sheet.pdf`}>
              As a PDF
            </a>
            <a
              className="btn btn-outline"
              href={isOwnCopy ? `/jobs/${jobId}/sheet` : `/jobs/${jobId}/sheet?copy=shop`}
            >
              {isOwnCopy ? "The owner's letter" : "The shop's own copy"}
            </a>
          </>
        ) : null}
        {letter?.word === "do-not-use" ? (
          <a className="btn btn-outline" href={`/jobs/${jobId}/tag`}>
            "Do not use" tag
          </a>
        ) : null}
        <a className="btn btn-outline" href={`/jobs/${jobId}/sign-off`}>
          Back to the job
        </a>
      </p>
      {letter ? (
        isOwnCopy ? (
          <ShopCopy {...props} />
        ) : (
          <LetterSheet letter={letter} />
        )
      ) : (
        <NotYet jobId={jobId} />
      )}
    </main>
  );
});
