import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { formatOhms, type OhmsShown } from "@/core";
import { MONO } from "../theme/faces";

interface Props {
  /** Both probes are on something. */
  readonly touching: boolean;
  readonly shown: OhmsShown | null;
  readonly steady: boolean;
  readonly resolutionOhms: number;
  readonly onNote: () => void;
}

/** The meter on the bench: what it shows, whether it has come to rest, and the note. */
export function MeterDisplay({ touching, shown, steady, resolutionOhms, onNote }: Props) {
  return (
    <Box
      component="section"
      aria-label="Meter"
      sx={{
        mt: 4,
        border: "1.5px solid",
        borderColor: "text.primary",
        p: 3,
        display: "flex",
        alignItems: "center",
        flexWrap: "wrap",
        gap: 4,
      }}
    >
      <Box
        role="status"
        aria-label="Display"
        aria-live="off"
        sx={{ fontFamily: MONO, fontSize: "2.5rem", fontWeight: 700, minWidth: 190 }}
      >
        {!touching || !shown ? "– – –" : "open" in shown ? "OL" : formatOhms(shown.ohms, resolutionOhms)}
      </Box>
      <Typography sx={{ minWidth: 80, fontWeight: 600, color: steady ? "success.main" : "text.secondary" }}>
        {!touching ? "probes open" : steady ? "steady" : "settling"}
      </Typography>
      <Button
        variant="contained"
        disabled={!steady}
        onClick={onNote}
        sx={{ minHeight: 56, px: 6, ml: "auto" }}
      >
        Note it
      </Button>
    </Box>
  );
}
