/** What was wrong, beside the thing it was wrong with. */
export function Problem({ text }: { readonly text: string | undefined }) {
  if (!text) return null;
  return (
    <p role="alert" className="mt-2 font-semibold text-oxide">
      {text}
    </p>
  );
}
