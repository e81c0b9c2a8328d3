/**
 * What is touched and typed before the page's scripts have come: nobody listens yet, and a form of ours would load the
 * page anew. The script stands in the page itself and runs at once; it holds touches and entries in their order, and
 * {@link replayEarly} gives them to the page once it listens. From then on it holds only what touches a part whose own
 * script has not come yet: such a part is drawn with the page, and React drops what is done to it. Links, folds and
 * forms with an address of their own work without scripts and are left alone.
 */

type Held =
  | { readonly kind: "typed"; readonly on: HTMLInputElement | HTMLTextAreaElement; readonly text: string }
  | { readonly kind: "left"; readonly on: HTMLElement }
  | { readonly kind: "chosen"; readonly on: HTMLElement }
  | { readonly kind: "entered"; readonly on: HTMLElement }
  | { readonly kind: "touched"; readonly on: HTMLElement };

declare global {
  interface Window {
    oddLeadEarly?: {
      /** What was done and not given to the page yet, oldest first. */
      held: Held[];
      /** Whether the page's frame listens. */
      listens: boolean;
      /** Whether what happens now is given back by us, not done by a person. */
      giving: boolean;
      /** Whether React listens to an element; it says so only by the property it puts on each that it has taken over. */
      heard: (element: Element) => boolean;
      /** Called where something was held after the frame listens. */
      late?: () => void;
    };
  }
}

/** On a form whose field is empty after each entry: a row of readings can be entered before the scripts come. */
export const CLEARS = { "data-early": "clear" } as const;

/** The script, as text: it runs before anything that the build makes. */
export const EARLY_SCRIPT = `(() => {
  const heard = (element) => Object.keys(element).some((key) => key.startsWith("__reactProps"));
  const early = (window.oddLeadEarly = { held: [], listens: false, giving: false, heard });
  const typing = "input:not([type=checkbox],[type=radio],[type=file]),textarea";
  const on = (name, take) => addEventListener(name, (event) => {
    if (early.giving || !(event.target instanceof Element) || (early.listens && heard(event.target))) return;
    take(event.target, event);
    if (early.listens && early.held.length) early.late();
  }, true);
  const stop = (event) => { event.preventDefault(); event.stopImmediatePropagation(); };
  on("input", (field) => {
    if (!field.matches(typing)) return;
    const last = early.held.at(-1);
    if (last && last.kind === "typed" && last.on === field) early.held.pop();
    early.held.push({ kind: "typed", on: field, text: field.value });
  });
  on("focusout", (field) => {
    const last = early.held.at(-1);
    if (last && last.kind === "typed" && last.on === field) early.held.push({ kind: "left", on: field });
  });
  on("change", (field) => {
    if (field.matches("select,input[type=file]")) early.held.push({ kind: "chosen", on: field });
  });
  on("submit", (form, event) => {
    if (form.hasAttribute("action")) return;
    stop(event);
    early.held.push({ kind: "entered", on: form });
    if (form.dataset.early === "clear") for (const field of form.querySelectorAll(typing)) field.value = "";
  });
  on("keydown", (field, event) => {
    if (event.key !== "Enter" || !field.matches("input") || field.closest("form")) return;
    stop(event);
    early.held.push({ kind: "entered", on: field });
  });
  on("click", (target, event) => {
    const pressed = target.closest("button,[role=button],input[type=checkbox],input[type=radio]");
    if (!pressed || pressed.closest("a[href],summary") || (pressed.type === "submit" && pressed.form)) return;
    stop(event);
    early.held.push({ kind: "touched", on: pressed });
  });
})();`;

/** Gives what was held to the page, in order, with what comes while this goes on; then the page listens by itself. */
export async function replayEarly(): Promise<void> {
  const early = window.oddLeadEarly;
  if (!early || early.late) return;
  let running = true;
  const giveAll = async () => {
    for (let next = early.held.shift(); next; next = early.held.shift()) {
      await listening(next.on, early.heard);
      early.giving = true;
      replay(next);
      early.giving = false;
      // The page draws what this changed before the next: an entry may ask for what the one before it made.
      await new Promise((resolve) => setTimeout(resolve));
    }
    running = false;
  };
  early.late = () => {
    if (running) return;
    running = true;
    void giveAll();
  };
  await giveAll();
  early.listens = true;
}

const LOOK_MS = 30;
const MOST_LOOKS = 300;

/** Waits until React listens to an element: a part whose script comes on its own is taken over later than the frame. */
async function listening(element: Element, heard: (element: Element) => boolean): Promise<void> {
  for (let look = 0; look < MOST_LOOKS; look++) {
    if (!element.isConnected || heard(element)) return;
    await new Promise((resolve) => setTimeout(resolve, LOOK_MS));
  }
}

function replay(held: Held): void {
  if (!held.on.isConnected) return;
  switch (held.kind) {
    case "typed":
      type(held.on, held.text);
      return;
    case "left":
      held.on.dispatchEvent(new FocusEvent("focusout", { bubbles: true }));
      return;
    case "chosen":
      held.on.dispatchEvent(new Event("change", { bubbles: true }));
      return;
    case "entered":
      if (held.on instanceof HTMLFormElement) held.on.requestSubmit();
      else
        held.on.dispatchEvent(
          new KeyboardEvent("keydown", { key: "Enter", bubbles: true, cancelable: true }),
        );
      return;
    case "touched":
      held.on.click();
  }
}

/** Types as a hand does: React compares with the value set through the element, so that one is emptied first. */
function type(field: HTMLInputElement | HTMLTextAreaElement, text: string): void {
  field.value = "";
  const kind = field instanceof HTMLTextAreaElement ? HTMLTextAreaElement : HTMLInputElement;
  Object.getOwnPropertyDescriptor(kind.prototype, "value")?.set?.call(field, text);
  field.dispatchEvent(new Event("input", { bubbles: true }));
}
