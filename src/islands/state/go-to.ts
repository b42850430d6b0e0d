/** Goes to a screen as a tap on a link does: from one screen of a job to the next without loading the page anew. */
export function goTo(path: string): void {
  const link = document.createElement("a");
  link.href = path;
  document.body.append(link);
  link.click();
  link.remove();
}
