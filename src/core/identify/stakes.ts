import type { Role, RoleName } from "../motor/role";
import { roleKey } from "../motor/role";
import type { Answer } from "./answers";
import type { Ask } from "./ask";
import type { Break } from "./breaks";
import { breakOf, type Hypothesis, logSum } from "./hypotheses";

/** What the probing is to find out, as classes of hypotheses: two of one class need not be told apart. */
export interface Stakes {
  /** Every hypothesis with the number of its class. */
  readonly classed: readonly { readonly hypothesis: Hypothesis; readonly index: number }[];
  /** Probability of each class, and its key. */
  readonly shares: readonly number[];
  readonly keys: readonly string[];
  /** What of a place matters where a lead is not placed yet: equal texts need not be told apart. */
  readonly placeTag: (role: Role | null, node: number) => string;
}

/** Of a lead that has no place yet, in the key of a class. */
const OPEN = "?";

/** What of a lead's role a question asks about; "" where nothing. */
type RoleTag = (role: Role) => string;

const only =
  (...names: RoleName[]): RoleTag =>
  ({ role }) =>
    names.includes(role) ? role : "";

const TAGS: Readonly<Record<Exclude<Ask, "all" | "sound">, RoleTag>> = {
  speeds: (role) => (role.role === "speed" || role.role.startsWith("main-") ? roleKey(role) : ""),
  capacitor: only("start-end", "run-end", "start", "end"),
  shared: only("run-end", "line-common", "common"),
};

/** The stakes of a question. Where everything is asked, what is open is asked too. */
export function stakesOf(list: readonly Answer[], ask: Ask): Stakes {
  if (ask === "all")
    return classedBy(
      list,
      (hypothesis, a) => `${a} ${breakKey(breakOf(hypothesis))}`,
      (_, node) => String(node),
    );
  if (ask === "sound") return openStakes(list);
  const tag = TAGS[ask];
  const tagOf = (role: Role | null) => (role ? tag(role) : OPEN);
  return classedBy(list, (_, a) => (list[a]?.roles ?? []).map(tagOf).join(), tagOf);
}

/** The stakes where it is asked which leads a break parts, whatever the leads are. */
export function openStakes(list: readonly Answer[]): Stakes {
  return classedBy(
    list,
    (hypothesis) => (breakOf(hypothesis) === null ? "" : parting(hypothesis)),
    () => "",
  );
}

/** Whether one class of a question stands at this probability, with no lead in it left open. */
export function isAnswered({ shares, keys }: Stakes, atLeast: number): boolean {
  const best = shares.reduce((top, share, i) => (share > (shares[top] ?? 0) ? i : top), 0);
  return (shares[best] ?? 0) >= atLeast && !(keys[best] ?? OPEN).split(",").includes(OPEN);
}

/** Which leads hang together under a hypothesis, as a text: each by the first of its group. */
export function parting({ placement: { template, nodeOf } }: Hypothesis): string {
  const groups = nodeOf.map((node) => (node === null ? null : template.group[node]));
  return groups.map((group) => (group === null ? "-" : groups.indexOf(group))).join();
}

function classedBy(
  list: readonly Answer[],
  keyOf: (hypothesis: Hypothesis, answer: number) => string,
  placeTag: Stakes["placeTag"],
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
  return { classed, shares, keys: [...indexOf.keys()], placeTag };
}

function breakKey(broken: Break | null): string {
  if (!broken) return "";
  return broken.kind === "section" ? `s${broken.section}` : `${broken.kind[0]}${broken.node}`;
}

/** Probability that something is open. */
export function brokenShare(list: readonly Answer[]): number {
  const members = list.flatMap((answer) => answer.members);
  const total = logSum(members.map(({ logWeight }) => logWeight));
  const broken = members.filter((member) => breakOf(member) !== null);
  return broken.length === 0 ? 0 : Math.exp(logSum(broken.map(({ logWeight }) => logWeight)) - total);
}
