import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { COLOUR_WORD, type ColourLetters, type likelyColours } from "@/core";
import { WirePiece } from "../parts/LeadTag";
import { MONO } from "../theme/faces";
import { TOUCH } from "../theme/measures";
import { useWords } from "../words/UsageProvider";

interface Props {
  /** What the touched place may be, likeliest first. */
  readonly offered: ReturnType<typeof likelyColours>;
  /** The wire's own color, where it is its stripe that was touched. */
  readonly base: ColourLetters | null;
  readonly onTake: (letters: ColourLetters) => void;
  /** The wire has a stripe, which is touched next. */
  readonly onStriped: (base: ColourLetters) => void;
}

/** The colors that a touched wire may have, each to be confirmed by a touch. */
export function OfferedColors({ offered, base, onTake, onStriped }: Props) {
  const words = useWords();
  const [likeliest] = offered;
  if (!likeliest) return null;
  return (
    <Box
      role="group"
      aria-label={words("Which color it is")}
      sx={{ display: "flex", gap: 2, flexWrap: "wrap", mt: 2 }}
    >
      {offered.map(({ letters, probability }, i) => (
        <Button
          key={letters}
          variant={i === 0 ? "contained" : "outlined"}
          color={i === 0 ? "primary" : "inherit"}
          onClick={() => onTake(letters)}
          sx={{ minHeight: TOUCH, gap: 2 }}
        >
          <WirePiece lead={pieceOf(base, letters)} width={30} height={14} />
          <Box component="span" sx={{ fontFamily: MONO }}>
            {base === null ? letters : `${base}/${letters}`}
          </Box>
          <span>
            {COLOUR_WORD[letters]}, {Math.round(probability * 100)} %
          </span>
        </Button>
      ))}
      {base === null && likeliest ? (
        <Button color="inherit" onClick={() => onStriped(likeliest.letters)} sx={{ minHeight: TOUCH }}>
          It is {COLOUR_WORD[likeliest.letters]} with a stripe
        </Button>
      ) : null}
    </Box>
  );
}

function pieceOf(base: ColourLetters | null, letters: ColourLetters) {
  return base === null
    ? { id: letters, colour: COLOUR_WORD[letters] }
    : { id: letters, colour: COLOUR_WORD[base], stripe: COLOUR_WORD[letters] };
}
