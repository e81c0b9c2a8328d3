/** What a virtual machine of a sheet is to have. */
export const BENCH_FAULTS = ["none", "surprise"] as const;
