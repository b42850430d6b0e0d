import { act, renderHook } from "@testing-library/react";
import { useState } from "react";
import { describe, expect, it } from "vitest";
import { useReadingField } from "@/islands/fields/use-reading-field";

function field() {
  return renderHook(() => {
    const [text, setText] = useState("");
    return useReadingField({ quantity: "resistance", label: "Ohms", text, onText: setText });
  });
}

describe("typing a reading", () => {
  it("understands while typing and complains only when left", () => {
    const { result } = field();
    act(() => result.current.type("12..4"));
    expect(result.current).toMatchObject({ text: "12..4", reading: undefined, problem: undefined });
    act(() => result.current.leave());
    expect(result.current.problem).toContain("one decimal point, such as 12.4");
    act(() => result.current.type("12.4"));
    expect(result.current).toMatchObject({ problem: undefined, reading: { kind: "value", value: 12.4 } });
  });

  it("never rewrites the text, and says when it read a comma as the point", () => {
    const { result } = field();
    act(() => result.current.type("12,40"));
    act(() => result.current.leave());
    expect(result.current.text).toBe("12,40");
    expect(result.current.said).toContain("decimal point: 12.40");
  });

  it("gives the text up only when it can be read", () => {
    const { result } = field();
    act(() => result.current.type("4 7"));
    let taken: string | undefined = "untouched";
    act(() => {
      taken = result.current.take();
    });
    expect(taken).toBeUndefined();
    expect(result.current.problem).toContain("digits together");
    act(() => result.current.type("OL"));
    act(() => {
      taken = result.current.take();
    });
    expect(taken).toBe("OL");
  });
});
