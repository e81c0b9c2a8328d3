/** What a verdict weighs, the lightest first: it is good, it wants a second look, or nothing goes on before it is mended. */
export const WEIGHTS = ["good", "again", "stop"] as const;
export type Weight = (typeof WEIGHTS)[number];
