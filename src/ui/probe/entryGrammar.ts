/** What one line of typing at the probe means: which leads, whether the shell, and the value typed after them. */
export interface Entry {
  /** Lead ids named, at most two, in the order typed. */
  readonly leads: readonly string[];
  readonly shell: boolean;
  /** What is left after the leads: the reading, or "" when only a pair was picked. */
  readonly value: string;
}

const SEPARATOR = /^[\s\-–,:;→]+/;
const SHELL = /^(shell|frame|gnd|sh)(?![a-z])/i;

/**
 * Reads a line such as "12.4" (the pair lit up), "WH BK 12.4" (any pair), "wh/bk shell OL", or "WH BK" (pick only).
 * Lead names are matched whole, longest first, so that WH/BK is never taken for WH.
 */
export function readEntry(line: string, names: ReadonlyMap<string, string>): Entry {
  const known = [...names].sort((x, y) => y[1].length - x[1].length);
  const leads: string[] = [];
  let shell = false;
  let rest = line.trim();
  while (leads.length + (shell ? 1 : 0) < 2) {
    const asShell = SHELL.exec(rest);
    const lead = asShell
      ? undefined
      : known.find(([id, name]) => !leads.includes(id) && startsWithName(rest, name));
    if (asShell) shell = true;
    else if (lead) leads.push(lead[0]);
    else break;
    rest = rest.slice(asShell ? asShell[0].length : (lead?.[1].length ?? 0)).replace(SEPARATOR, "");
  }
  return { leads, shell, value: rest };
}

function startsWithName(text: string, name: string): boolean {
  if (text.slice(0, name.length).toLowerCase() !== name.toLowerCase()) return false;
  return !/^[\w/]/.test(text.slice(name.length));
}
