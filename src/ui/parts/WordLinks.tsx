import Box from "@mui/material/Box";
import { useWords } from "../words/UsageProvider";
import { PlainLink } from "./PlainLink";

/** Words of a page that mean one thing here, each leading to what it means. */
export function WordLinks({ words }: { words: readonly (readonly [id: string, word: string])[] }) {
  const say = useWords();
  return (
    <Box
      component="nav"
      aria-label="What the words mean"
      className="no-print"
      sx={{ display: "flex", gap: 3, flexWrap: "wrap", mt: 3, color: "text.secondary", fontSize: "0.875rem" }}
    >
      {words.map(([id, word]) => (
        <PlainLink key={id} href={`/words#${id}`}>
          {say(word)}
        </PlainLink>
      ))}
    </Box>
  );
}
