/** Whether the screen has room for more than the first thing to do: a desk or a tablet, no phone. */
export function hasRoom(): boolean {
  return typeof matchMedia === "function" && matchMedia("(min-width: 768px)").matches;
}
