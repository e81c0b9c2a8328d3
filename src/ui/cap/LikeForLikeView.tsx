"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import type { CapacitorLabel } from "@/core";
import { likeForLike, type ReplacementWay, type ShelfCapacitor } from "@/core/capacitor";
import { Verdict } from "../parts/Verdict";
import { TakeButton } from "./TakeButton";

interface Props {
  readonly label: CapacitorLabel;
  readonly hertz: 50 | 60;
  readonly tolerancePercent?: number | undefined;
  readonly shelf: readonly ShelfCapacitor[];
  /** Nothing is said of a truck that is still looked through, or cannot be asked just now. */
  readonly truck: "known" | "looking" | "away";
}

/** What takes the old capacitor's place while the motors stay: its like from the truck first, then better, then made up. */
export function LikeForLikeView({ label, hertz, tolerancePercent, shelf, truck }: Props) {
  const plan = likeForLike(label, shelf, {
    hertz,
    ...(tolerancePercent === undefined ? {} : { tolerancePercent }),
  });
  const { like, better, otherwise } = plan;
  const known = truck === "known";
  const none = known && like.length + better.length + otherwise.length === 0;
  return (
    <Box component="section" aria-label="Which capacitor" aria-live="polite">
      <Typography sx={{ fontSize: "1.375rem", fontWeight: 700, lineHeight: 1.25 }}>{plan.use}</Typography>
      {truck === "looking" ? (
        <Typography role="status" sx={{ mt: 3 }}>
          Looking through the truck …
        </Typography>
      ) : null}
      <Ways title="Like for like" ways={like} />
      <Ways title="Higher volts: serves as well" ways={better} />
      {known && !none && like.length + better.length === 0 ? (
        <Typography sx={{ mt: 3, color: "warning.main", fontWeight: 600 }}>
          None like it on the truck: order one. Until then:
        </Typography>
      ) : null}
      {none ? (
        <Typography sx={{ mt: 3, color: "warning.main", fontWeight: 600 }}>
          Nothing on the truck makes it within the tolerance and volts: order one.
        </Typography>
      ) : null}
      <Ways title="Made of what is there" ways={otherwise} marked />
      {truck === "looking" ? null : (
        <Box component="ul" sx={{ m: 0, mt: 3, pl: 5, color: "text.secondary" }}>
          {plan.notes.map((note) => (
            <li key={note}>{note}</li>
          ))}
        </Box>
      )}
    </Box>
  );
}

function Ways({
  title,
  ways,
  marked = false,
}: {
  title: string;
  ways: readonly ReplacementWay[];
  marked?: boolean;
}) {
  if (ways.length === 0) return null;
  return (
    <Box component="section" aria-label={title} sx={{ mt: 3 }}>
      <Typography variant="h3">{title}</Typography>
      <Box component="ul" sx={{ listStyle: "none", m: 0, mt: 1, p: 0 }}>
        {ways.map(({ parts, says, permanence }) => (
          <Box
            component="li"
            key={says}
            sx={{
              display: "flex",
              gap: 3,
              justifyContent: "space-between",
              alignItems: "center",
              borderTop: "1px solid",
              borderColor: "divider",
              py: 1.5,
            }}
          >
            <Box component="span" sx={{ minWidth: 0 }}>
              {marked ? (
                <>
                  <Verdict
                    weight={permanence === "permanent" ? "good" : "again"}
                    word={permanence === "permanent" ? "permanent" : "stopgap"}
                  />{" "}
                </>
              ) : null}
              {says}
            </Box>
            <Box
              component="span"
              sx={{ display: "flex", gap: 1, flexWrap: "wrap", justifyContent: "flex-end" }}
            >
              {parts.map(({ id, name, count }) => (
                <TakeButton key={id} item={id} name={name} count={count} />
              ))}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
