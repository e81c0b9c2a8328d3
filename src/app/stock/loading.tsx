import Typography from "@mui/material/Typography";
import { WHEN_SLOW } from "@/ui/parts/whenSlow";

/** Shown only where the page is slow to come. */
export default function Loading() {
  return (
    <Typography role="status" sx={{ p: 6, color: "text.secondary", ...WHEN_SLOW }}>
      Coming …
    </Typography>
  );
}
