import type { Verdict } from "@/core/tools/finding.input";

/** `ticked`: somebody says so; nothing was measured, so it is no good mark. */
export type MarkShape = Verdict | "passed" | "failed" | "not-known" | "ticked";

const COLOURS: Readonly<Record<MarkShape, string>> = {
  sound: "text-verdigris",
  passed: "text-verdigris",
  suspect: "text-brass",
  faulty: "text-ink",
  failed: "text-oxide",
  undecided: "text-brass",
  "not-known": "text-ring",
  ticked: "text-ink",
};

/** Verdicts have shapes: full disc good, half disc borderline, notched square outside, ring not known. */
function shapeOf(shape: MarkShape) {
  switch (shape) {
    case "sound":
    case "passed":
      return <circle cx="11" cy="11" r="10" fill="currentColor" />;
    case "ticked":
      return (
        <>
          <rect x="2" y="2" width="18" height="18" fill="none" stroke="currentColor" strokeWidth="2" />
          <path d="M6 11l4 4 7-9" fill="none" stroke="currentColor" strokeWidth="2.5" />
        </>
      );
    case "suspect":
    case "undecided":
      return (
        <>
          <circle cx="11" cy="11" r="9" fill="none" stroke="currentColor" strokeWidth="2" />
          <path d="M11 2a9 9 0 0 1 0 18z" fill="currentColor" />
        </>
      );
    case "faulty":
    case "failed":
      return <path d="M1 1h20v20H1zM1 8h7v6H1z" fill="currentColor" fillRule="evenodd" />;
    case "not-known":
      return <circle cx="11" cy="11" r="9" fill="none" stroke="currentColor" strokeWidth="2" />;
  }
}

export function VerdictMark({ shape, size = 22 }: { readonly shape: MarkShape; readonly size?: number }) {
  return (
    <svg
      className={`shrink-0 ${COLOURS[shape]}`}
      width={size}
      height={size}
      viewBox="0 0 22 22"
      aria-hidden="true"
    >
      {shapeOf(shape)}
    </svg>
  );
}
