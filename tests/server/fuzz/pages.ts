import { createElement, type FunctionComponent } from "react";
import { renderToString } from "react-dom/server";
import type { JobView } from "@/core/job/log/view";
import { standingOf } from "@/core/job/standing";
import { BenchScreen } from "@/islands/bench/BenchScreen";
import { DecideScreen } from "@/islands/decide/DecideScreen";
import { IsolateScreen } from "@/islands/isolate/IsolateScreen";
import { MakeSafeScreen } from "@/islands/make-safe/MakeSafeScreen";
import { MatchScreen } from "@/islands/match/MatchScreen";
import { MeasureScreen } from "@/islands/measure/MeasureScreen";
import { PutBackScreen } from "@/islands/put-back/PutBackScreen";
import { SheetScreen } from "@/islands/sign-off/SheetScreen";
import { SignOffScreen } from "@/islands/sign-off/SignOffScreen";
import { TagScreen } from "@/islands/take-in/TagScreen";
import { TakeInScreen } from "@/islands/take-in/TakeInScreen";
import { letterOf } from "@/letter/letter";
import type { ShopContext } from "@/server/services/shop-context";
import { shopProps } from "@/server/services/shop-props";

const NOW = "2026-11-24T12:00:00Z";

/** Every page of a job as the server sends it, with the one that could not be made. */
export function pagesOf(
  view: JobView,
  context: ShopContext,
): { readonly made: number; readonly failed: string[] } {
  const shop = shopProps(context, NOW);
  const { repairs } = context.knowledge;
  const base = { job: view, shop };
  const owner = { ownerName: "Tansy Weavers", ownerContact: "" };
  const page = <P extends object>(screen: FunctionComponent<P>, props: P) =>
    [screen.name, () => renderToString(createElement(screen, props))] as const;
  const pages = [
    page(TakeInScreen, { ...base, ...owner, plate: undefined }),
    page(MakeSafeScreen, base),
    page(IsolateScreen, base),
    page(MeasureScreen, base),
    page(MatchScreen, { ...base, families: [{ id: "fuse", title: "Fuse" }], partOf: {} }),
    page(DecideScreen, base),
    page(PutBackScreen, { ...base, repairs }),
    page(SignOffScreen, base),
    page(SheetScreen, {
      ...base,
      ownerName: owner.ownerName,
      isOwnCopy: false,
      letter: letterOf(view, {
        shop,
        ownerName: owner.ownerName,
        faults: context.knowledge.faults,
        sentences: new Map(),
      }),
    }),
    page(SheetScreen, { ...base, ownerName: owner.ownerName, isOwnCopy: true, letter: undefined }),
    page(TagScreen, { ...base, ownerName: owner.ownerName, code: "data:," }),
    page(BenchScreen, {
      page: JSON.stringify({
        jobs: [{ standing: standingOf(view), ...owner }],
        here: 1,
        gone: 0,
        next: null,
      }),
      shop,
    }),
  ];
  const failed = pages.flatMap(([name, make]) => {
    try {
      return make().length > 0 ? [] : [`${name} is empty`];
    } catch (error) {
      return [
        `${name} of job ${view.jobId} at line ${view.seq}: ${error instanceof Error ? error.stack : error}`,
      ];
    }
  });
  return { made: pages.length, failed };
}
