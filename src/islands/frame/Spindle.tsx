/** The product's sign: a turned shaft with collars. */
export function Spindle({ size = 28 }: { readonly size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 30 30" fill="currentColor" aria-hidden="true">
      <rect x="13" y="1" width="4" height="28" />
      <rect x="9" y="6" width="12" height="4" rx="1" />
      <rect x="5" y="12" width="20" height="7" rx="1" />
      <rect x="9" y="21" width="12" height="3" rx="1" />
    </svg>
  );
}
