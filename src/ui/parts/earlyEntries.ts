/**
 * Entries made before the page's scripts have come: a form of ours that nobody listens to yet would load the page anew
 * and lose what was typed. This part stands in the page itself and runs at once; it holds such an entry for the form.
 */

/** On a form that listens by now. */
const LISTENS = "listens";

declare global {
  interface Window {
    oddLeadEarly?: { readonly field: string; readonly typed: string }[];
  }
}

/** The script, as text: it runs before anything that the build makes. */
export const EARLY_SCRIPT = `(() => {
  const held = (window.oddLeadEarly = []);
  addEventListener("submit", (event) => {
    const form = event.target;
    if (form.dataset.early !== "hold" || form.dataset.${LISTENS}) return;
    event.preventDefault();
    const field = form.querySelector("input[aria-label]");
    if (!field || field.value.trim() === "") return;
    held.push({ field: field.getAttribute("aria-label"), typed: field.value });
    field.value = "";
  }, true);
})();`;

/** What goes on a form whose entries are held until it listens. */
export const HELD = { "data-early": "hold" } as const;

/**
 * Takes over a form: from now on it listens. Gives what was entered before, in order, and what is typed and not entered.
 */
export function takeOver(form: HTMLFormElement): { entered: string[]; typed: string } {
  form.dataset[LISTENS] = "yes";
  const field = form.querySelector<HTMLInputElement>("input[aria-label]");
  const name = field?.getAttribute("aria-label");
  const held = window.oddLeadEarly ?? [];
  window.oddLeadEarly = held.filter((one) => one.field !== name);
  return {
    entered: held.filter((one) => one.field === name).map(({ typed }) => typed),
    typed: field?.value ?? "",
  };
}
