import { plainRoute } from "@/server/http/endpoint";
import { onChange, onGap } from "@/server/services/changes";

const BEAT_MS = 20_000;

/** Server-sent events: one `job` for each log that grew, and a beat that keeps the line open. */
export const GET = plainRoute("GET /api/events", () => {
  let end = (): void => undefined;
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const words = new TextEncoder();
      // A screen that went away without a word closes the stream first: nobody else may fail because of it.
      const send = (text: string): void => {
        try {
          controller.enqueue(words.encode(text));
        } catch {
          end();
        }
      };
      const beat = setInterval(() => send(": here\n\n"), BEAT_MS);
      const stop = onChange((change) => send(`event: job\ndata: ${JSON.stringify(change)}\n\n`));
      // A screen whose line ends opens it again, and loads what it may have missed.
      const stopGap = onGap(() => {
        end();
        controller.close();
      });
      end = () => {
        clearInterval(beat);
        stop();
        stopGap();
      };
      send("retry: 2000\n\n");
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
