import type { APIRoute } from "astro";
import { jobPage } from "@/server/services/job-page";
import { letterPdf } from "@/server/services/letter-pdf";
import { ownerLetter } from "@/server/services/owner-letter";

/** The owner's letter as a PDF. */
export const GET: APIRoute = async ({ params }) => {
  const page = await jobPage(params["id"]);
  const letter = page && (await ownerLetter(page));
  if (!letter) return new Response("There is no signed job of this number.", { status: 404 });
  const bytes = await letterPdf(letter);
  return new Response(new Uint8Array(bytes), {
    headers: {
      "content-type": "application/pdf",
      "content-disposition": `inline; filename="job-${letter.jobId}.pdf"`,
    },
  });
};
