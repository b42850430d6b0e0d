import { openedAccess } from "@/core/job/opened-access";
import { COVER_NEED } from "@/core/job/reassembly/touched";
import type { Move } from "@/core/knowledge/types";
import type { Shop } from "@/core/shop/shop";
import { inSentence } from "@/words/in-sentence";
import { Problem } from "../fields/Problem";
import type { JobScreen } from "../frame/use-job-screen";
import { usePost } from "../state/use-post";
import { WhatCameOff } from "../taking-apart/WhatCameOff";

interface CoverProps {
  readonly screen: JobScreen;
  readonly shop: Shop;
  readonly move: Move;
  /** The cover is off: this is what is being done. */
  onOpened(): void;
}

/** The cover that a move needs off: one tap says that it is, and what comes off with it is written down at once. */
export function CoverOff({ screen, shop, move, onOpened }: CoverProps) {
  const { job } = screen;
  const { post, problem, isBusy } = usePost(job.jobId);
  const access = shop.access.find(({ id }) => id === move.access);
  const name = access?.names[0];
  if (!access || name === undefined) return null;
  if (openedAccess(job, job.bench.opened, shop.access).includes(access.id))
    return <WhatCameOff screen={screen} stage="isolate" />;
  return (
    <p className="my-2 flex flex-wrap items-center gap-3">
      <span>It needs: {inSentence(access.label)}.</span>
      <button
        type="button"
        className="btn btn-outline"
        disabled={isBusy}
        onClick={() => {
          // With the cover off other moves cost less: the card must not change under the hand that took it off.
          onOpened();
          const payload = { access: name, is: access.id, taken: screen.taken(COVER_NEED) };
          void post({ kind: "opened", stage: "isolate", payload });
        }}
      >
        It is off
      </button>
      <Problem text={problem} />
    </p>
  );
}
