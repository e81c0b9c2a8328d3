import { PLATE_FIELDS, type PlateFieldId } from "../motor/plate";
import type { Plate } from "../motor/plate/plate";

/** One field in which two motors differ. */
export interface Difference {
  readonly field: PlateFieldId;
  readonly title: string;
  /** In full; null where that plate does not tell. */
  readonly old: string | null;
  readonly candidate: string | null;
}

/** Only what differs between two motors, field by field; what neither tells is left out, and nothing is said twice. */
export function differences(old: Plate, candidate: Plate): Difference[] {
  return PLATE_FIELDS.flatMap((field) => {
    const [was, is] = [field.say(old), field.say(candidate)];
    const saidBefore = field.id === "speeds" && old.rpm !== undefined && candidate.rpm !== undefined;
    return was === is || saidBefore ? [] : [{ field: field.id, title: field.title, old: was, candidate: is }];
  });
}
