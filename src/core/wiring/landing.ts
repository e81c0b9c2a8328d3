import type { Identification } from "../identify/identification";
import type { Lead } from "../motor/lead";

/** What the motor is to be landed on, as far as a person chooses it. */
export interface LandingWish {
  readonly supply: "115-neutral" | "208-230-two-lines";
  readonly capacitor: "own" | "dual-fan";
  /** The speed that the switched line feeds, 1 the fastest. */
  readonly speed: number;
}

/** Places a wire of this first plan can go to. */
export type Terminal = "hot" | "return" | "capacitor-1" | "capacitor-2" | "fan" | "capped";

/** One wire of a plan: a motor lead, or a jumper that has to be added. */
export interface LandingStep {
  readonly wire: { readonly lead: string } | { readonly jumperFrom: Terminal };
  readonly to: Terminal;
  readonly because: string;
}

/** A plan to follow one wire at a time, or the reason why there is none. */
export type LandingPlan =
  | { readonly ok: true; readonly steps: readonly LandingStep[]; readonly cautions: readonly string[] }
  | { readonly ok: false; readonly says: string };

/** What a terminal is called at the equipment. */
export function terminalName(terminal: Terminal, wish: LandingWish): string {
  const two = wish.supply === "208-230-two-lines";
  const names: Record<Terminal, string> = {
    hot: two ? "L1, switched" : "L, switched hot",
    return: two ? (wish.capacitor === "dual-fan" ? "L2, the line that feeds C" : "L2") : "N, neutral",
    "capacitor-1": "capacitor, one side",
    "capacitor-2": "capacitor, other side",
    fan: "FAN of the dual capacitor",
    capped: "capped on its own",
  };
  return names[terminal];
}

/**
 * Where each lead goes, for a motor that is settled: 115 V with neutral or 208–230 V with two lines, the run capacitor
 * on its own or on the FAN side of a dual. The switched line feeds the tap and the shared lead returns, so that one
 * switch picks the speed; on a single-speed motor the two lines may change places with no electrical difference.
 */
export function planLanding(id: Identification, leads: readonly Lead[], wish: LandingWish): LandingPlan {
  if (id.status === "fault") return no("Stop: the winding is not fit to run. Land nothing.");
  if (id.status !== "settled")
    return no("The leads are not settled yet. Land nothing until Probe says settled.");
  const plan = PLANS[id.family ?? ""];
  if (!plan)
    return no("There is no landing plan for this kind of motor yet. Follow the drawing on its plate.");
  return plan({ id, leads, wish });
}

interface Task {
  readonly id: Identification;
  readonly leads: readonly Lead[];
  readonly wish: LandingWish;
}

const PLANS: Readonly<Record<string, (task: Task) => LandingPlan>> = {
  "one-winding": oneWinding,
  "two-winding": twoWinding,
  "two-winding-reversible": reversible,
};

const ALWAYS = [
  "Frame ground first, lines last.",
  "Unused leads are live when the motor runs: each capped on its own, never two together.",
];

