import { type Fault, fault, type Refused, refused } from "./fault";
import { parseNumber } from "./number";

/** A motor's speed as its plate gives it: the top speed, how many there are, or the poles. */
export interface PlateSpeed {
  readonly rpm?: number;
  readonly speeds?: number;
  readonly poles?: number;
}

const POLES = [2, 4, 6, 8, 10, 12, 16];

/**
 * Reads plate speed as a hand types it: "1075", "1,075 rpm", "1075/3SPD", "1075 3 speed", "825/1075" (two speeds, the
 * top one counts), "6 pole", "variable 600-1300".
 */
export function parseSpeed(text: string): { ok: true; speed: PlateSpeed } | Refused {
  let rest = text.trim();
  const take = (pattern: RegExp): RegExpExecArray | null => {
    const match = pattern.exec(rest);
    if (match) rest = rest.replace(match[0], " ").trim();
    return match;
  };
  const count = take(/[/\s,-]*(\d{1,2})\s*-?\s*(?:spd|speeds?|sp)\b\.?/i);
  const poles = take(/[/\s,-]*\b(\d{1,2})\s*-?\s*(?:poles?|p)\b\.?/i);
  const varies = /\bvar(?:iable)?\b/i.test(rest);
  rest = rest.replace(/\b(?:rpm|r\/min|min-1|variable|var)\b\.?/gi, " ").trim();
  const figures = rest === "" ? [] : rest.split(/\s*[/–-]\s*|\s+/).map(parseNumber);
  if (figures.includes(null) || (figures.length === 0 && !poles && !count)) return refused(notSpeed(text));
  const rpms = figures.filter((value): value is number => value !== null);
  if (rpms.some((rpm) => rpm < 50 || rpm > 20_000))
    return refused(fault("out-of-range", "Speeds of these motors lie between 50 and 20 000 rpm."));
  const speeds = count ? Number(count[1]) : rpms.length > 1 && !varies ? rpms.length : undefined;
  if (speeds !== undefined && (speeds < 1 || speeds > 10))
    return refused(fault("out-of-range", "These motors have one to ten speeds."));
  if (poles && !POLES.includes(Number(poles[1])))
    return refused(fault("out-of-range", "A motor has 2, 4, 6, 8, 10, 12 or 16 poles."));
  return {
    ok: true,
    speed: {
      ...(rpms.length > 0 ? { rpm: Math.max(...rpms) } : {}),
      ...(speeds === undefined ? {} : { speeds }),
      ...(poles ? { poles: Number(poles[1]) } : {}),
    },
  };
}

function notSpeed(text: string): Fault {
  return fault("not-a-speed", `“${text.trim()}” is no speed. Write 1075, 1075/3SPD or 6 pole.`);
}
