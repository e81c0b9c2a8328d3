import type { Role } from "../motor/role";
import type { Answer } from "./answers";
import type { Break } from "./breaks";
import { breakOf, type Hypothesis, logSum } from "./hypotheses";

/**
 * What the probing is to find out, as classes of hypotheses: two of one class need not be told apart. Beside the roles
 * it is always asked what is open.
 */
export interface Stakes {
  /** Every hypothesis with the number of its class. */
  readonly classed: readonly { readonly hypothesis: Hypothesis; readonly index: number }[];
  /** Probability of each class. */
  readonly shares: readonly number[];
  /** What of a place matters where a lead is not placed yet: equal texts need not be told apart. */
  readonly placeTag: (role: Role | null, node: number) => string;
}

/** The stakes where everything is asked. */
export function stakesOf(list: readonly Answer[]): Stakes {
  return classedBy(list, (hypothesis, answer) => `${answer} ${breakKey(breakOf(hypothesis))}`);
}

/** The stakes where it is asked which leads a break parts, whatever the leads are. */
export function openStakes(list: readonly Answer[]): Stakes {
  return classedBy(list, (hypothesis) => (breakOf(hypothesis) === null ? "" : parting(hypothesis)));
}

/** Which leads hang together under a hypothesis, as a text: each by the first of its group. */
export function parting({ placement: { template, nodeOf } }: Hypothesis): string {
  const groups = nodeOf.map((node) => (node === null ? null : template.group[node]));
  return groups.map((group) => (group === null ? "-" : groups.indexOf(group))).join();
}

function classedBy(
  list: readonly Answer[],
  keyOf: (hypothesis: Hypothesis, answer: number) => string,
): Stakes {
  const members = list.flatMap((answer, a) =>
    answer.members.map((hypothesis) => ({ hypothesis, key: keyOf(hypothesis, a) })),
  );
  const total = logSum(members.map(({ hypothesis }) => hypothesis.logWeight));
  const indexOf = new Map<string, number>();
  const shares: number[] = [];
  const classed = members.map(({ hypothesis, key }) => {
    const index = indexOf.get(key) ?? indexOf.size;
    indexOf.set(key, index);
    shares[index] = (shares[index] ?? 0) + Math.exp(hypothesis.logWeight - total);
    return { hypothesis, index };
  });
  return { classed, shares, placeTag: (_, node) => String(node) };
}

function breakKey(broken: Break | null): string {
  if (!broken) return "";
  return broken.kind === "section" ? `s${broken.section}` : `${broken.kind[0]}${broken.node}`;
}

/** Probability that something is open. */
export function brokenShare(list: readonly Answer[]): number {
  const members = list.flatMap(({ members }) => members);
  const total = logSum(members.map(({ logWeight }) => logWeight));
  const broken = members.filter((member) => breakOf(member) !== null);
  return broken.length === 0 ? 0 : Math.exp(logSum(broken.map(({ logWeight }) => logWeight)) - total);
}
