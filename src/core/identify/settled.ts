/** One answer stands at this probability or better: settled. */
export const SETTLED = 0.99;
