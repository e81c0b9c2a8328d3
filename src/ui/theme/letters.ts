/**
 * The letters of our own weigh a second of a phone's poor line, in which the scripts could come that the page waits for.
 * So a page takes them where the device keeps them, or where the page itself came quickly; else it goes on with letters
 * of the device, and has ours once they are kept. The script stands at the end of the page and runs before it is drawn.
 */

/** A page that came in so long, from its first byte to its last or until now, came over a good line. */
const QUICK_MS = 200;

export const LETTERS_SCRIPT = `(() => {
  const [came] = performance.getEntriesByType("navigation");
  const kept = navigator.serviceWorker && navigator.serviceWorker.controller;
  if (kept || (came && (came.responseEnd || performance.now()) - came.responseStart < ${QUICK_MS}))
    document.documentElement.dataset.letters = "own";
})();`;
