/**
 * When the letters of our own come. On a phone's poor line they took a second from what makes the page work, so on the
 * first visit they come after that; until then stand letters of the device, as wide and as high (`fonts.css`), so that
 * nothing moves. On later visits the browser or the application's own worker keeps them: they are there at once.
 */

/** Text in the letters of our own, once they may come. */
export const TEXT = "var(--odd-text-face), system-ui, sans-serif";
/** Numbers and lead letters: every digit as wide as the next. */
export const MONO = "var(--odd-mono-face), ui-monospace, monospace";

/** The script, as text: it runs before anything is drawn. */
export const FACES_SCRIPT = `(() => {
  const key = "odd-lead-faces";
  const come = () => { document.documentElement.dataset.faces = "own"; };
  let had = false;
  try { had = localStorage.getItem(key) !== null; } catch {}
  if (had) return come();
  document.fonts.addEventListener("loadingdone", () => {
    try { localStorage.setItem(key, "had"); } catch {}
  }, { once: true });
  addEventListener("load", () => setTimeout(come));
})();`;
