"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import type { CapacitorChoice, Plate } from "@/core";
import { parseCapacitor } from "@/core";
import {
  type Combination,
  estimateRun,
  type PresentCapacitor,
  planRun,
  type RunSchool,
  type ShelfCapacitor,
} from "@/core/capacitor";
import { Verdict } from "../parts/Verdict";
import { TakeButton } from "./TakeButton";

const MOST_COMBINATIONS = 8;

/** The capacitor in place now, as far as its label was typed. */
export function presentOf(text: string): PresentCapacitor {
  const read = parseCapacitor(text);
  if (!read.ok || read.label.kind === "start") return { kind: "none" };
  const { tolerancePercent: _, ...label } = read.label;
  return label;
}

/** The run capacitor for the new motor: both schools where there are two, with the parts on the shelf that make them. */
export function RunPlanView({
  plate,
  old,
  choice,
  shelf,
  short = false,
}: {
  plate: Plate;
  old: Plate;
  choice: CapacitorChoice;
  /** Null while it is looked through: nothing is said of it then. */
  shelf: readonly ShelfCapacitor[] | null;
  /** The first combination of each school only. */
  short?: boolean;
}) {
  const { runCapacitor } = plate;
  const hertz = (plate.hertz ?? old.hertz ?? [60]).includes(60) ? 60 : 50;
  if (!runCapacitor) return <NoRating plate={plate} old={old} hertz={hertz} />;
  if (!shelf) return <Typography role="status">Looking through the truck …</Typography>;
  const plan = planRun(
    {
      newMotor: runCapacitor,
      present: presentOf(choice.present),
      hertz,
      ...(choice.tolerancePercent === undefined ? {} : { tolerancePercent: choice.tolerancePercent }),
      ...(choice.lifeClass === undefined ? {} : { lifeClass: choice.lifeClass }),
    },
    shelf,
  );
  return (
    <Box sx={{ display: "grid", gap: 5 }}>
      {plan.schools.map((school) => (
        <School
          key={school.school}
          school={school}
          short={short}
          preferred={choice.school === school.school}
        />
      ))}
      {short ? null : (
        <Box component="ul" sx={{ m: 0, pl: 5, color: "text.secondary" }}>
          {plan.notes.map((note) => (
            <li key={note}>{note}</li>
          ))}
        </Box>
      )}
    </Box>
  );
}

function School({ school, short, preferred }: { school: RunSchool; short: boolean; preferred: boolean }) {
  const { combinations, duals } = school;
  const list = short ? combinations.slice(0, 1) : combinations.slice(0, MOST_COMBINATIONS);
  return (
    <Box
      component="section"
      aria-label={school.title}
      sx={{ borderLeft: "3px solid", borderColor: preferred ? "primary.main" : "divider", pl: 3 }}
    >
      <Typography variant="h3" sx={{ fontSize: "1.0625rem", fontWeight: 700 }}>
        {school.title}
        {preferred ? " (chosen)" : ""}
      </Typography>
      {school.says.map((line) => (
        <Typography key={line} sx={{ mt: 1 }}>
          {line}
        </Typography>
      ))}
      {school.dual ? (
        duals.length > 0 ? (
          <Box component="ul" sx={LIST}>
            {duals.map(({ id, name, count }) => (
              <Box component="li" key={id} sx={ROW}>
                <span>
                  {name}, {count} on the truck
                </span>
                <TakeButton item={id} name={name} />
              </Box>
            ))}
          </Box>
        ) : (
          <Typography sx={{ mt: 1, color: "warning.main", fontWeight: 600 }}>
            No such dual on the truck: to be ordered.
          </Typography>
        )
      ) : null}
      {school.school === "keep-one-dual" ? null : list.length > 0 ? (
        <Box component="ul" sx={LIST}>
          {list.map((made) => (
            <Made key={made.says} made={made} />
          ))}
        </Box>
      ) : (
        <Typography sx={{ mt: 1, color: "warning.main", fontWeight: 600 }}>
          Nothing on the truck makes this value within the tolerance and volts: to be ordered.
        </Typography>
      )}
    </Box>
  );
}

function Made({ made }: { made: Combination }) {
  const counts = new Map<string, { name: string; count: number }>();
  for (const { id, name } of made.parts) counts.set(id, { name, count: (counts.get(id)?.count ?? 0) + 1 });
  return (
    <Box component="li" sx={ROW}>
      <Box component="span" sx={{ minWidth: 0 }}>
        <Verdict
          weight={made.permanence === "permanent" ? "good" : "again"}
          word={made.permanence === "permanent" ? "permanent" : "stopgap"}
        />{" "}
        {made.says}
      </Box>
      <Box component="span" sx={{ display: "flex", gap: 1, flexWrap: "wrap", justifyContent: "flex-end" }}>
        {[...counts].map(([id, { name, count }]) => (
          <TakeButton key={id} item={id} name={name} count={count} />
        ))}
      </Box>
    </Box>
  );
}

function NoRating({ plate, old, hertz }: { plate: Plate; old: Plate; hertz: 50 | 60 }) {
  const watts = plate.powerWatts ?? old.powerWatts;
  const volts = (plate.volts ?? old.volts)?.at(-1)?.high;
  const estimate = estimateRun({
    ...(watts ? { powerWatts: Math.max(...watts) } : {}),
    ...(volts === undefined ? {} : { supplyVolts: volts }),
    hertz,
  });
  return (
    <Box>
      <Typography>
        The new motor’s plate gives no run capacitor yet: type it in Plate, or choose the motor in Match.
        Without one no value is offered.
      </Typography>
      {estimate ? (
        <Box sx={{ mt: 3, borderLeft: "4px solid", borderColor: "warning.main", pl: 3 }}>
          <Verdict weight="again" word="An estimate only" />
          <Typography sx={{ mt: 1 }}>{estimate.says}</Typography>
          <Typography sx={{ color: "text.secondary", fontSize: "0.875rem" }}>
            Source: {estimate.source}.
          </Typography>
        </Box>
      ) : null}
    </Box>
  );
}

const LIST = { listStyle: "none", m: 0, mt: 2, p: 0 } as const;
const ROW = {
  display: "flex",
  gap: 3,
  justifyContent: "space-between",
  alignItems: "center",
  borderTop: "1px solid",
  borderColor: "divider",
  py: 1.5,
} as const;
