import { describeRoute } from "@/server/http/endpoint";
import { jobPage } from "@/server/services/job-page";
import { letterPdf } from "@/server/services/letter-pdf";
import { ownerLetter } from "@/server/services/owner-letter";

/** The owner's letter as a PDF. */
export const GET = describeRoute(
  { about: "The owner's letter as a PDF", answers: "application/pdf" },
  async ({ params }) => {
    const page = await jobPage(params["id"]);
    const letter = page && (await ownerLetter(page));
    if (!letter) return new Response("There is no signed job of this number.", { status: 404 });
    const bytes = await letterPdf(letter);
    return new Response(bytes as BodyInit, {
      headers: {
        "content-type": "application/pdf",
        "content-disposition": `inline; filename="job-${letter.jobId}.pdf"`,
      },
    });
  },
);
