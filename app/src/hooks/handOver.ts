/** Hands a file that was made here to the browser. */
export function handOver(text: string, type: string, fileName: string): void {
  const href = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  Object.assign(link, { href, download: fileName });
  link.click();
  // Once the browser has taken it.
  setTimeout(() => URL.revokeObjectURL(href), 60_000);
}
