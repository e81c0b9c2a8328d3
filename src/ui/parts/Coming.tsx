import Typography from "@mui/material/Typography";

/** In the place of a part that is brought when it is first shown. */
export function Coming() {
  return <Typography role="status">Coming …</Typography>;
}
