import type { ReactNode } from "react";
import { TopBar } from "./TopBar";

const PLACES = [
  { path: "/", label: "Bench" },
  { path: "/jobs", label: "Jobs" },
  { path: "/tools", label: "Tools" },
  { path: "/parts", label: "Parts" },
  { path: "/set-up", label: "Set-up" },
] as const;

interface PlainFrameProps {
  readonly path: (typeof PLACES)[number]["path"] | undefined;
  readonly children: ReactNode;
}

/** What stands around the screens that belong to no job. */
export function PlainFrame({ path, children }: PlainFrameProps) {
  return (
    <div className="min-h-screen">
      <TopBar
        isNavigation
        title={
          <nav aria-label="Places" className="flex gap-1">
            {PLACES.map((place) => (
              <a
                key={place.path}
                href={place.path}
                aria-current={place.path === path ? "page" : undefined}
                className={`flex min-h-11 items-center whitespace-nowrap px-2 md:px-3 ${place.path === path ? "border-teal border-b-4 font-bold" : ""}`}
              >
                {place.label}
              </a>
            ))}
          </nav>
        }
      />
      <main className="mx-auto max-w-[1240px] px-4 py-4 md:px-6">{children}</main>
    </div>
  );
}
