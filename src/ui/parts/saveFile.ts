/** How long a browser may take to begin with a file. */
const HELD_MS = 10_000;

/** Hands a file to the browser to be saved. */
export function saveFile(blob: Blob, name: string): void {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), HELD_MS);
}
