import { fault, type Refused, refused } from "./fault";

/** Which way a shaft turns, always as seen from the lead end; either where it can be set. */
export type Rotation = "cw-lead-end" | "ccw-lead-end" | "either";

/** The end of the motor that one looks at. */
export type MotorEnd = "lead" | "shaft";

/**
 * Reads rotation as a hand types it: "CW LE", "CCWLE", "CCW shaft end", "CW opp shaft", "REV", "CW/CCW". The end must be
 * said: a turn without it is refused, because the two ends see it the other way round.
 */
export function parseRotation(text: string): { ok: true; rotation: Rotation } | Refused {
  const plain = text
    .trim()
    .toLowerCase()
    .replace(/[.\s_-]+/g, " ");
  if (/^(?:rev(?:ersible)?|either|both|cw ?[/&] ?ccw.*|ccw ?[/&] ?cw.*)$/.test(plain))
    return { ok: true, rotation: "either" };
  const match =
    /^(ccw|acw|cw|counter ?clockwise|anti ?clockwise|clockwise)\s*(?:,|from|at|facing|seen from|the)*\s*(.*)$/.exec(
      plain,
    );
  if (!match)
    return refused(fault("not-a-rotation", `“${text.trim()}” is no rotation. Write CW LE, CCW SE or REV.`));
  const clockwise = /^(?:cw|clockwise)$/.test(match[1] ?? "");
  const end = endOf((match[2] ?? "").replace(/^(?:from |the |facing )+/, ""));
  if (!end)
    return refused(
      fault(
        "end-not-said",
        `${clockwise ? "Clockwise" : "Counter-clockwise"} seen from which end? Add LE for the lead end or SE for the shaft end; the two see it the other way round.`,
      ),
    );
  return { ok: true, rotation: clockwise === (end === "lead") ? "cw-lead-end" : "ccw-lead-end" };
}

function endOf(words: string): MotorEnd | null {
  if (/^(?:le|lead ?end|leads?|ose|opp(?:osite)? ?(?:the )?(?:shaft|se)(?: end)?|rear|back)$/.test(words))
    return "lead";
  return /^(?:se|shaft ?end|shaft|opp(?:osite)? ?(?:le|lead(?: end)?)|front)$/.test(words) ? "shaft" : null;
}

/** As plates print it, and always both ends: "CWLE (clockwise from the lead end, counter-clockwise from the shaft end)". */
export function formatRotation(rotation: Rotation): string {
  if (rotation === "either") return "either way, by its leads or plug";
  const [lead, shaft] =
    rotation === "cw-lead-end" ? ["clockwise", "counter-clockwise"] : ["counter-clockwise", "clockwise"];
  const printed = rotation === "cw-lead-end" ? "CWLE" : "CCWLE";
  return `${printed} (${lead} from the lead end, ${shaft} from the shaft end)`;
}

/** Both ends in the letters of a plate, where there is little room: "CW lead end, CCW shaft end". */
export function shortRotation(rotation: Exclude<Rotation, "either">): string {
  return rotation === "cw-lead-end" ? "CW lead end, CCW shaft end" : "CCW lead end, CW shaft end";
}
