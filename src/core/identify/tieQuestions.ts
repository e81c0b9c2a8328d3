import { familyById } from "../motor/families";
import { type Role, roleKey } from "../motor/role";

import type { Identification } from "./identification";
import type { Observation } from "./observation";

/** One thing that would settle a tie, with its answers. */
export interface TieQuestion {
  /** The lead that is asked about; null where it is the kind of motor. */
  readonly lead: string | null;
  readonly answers: readonly {
    readonly says: string;
    readonly confidence: number;
    /** What is seen then, but for how it was seen. */
    readonly observed: Unattributed<Observation>;
  }[];
}

type Unattributed<T> = T extends unknown ? Omit<T, "by"> : never;

/** Answers under this are not asked about. */
const LEAST_ASKED = 0.005;
/** More questions than this are too many to choose among: one answered makes others needless. */
const MOST_QUESTIONS = 2;

/**
 * The questions that settle a tie: which kind of motor it is, where kinds differ; else, of the leads whose part differs
 * among the answers that are left, those that part them best.
 */
export function tieQuestions(answer: Identification): TieQuestion[] {
  if (answer.status !== "tied" || answer.family === null) return [];
  // None of the kinds is likely: which of them it is, or which lead is what in one, is no question.
  if (answer.findings.some(({ code }) => code === "unknown-build")) return [];
  const left = [
    { family: answer.family, confidence: answer.confidence, roles: answer.roles },
    ...answer.alternatives.filter(({ confidence }) => confidence >= LEAST_ASKED),
  ];
  const kinds = [...new Set(left.map(({ family }) => family))];
  if (kinds.length > 1)
    return [
      {
        lead: null,
        answers: kinds.map((family) => ({
          says: familyById(family)?.title ?? family,
          confidence: total(left.filter((one) => one.family === family)),
          observed: { family },
        })),
      },
    ];
  const family = familyById(answer.family);
  return Object.keys(answer.roles)
    .map((lead) => {
      const byRole = new Map<string, { role: Role; confidence: number; speeds: number }>();
      for (const { roles, confidence } of left) {
        const role = roles[lead];
        if (!role) continue;
        const speeds = Math.max(0, ...Object.values(roles).map(({ rank }) => rank ?? 0));
        const known = byRole.get(roleKey(role));
        byRole.set(roleKey(role), { role, speeds, confidence: (known?.confidence ?? 0) + confidence });
      }
      return { lead, parts: [...byRole.values()] };
    })
    .filter(({ parts }) => parts.length > 1 && new Set(parts.map(({ role }) => plainKey(role))).size > 1)
    .sort((a, b) => worst(a.parts) - worst(b.parts))
    .slice(0, MOST_QUESTIONS)
    .map(({ lead, parts }) => ({
      lead,
      answers: parts
        .sort((a, b) => b.confidence - a.confidence)
        .map(({ role, confidence, speeds }) => ({
          says: family?.roleWords(role, speeds) ?? role.role,
          confidence,
          observed: {
            lead,
            role: { role: role.role, ...(role.rank === undefined ? {} : { rank: role.rank }) },
          },
        })),
    }));
}

/** Groups carry numbers only to tell them apart: nobody can see them. */
function plainKey({ role, rank }: Role): string {
  return `${role}/${rank ?? ""}`;
}

function total(some: readonly { readonly confidence: number }[]): number {
  return some.reduce((sum, { confidence }) => sum + confidence, 0);
}

/** What stays open at the most, whichever answer is given. */
function worst(parts: readonly { readonly confidence: number }[]): number {
  return Math.max(...parts.map(({ confidence }) => confidence)) / total(parts);
}
