import { PRIOR } from "./causes";
import type { Change, Suspect } from "./suspect";

/** Suspects on a build, by the build, kept: their machines hang on them. */
const kept = new WeakMap<Suspect, WeakMap<Suspect, Suspect>>();

/**
 * The same things that can be the matter, on a sound motor that is built unlike what is usual: where such a build explains
 * the figures better than the one that was fitted, its faults are weighed as well, or a fault passes for the build.
 */
export function onOddBuild(build: Suspect, suspects: readonly Suspect[]): Suspect[] {
  const known = kept.get(build) ?? new WeakMap<Suspect, Suspect>();
  kept.set(build, known);
  return suspects
    .filter(({ cause }) => cause !== "as-planned")
    .map((suspect) => {
      const both = known.get(suspect) ?? together(build, suspect);
      known.set(suspect, both);
      return both;
    });
}

function together(build: Suspect, suspect: Suspect): Suspect {
  const share = build.prior / (PRIOR.sound + PRIOR.oddlyBuilt);
  return {
    ...suspect,
    prior: suspect.prior * share,
    change: changed(build.change, suspect.change),
    severity: suspect.severity && {
      ...suspect.severity,
      more: changed(build.change, suspect.severity.more),
    },
    ...(build.loose === undefined ? {} : { loose: build.loose }),
  };
}

/** A build moves parameters alone; a fault comes after it. */
function changed({ parameters: built }: Change, change: Change): Change {
  if (!built) return change;
  const { parameters } = change;
  return { ...change, parameters: parameters ? (p) => parameters(built(p)) : built };
}
