import type { KeyLine } from "../parts/keyLine";
import type { Stage } from "./stages";

const EVERYWHERE: readonly KeyLine[] = [
  ["Ctrl Z", "takes back what was entered last"],
  ["Ctrl Shift Z", "puts it back"],
  ["Ctrl Enter", "the next step"],
  ["Alt 1 … 9", "a stage, Safe to Record"],
  ["Tab", "to the next field or button"],
  ["?", "these keys"],
];

const OWN: Partial<Record<Stage, readonly KeyLine[]>> = {
  probe: [
    ["8.4 Enter", "the reading of the pair that is asked for"],
    ["WH BK 8.4 Enter", "a reading of any pair"],
    ["WH shell OL Enter", "a test to the shell"],
    ["↑ ↓", "another pair"],
    ["Esc", "back to the pair that is asked for"],
  ],
  prove: [["3.1 Enter", "the figure that is asked for"]],
  land: [
    ["Space", "ticks the step that has the focus"],
    ["Enter, ↑ ↓", "on a lead of the drawing: to another terminal"],
  ],
};

/** The keys of a stage, its own first. */
export function keysOf(stage: Stage): readonly KeyLine[] {
  return [...(OWN[stage] ?? []), ...EVERYWHERE];
}
