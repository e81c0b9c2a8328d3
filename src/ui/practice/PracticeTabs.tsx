import Box from "@mui/material/Box";
import NextLink from "next/link";
import { TOUCH } from "../theme/measures";

const TABS = [
  { id: "naming", title: "Name the leads", href: "/practice" },
  { id: "wiring", title: "Wire the motor", href: "/practice/wiring" },
  { id: "fault", title: "Find the fault", href: "/practice/fault" },
] as const;

export type PracticeTab = (typeof TABS)[number]["id"];

/** The kinds of practice. */
export function PracticeTabs({ current }: { current: PracticeTab }) {
  return (
    <Box
      component="nav"
      aria-label="Kinds of practice"
      sx={{ display: "flex", gap: 6, mt: 2, borderBottom: "1px solid", borderColor: "divider" }}
    >
      {TABS.map(({ id, title, href }) => (
        <Box
          key={id}
          component={NextLink}
          href={href}
          aria-current={id === current ? "page" : undefined}
          sx={{
            minHeight: TOUCH,
            display: "flex",
            alignItems: "center",
            color: "text.primary",
            textDecoration: "none",
            fontWeight: id === current ? 750 : 450,
            borderBottom: "3px solid",
            borderColor: id === current ? "primary.main" : "transparent",
          }}
        >
          {title}
        </Box>
      ))}
    </Box>
  );
}
