import { expect, type Page } from "@playwright/test";

/** The workers of a page are the real ones; only what is sent to them can be held back, as by a large sheet. */

interface Control {
  hold: boolean;
  /** What workers have answered. */
  answered: string[];
  release: () => void;
}

/** Puts a switch into the page that holds back what it sends to workers. */
export async function holdable(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const held: (() => void)[] = [];
    const control: Control = {
      hold: false,
      answered: [],
      release: () => {
        control.hold = false;
        for (const send of held.splice(0)) send();
      },
    };
    Object.assign(window, { control });
    const Real = window.Worker;
    window.Worker = class extends Real {
      constructor(from: string | URL, options?: WorkerOptions) {
        super(from, options);
        this.addEventListener("message", ({ data }) => control.answered.push(data.question));
      }

      override postMessage(message: unknown) {
        const send = () => super.postMessage(message);
        if (control.hold) held.push(send);
        else send();
      }
    };
  });
}

export const setHold = (page: Page) =>
  page.evaluate(() => {
    (window as unknown as { control: Control }).control.hold = true;
  });
export const release = (page: Page) =>
  page.evaluate(() => (window as unknown as { control: Control }).control.release());

/** Waits until a worker has answered a question that holds this text. */
export const hasAnswered = (page: Page, text: string, times = 1) =>
  expect
    .poll(() =>
      page.evaluate(
        (held) =>
          (window as unknown as { control: Control }).control.answered.filter((question) =>
            question.includes(held),
          ).length,
        text,
      ),
    )
    .toBeGreaterThanOrEqual(times);
