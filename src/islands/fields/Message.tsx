import { useState } from "react";
import { Field } from "./Field";

/** A message in our words, to be changed at will and copied. */
export function Message({ label, text }: { readonly label: string; readonly text: string }) {
  const [own, setOwn] = useState<string | undefined>(undefined);
  const [isCopied, setIsCopied] = useState(false);
  const shown = own ?? text;
  const copy = async (): Promise<void> => {
    try {
      await navigator.clipboard.writeText(shown);
      setIsCopied(true);
    } catch {
      // Without a clipboard (a page that is not served safely) it is marked, to be copied by hand.
      document.querySelector<HTMLTextAreaElement>("[data-message]")?.select();
    }
  };
  return (
    <div className="grid w-full gap-2 sm:grid-cols-[minmax(0,1fr)_auto] sm:items-end">
      <Field label={label}>
        {(ids) => (
          <textarea
            {...ids}
            data-message=""
            className="textarea"
            rows={3}
            value={shown}
            onChange={(event) => {
              setIsCopied(false);
              setOwn(event.target.value);
            }}
          />
        )}
      </Field>
      <button type="button" className="btn btn-outline" onClick={() => void copy()}>
        {isCopied ? "Copied" : "Copy"}
      </button>
    </div>
  );
}
