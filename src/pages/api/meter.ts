import { QUANTITIES, type QuantityId } from "@/core/quantity/reading";
import { issue } from "@/core/result";
import { plainRoute } from "@/server/http/endpoint";
import { problem } from "@/server/http/problem";
import { listenToMeter } from "@/server/services/meter";

const isQuantity = (word: string): word is QuantityId => Object.hasOwn(QUANTITIES, word);

/** Server-sent events from the meter: a `reading` for each line it sends, an `unfit` with why for one that is none of what was asked, an `ended` with why it says no more. */
export const GET = plainRoute("GET /api/meter", ({ url }) => {
  const quantity = url.searchParams.get("quantity") ?? "";
  if (!isQuantity(quantity))
    return problem(422, [
      issue(
        "quantity",
        "meter/quantity",
        `"${quantity}" is no quantity: one of ${Object.keys(QUANTITIES).join(", ")}.`,
        quantity,
      ),
    ]);
  let end = (): void => undefined;
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const words = new TextEncoder();
      const send = (event: string, data: object): void => {
        try {
          controller.enqueue(words.encode(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`));
        } catch {
          end();
        }
      };
      end = listenToMeter(
        { quantity, a: url.searchParams.get("a") ?? "", b: url.searchParams.get("b") ?? "" },
        {
          reading: (line, typed) => send("reading", { line, typed }),
          unfit: (why) => send("unfit", { why }),
          ended: (why) => {
            send("ended", { why });
            try {
              controller.close();
            } catch {
              // The screen closed it first.
            }
          },
        },
      );
    },
    cancel: () => end(),
  });
  return new Response(stream, {
    headers: {
      "content-type": "text/event-stream",
      "cache-control": "no-store",
      "x-accel-buffering": "no",
    },
  });
});
