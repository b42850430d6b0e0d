import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { KnowledgeScreen } from "@/islands/knowledge/KnowledgeScreen";
import { KNOWLEDGE } from "../core/shop-context";

const ENTRIES = [
  {
    table: "moves",
    id: "start-capacitance",
    title: "Read the start capacitor",
    about: "out of circuit",
    isReviewed: true,
  },
  {
    table: "faults",
    id: "brushes-worn",
    title: "Brushes worn",
    about: "the motor stops and starts",
    isReviewed: false,
  },
] as const;
const find = (value: string) => fireEvent.change(screen.getByLabelText("Find"), { target: { value } });
const titles = (): string[] => screen.queryAllByRole("link").map(({ textContent }) => textContent ?? "");

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("the knowledge", () => {
  it("is found by every word, in title, text and address, whatever the case, and says when there is none", () => {
    vi.stubGlobal("fetch", async () => new Response('{"timers":[]}'));
    render(<KnowledgeScreen entries={ENTRIES} version={KNOWLEDGE.version} />);
    expect(document.body.textContent).toContain("2 pages, 1 of them reviewed");
    const pages = () => titles().filter((title) => /reviewed/.test(title));
    expect(pages()).toHaveLength(2);
    find("START circuit");
    expect(pages().join()).toContain("Read the start capacitor");
    expect(pages()).toHaveLength(1);
    find("brushes-worn");
    expect(pages().join()).toContain("Brushes worn");
    find("start nothing");
    expect(pages()).toEqual([]);
    expect(screen.getByText("No page has these words.")).toBeTruthy();
  });
});
