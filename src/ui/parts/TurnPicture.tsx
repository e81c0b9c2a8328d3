import Box from "@mui/material/Box";
import type { Rotation } from "@/core";

/** A turn as it is seen from both ends of the motor: the leads come out at one, the shaft at the other. */
export function TurnPicture({ rotation }: { rotation: Exclude<Rotation, "either"> }) {
  const clockwise = rotation === "cw-lead-end";
  return (
    <Box
      component="svg"
      role="img"
      aria-label={`${clockwise ? "Clockwise" : "Counter-clockwise"} seen from the lead end, ${clockwise ? "counter-clockwise" : "clockwise"} seen from the shaft end`}
      viewBox="0 0 220 104"
      sx={{ width: 220, maxWidth: "100%", display: "block" }}
      fill="none"
      stroke="currentColor"
      strokeWidth="2"
    >
      <End x={54} clockwise={clockwise}>
        <path d="M44 74v14M54 76v14M64 74v14" />
      </End>
      <End x={166} clockwise={!clockwise}>
        <circle cx="166" cy="44" r="7" fill="currentColor" />
      </End>
      <g fill="currentColor" stroke="none" fontSize="13" textAnchor="middle">
        <text x="54" y="102">
          lead end
        </text>
        <text x="166" y="102">
          shaft end
        </text>
      </g>
    </Box>
  );
}

/** One end: the body's circle, and around it the way it turns. */
function End({ x, clockwise, children }: { x: number; clockwise: boolean; children: React.ReactNode }) {
  const way = clockwise ? 1 : -1;
  return (
    <>
      <circle cx={x} cy="44" r="28" />
      {children}
      <g stroke="var(--mui-palette-primary-main)" strokeWidth="3">
        <path d={`M${x - 36 * way} 30A39 39 0 0 ${clockwise ? 1 : 0} ${x + 30 * way} 19`} />
        <path d={`M${x + 30 * way} 19l${-3 * way} -9M${x + 30 * way} 19l${-10 * way} 1`} />
      </g>
    </>
  );
}
