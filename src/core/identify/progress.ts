import type { Answer } from "./answers";
import type { Evidence } from "./evidence";
import type { FindingContext } from "./findings/context";
import { partnerProbe } from "./findings/open";
import type { NextProbe } from "./identification";
import { checkingPair, decidingPair, decisivePair, disputedPair, furtherPair, strainedPair } from "./probing";
import { SETTLED } from "./settled";
import { brokenShare, isAnswered, openStakes, stakesOf } from "./stakes";
import {
  apartPair,
  bondPair,
  isJoined,
  type LeadPair,
  legPair,
  unprovedApart,
  unreadWindings,
  untestedGroup,
  wholenessPair,
} from "./wholeness";

/** A question answered this surely stands though builds were left out of the search: they are the rare ones. */
const SURE_OF_THE_REST = 0.999;

/** How far the probing has come with what was asked. */
export interface Progress {
  /** One answer stands for all leads, and nothing is broken. */
  readonly decided: boolean;
  /** That, or the one question that was asked is answered. */
  readonly finished: boolean;
  /** Windings that no reading has run through yet. */
  readonly unread: readonly LeadPair[];
  /** The reading that tells answers apart, while more than one is left. */
  readonly deciding: NextProbe | null;
  /** Once one is left: the reading that proves it. */
  readonly checking: NextProbe | null;
  /** A lead of a group that has to be tested to the shell still. */
  readonly untested: number | null;
}

interface Trust {
  /** Probability of the best answer. */
  readonly confidence: number;
  /** Probability that the readings as weighed are right. */
  readonly trust: number;
  /** False where the search was cut short. */
  readonly complete: boolean;
}

/** @param all the evidence with a slipped reading still in it: what was read is not asked for again. */
export function progressOf(
  context: FindingContext,
  all: Evidence,
  { confidence, trust, complete }: Trust,
): Progress {
  const { sheet, answers, names } = context;
  const best = answers[0] as Answer;
  const { ask } = sheet;
  const broken = brokenShare(answers) > 1 - SETTLED;
  const known = confidence >= SETTLED && complete;
  const decided = known && !broken && unprovedApart(best, all, sheet) === null;
  const unread = unreadWindings(best, context.evidence);
  const whole = wholenessPair(unread, all, sheet, names);
  const asked = stakesOf(answers, ask);
  // Leads that readings join to one group are whole, whatever builds were not looked at.
  const joined = isJoined(all);
  const done =
    ask === "sound"
      ? !broken && unread.length === 0 && (complete || joined || confidence >= SURE_OF_THE_REST)
      : isAnswered(asked, (complete ? SETTLED : SURE_OF_THE_REST) / trust);
  const early = ask !== "all" && done;
  const deciding = (): NextProbe | null => {
    const by = (stakes: typeof asked) => decidingPair(answers, stakes, all, sheet, names);
    return (
      (ask === "sound" ? whole : null) ??
      by(asked) ??
      (broken ? (by(openStakes(answers)) ?? partnerProbe(context)) : null) ??
      (ask === "all" ? (known ? whole : null) : by(stakesOf(answers, "all"))) ??
      (!complete && confidence >= SETTLED ? furtherPair(all, sheet) : null) ??
      disputedPair(best, context.evidence, sheet)
    );
  };
  const checking = (): NextProbe | null =>
    whole ??
    bondPair(best, all, sheet) ??
    apartPair(best, all, sheet) ??
    legPair(best, all, sheet) ??
    checkingPair(best, all, sheet) ??
    strainedPair(best, context.evidence, sheet) ??
    decisivePair(best, context.evidence, sheet);
  const open = decided || early ? null : deciding();
  const shellMatters = decided || (early ? ask === "sound" || sheet.frame.length === 0 : !open);
  return {
    decided,
    finished: decided || early,
    unread,
    deciding: open,
    checking: decided && !early ? checking() : null,
    untested: shellMatters ? untestedGroup(best, all, sheet) : null,
  };
}
