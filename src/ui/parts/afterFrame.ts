/** A page that is put away before it was drawn goes on after so long. */
const AT_LATEST_MS = 300;

/** Does something once what is shown now has been drawn; a page that nobody sees draws nothing, and does it all the same. */
export function afterFrame(then: () => void): void {
  let isDone = false;
  const once = () => {
    if (!isDone) then();
    isDone = true;
  };
  setTimeout(once, document.hidden ? 0 : AT_LATEST_MS);
  requestAnimationFrame(() => setTimeout(once));
}