function twoWinding(task: Task): LandingPlan {
  const { wish } = task;
  if (wish.capacitor === "dual-fan" && wish.supply === "115-neutral") {
    return no(
      "A dual capacitor shares C with a compressor on 208–230 V. A 115-V motor takes a run capacitor of its own.",
    );
  }
  const [runEnd, ...duplicates] = withRole(task, "run-end");
  const [startEnd, ...moreStart] = withRole(task, "start-end");
  const speeds = withRole(task, "speed");
  const used = speeds.filter((lead) => task.id.roles[lead]?.rank === wish.speed);
  const [hot, ...moreHot] = used;
  if (!runEnd || !startEnd) return no("The shared lead or the start end is missing from the sheet.");
  if (!hot) return no(`This motor has no speed ${wish.speed}. Choose another.`);
  const own = wish.capacitor === "own";
  const steps: LandingStep[] = [
    step(
      startEnd,
      own ? "capacitor-1" : "fan",
      "Start end: only ever to the capacitor. On a line it burns the winding.",
    ),
    step(runEnd, "return", "Run end, the lead every speed shares."),
    ...(own ? [capacitorReturn(duplicates[0])] : []),
    step(
      hot,
      "hot",
      speeds.length > used.length ? `Speed ${wish.speed}: one call, one tap.` : "Joint of run and start.",
    ),
  ];
  const idle = [
    ...duplicates
      .slice(own ? 1 : 0)
      .map((lead) => capped(lead, "Duplicate of the shared lead, not needed here.")),
    ...speeds
      .filter((lead) => !used.includes(lead))
      .map((lead) => capped(lead, "Unused speed: it stands at more than line voltage while the motor runs.")),
    ...[...moreHot, ...moreStart].map((lead) => capped(lead, "Second copy of a lead already landed.")),
  ];
  const dual = own
    ? []
    : ["The compressor keeps HERM and C. The FAN side must have the microfarads of the NEW motor’s plate."];
  return { ok: true, steps: [...steps, ...idle], cautions: [...ALWAYS, ...dual] };
}

/** The capacitor's other side belongs on the run end: through its duplicate lead, or by a jumper. */
function capacitorReturn(duplicate: string | undefined): LandingStep {
  return duplicate
    ? step(duplicate, "capacitor-2", "Duplicate of the run end: the capacitor’s other side.")
    : {
        wire: { jumperFrom: "return" },
        to: "capacitor-2",
        because: "This motor has no duplicate lead: a jumper brings the run end’s line to the capacitor.",
      };
}

function oneWinding(task: Task): LandingPlan {
  const ends = withRole(task, "end");
  const [common] = withRole(task, "line-common");
  const speeds = withRole(task, "speed");
  const [back, hot] = common
    ? [common, speeds.find((lead) => task.id.roles[lead]?.rank === task.wish.speed)]
    : [ends[0], ends[1]];
  if (!back || !hot) return no(`This motor has no speed ${task.wish.speed}. Choose another.`);
  const idle = speeds.filter((lead) => lead !== hot);
  return {
    ok: true,
    steps: [
      step(back, "return", common ? "Shared lead of all speeds." : "One end of the winding; either will do."),
      step(hot, "hot", common ? `Speed ${task.wish.speed}: one call, one tap.` : "Other end of the winding."),
      ...idle.map((lead) => capped(lead, "Unused speed: it may stand at more than line voltage.")),
    ],
    cautions: [...ALWAYS, "This motor takes no run capacitor."],
  };
}

function reversible(task: Task): LandingPlan {
  if (task.wish.capacitor === "dual-fan") {
    return no("A reversible motor takes a run capacitor of its own, across its two ends.");
  }
  const [common] = withRole(task, "common");
  const [one, other] = withRole(task, "end");
  if (!common || !one || !other) return no("The joint or an end is missing from the sheet.");
  return {
    ok: true,
    steps: [
      step(one, "capacitor-1", "One end: the capacitor lies across both ends."),
      step(other, "capacitor-2", "Other end: the capacitor’s other side."),
      step(common, "return", "Joint of both windings."),
      {
        wire: { jumperFrom: "capacitor-1" },
        to: "hot",
        because:
          "The line on this end turns the motor one way, on the other end the other way. Bump it and see.",
      },
    ],
    cautions: ALWAYS,
  };
}

function withRole({ id, leads }: Task, role: string): string[] {
  return leads.filter((lead) => id.roles[lead.id]?.role === role).map((lead) => lead.id);
}

function step(lead: string, to: Terminal, because: string): LandingStep {
  return { wire: { lead }, to, because };
}

function capped(lead: string, because: string): LandingStep {
  return step(lead, "capped", because);
}

function no(says: string): LandingPlan {
  return { ok: false, says };
}
