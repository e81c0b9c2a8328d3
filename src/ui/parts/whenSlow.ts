/** Nothing is said of waiting that is over before anyone sees it. */
const DELAY = "150ms";

/** Appears only where it has stayed for a moment. */
export const WHEN_SLOW = {
  animation: `appear-when-slow 0s ${DELAY} both`,
  "@keyframes appear-when-slow": { from: { opacity: 0 }, to: { opacity: 1 } },
} as const;

/** Pales where it has stayed for a moment: what stands there is about to be replaced. */
export const FADED_WHEN_SLOW = {
  animation: `fade-when-slow 0s ${DELAY} both`,
  "@keyframes fade-when-slow": { from: { opacity: 1 }, to: { opacity: 0.5 } },
} as const;
