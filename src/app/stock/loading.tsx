import Typography from "@mui/material/Typography";
import slow from "@/ui/parts/slow.module.css";

/** Shown only where the page is slow to come. */
export default function Loading() {
  return (
    <Typography role="status" className={slow.appears} sx={{ p: 6, color: "text.secondary" }}>
      Coming …
    </Typography>
  );
}
