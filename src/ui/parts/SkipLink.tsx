import Box from "@mui/material/Box";

/** Where the page's own matter begins. */
export const MAIN = "main";

/** The first stop of the Tab key: past the bars to what the page is about. Seen only while it has the focus. */
export function SkipLink() {
  return (
    <Box
      component="a"
      href={`#${MAIN}`}
      sx={{
        position: "absolute",
        left: 8,
        top: -80,
        zIndex: 10,
        p: 3,
        bgcolor: "background.paper",
        color: "text.primary",
        border: "1.5px solid",
        "&:focus": { top: 8 },
      }}
    >
      To the page
    </Box>
  );
}
