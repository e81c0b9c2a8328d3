import { synchronousRpm } from "../motor/plate/nominalSpeed";
import type { ProvingCase } from "./provingCase";
import type { Reading } from "./reading";
import type { Sight } from "./sight";
import type { Suspect } from "./suspect";

/** Of the field's speed, where every start gear has surely moved: a switch by its own speed, a relay by its coil's volts. */
const SURELY_OPEN = 0.85;
/** How likely a contact that works stays in at a speed where it opens, as a logarithm. */
const STAYS_IN = -6;

/**
 * A machine whose start contact works and still stands closed has not come up to where it opens. Where the speed was read
 * above that, the machine is not the one that runs there, however far its figures may be moved.
 *
 * @returns the natural logarithm of how likely the speeds are for that: 0 where nothing speaks against it.
 */
export function contactsAtSpeedLog(
  made: ProvingCase,
  sight: Sight,
  suspect: Suspect,
  figures: readonly { readonly reading: Reading; readonly value: number; readonly air: number }[],
): number {
  const { poles, hertz } = made.fitted.rating;
  const against = figures.some(({ reading, value, air }) => {
    if (reading.what !== "rpm") return false;
    const run = sight.run(suspect, reading.call, air);
    if (!run || run.shorted) return false;
    const closed = run.made.contacts.filter(({ branch }) => !run.point.open.includes(branch));
    return closed.some(
      (contact) =>
        value >
        synchronousRpm(poles, hertz) *
          (contact.kind === "centrifugal" ? Math.min(1.05 * contact.opensAt, SURELY_OPEN) : SURELY_OPEN),
    );
  });
  return against ? STAYS_IN : 0;
}

/** Of the field's speed, under which start gear may rightly be in: nothing says then that its contact is at fault. */
const RIGHTLY_IN = 0.75;

/** Whether the speed that was read is one at which a sound contact is still closed. */
export function isBelowOpening(
  made: ProvingCase,
  figures: readonly { readonly reading: Reading; readonly value: number }[],
): boolean {
  const { poles, hertz } = made.fitted.rating;
  return figures.some(
    ({ reading, value }) => reading.what === "rpm" && value < RIGHTLY_IN * synchronousRpm(poles, hertz),
  );
}
