import Box from "@mui/material/Box";
import type { CheckFinding, Compartment } from "@/core/wiring";
import { Mark } from "../parts/Verdict";
import { useWords } from "../words/UsageProvider";
import { usePlaceName } from "../words/usePlaceName";

interface Props {
  readonly findings: readonly CheckFinding[];
  readonly label: string;
  readonly name: (lead: string) => string;
  readonly compartment: Pick<Compartment, "devices">;
}

/** Findings of a check, one under the other: mark, place, what would happen, how to mend it. */
export function FindingList({ findings, label, name, compartment }: Props) {
  const placeName = usePlaceName();
  const words = useWords();
  if (findings.length === 0) return null;
  return (
    <Box
      component="ul"
      aria-label={label}
      sx={{ listStyle: "none", m: 0, p: 0, borderTop: "1px solid", borderColor: "divider" }}
    >
      {findings.map(({ code, weight, state, leads, places, says, mend }) => (
        <Box
          component="li"
          key={`${code} ${state} ${leads.join()} ${says}`}
          sx={{ display: "flex", gap: 2.5, borderBottom: "1px solid", borderColor: "divider", py: 1.5 }}
        >
          <Box sx={{ pt: 0.5 }}>
            <Mark weight={weight} />
          </Box>
          <Box sx={{ minWidth: 0 }}>
            {leads.length + places.length > 0 && weight !== "good" ? (
              <Box sx={{ fontSize: "0.875rem", color: "text.secondary" }}>
                {[...leads.map(name), ...places.map((place) => placeName(compartment, place))].join(" · ")}
              </Box>
            ) : null}
            <span>
              {code === "capped-volts"
                ? `${leads.map(name).join()}: ${words(says.charAt(0).toLowerCase() + says.slice(1))}`
                : words(says)}
            </span>
            {mend ? <Box sx={{ fontWeight: 650 }}>{words(mend)}</Box> : null}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
