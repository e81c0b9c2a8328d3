/** The stages that work, in the order of the hands. */
export const STAGES = [
  { stage: "safe", title: "Safe" },
  { stage: "trace", title: "Trace" },
  { stage: "plate", title: "Plate" },
  { stage: "match", title: "Match" },
  { stage: "probe", title: "Probe" },
  { stage: "cap", title: "Cap" },
  { stage: "land", title: "Land" },
  { stage: "prove", title: "Prove" },
  { stage: "record", title: "Record" },
] as const;

export type Stage = (typeof STAGES)[number]["stage"];

/** Whether a word of the address is a stage. */
export function isStage(word: string): word is Stage {
  return STAGES.some(({ stage }) => stage === word);
}
