import type { Sketch } from "./entries";

const LIT = "var(--mui-palette-primary-main)";
const INK = "currentColor";
const WIDTH = 168;
const HEIGHT = 84;

/** The small picture beside a word; what the word means is lit. */
export function WordSketch({ sketch, word }: { sketch: Sketch; word: string }) {
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`Sketch: ${word}`}
      fill="none"
      stroke={INK}
      strokeWidth="2"
    >
      <Shape sketch={sketch} />
    </svg>
  );
}

function Shape({ sketch }: { sketch: Sketch }) {
  switch (sketch.of) {
    case "joined":
      return <Joined lit={sketch.lit} />;
    case "taps":
      return <Taps lit={sketch.lit} />;
    case "turn":
      return <Turn from={sketch.from} way={sketch.way} />;
    case "dual":
      return <Dual lit={sketch.lit} />;
    case "supply":
      return <Supply kind={sketch.kind} />;
    case "clamp":
      return <Clamp />;
  }
}

/** Half circles along a line, as a winding is drawn. */
function coil(x: number, y: number, turns: number): string {
  return `M${x} ${y}${"a7 7 0 0 1 14 0".repeat(turns)}`;
}

function Dot({ x, y, lit }: { x: number; y: number; lit: boolean }) {
  return <circle cx={x} cy={y} r={lit ? 6 : 4} fill={lit ? LIT : INK} stroke="none" />;
}

function Letters({ x, y, lit = false, children }: { x: number; y: number; lit?: boolean; children: string }) {
  return (
    <text x={x} y={y} fontSize="12" textAnchor="middle" fill={lit ? LIT : INK} stroke="none" fontWeight={600}>
      {children}
    </text>
  );
}

function Joined({ lit }: { lit: string }) {
  return (
    <>
      <path d={coil(18, 44, 4)} stroke={lit === "main" ? LIT : INK} />
      <path d={coil(84, 44, 4)} stroke={lit === "start" ? LIT : INK} />
      <path d="M10 44h8M74 44h10M140 44h12" />
      <Dot x={10} y={44} lit={lit === "run-end"} />
      <Dot x={79} y={44} lit={lit === "joint"} />
      <Dot x={152} y={44} lit={lit === "start-end"} />
      <Letters x={16} y={66} lit={lit === "run-end"}>
        R
      </Letters>
      <Letters x={79} y={66} lit={lit === "joint"}>
        C
      </Letters>
      <Letters x={150} y={66} lit={lit === "start-end"}>
        S
      </Letters>
    </>
  );
}

function Taps({ lit }: { lit: string }) {
  const taps = [74, 102, 130];
  return (
    <>
      <path d={coil(18, 36, 4)} />
      <path d="M74 36a7 7 0 0 1 14 0a7 7 0 0 1 14 0a7 7 0 0 1 14 0a7 7 0 0 1 14 0" />
      {taps.map((x, i) => (
        <path key={x} d={`M${x} 36v24`} stroke={lit === "taps" ? LIT : INK} strokeWidth={i === 0 ? 2 : 2} />
      ))}
      <path d="M18 36v24" stroke={lit === "shared" || lit === "duplicate" ? LIT : INK} />
      {lit === "duplicate" ? <path d="M18 44h14v16" stroke={LIT} /> : null}
      <Letters x={18} y={76} lit={lit === "shared"}>
        COM
      </Letters>
      {["HI", "MED", "LO"].map((word, i) => (
        <Letters key={word} x={taps[i] ?? 0} y={76} lit={lit === "taps"}>
          {word}
        </Letters>
      ))}
    </>
  );
}

function Turn({ from, way }: { from: "lead" | "shaft"; way: "cw" | "ccw" }) {
  const cw = way === "cw";
  return (
    <>
      <circle cx="84" cy="42" r="34" />
      {from === "lead" ? (
        <path d="M70 70c-2 8 2 10 0 14M84 72c-2 6 2 8 0 12M98 70c-2 8 2 10 0 14" />
      ) : (
        <circle cx="84" cy="42" r="6" fill={INK} />
      )}
      <path d={cw ? "M66 34a20 20 0 0 1 36 0" : "M102 34a20 20 0 0 0-36 0"} stroke={LIT} strokeWidth="3" />
      <path d={cw ? "M104 24v12h-12" : "M64 24v12h12"} stroke={LIT} strokeWidth="3" />
    </>
  );
}

function Dual({ lit }: { lit: string }) {
  const at = { c: 44, fan: 84, herm: 124 };
  return (
    <>
      <ellipse cx="84" cy="36" rx="66" ry="28" />
      {Object.entries(at).map(([name, x]) => (
        <g key={name}>
          <rect
            x={x - 5}
            y="28"
            width="10"
            height="16"
            fill={lit === name ? LIT : "none"}
            stroke={lit === name ? LIT : INK}
          />
          <Letters x={x} y={78} lit={lit === name}>
            {name.toUpperCase()}
          </Letters>
        </g>
      ))}
    </>
  );
}

function Supply({ kind }: { kind: "split" | "wye" | "high-leg" }) {
  if (kind === "split")
    return (
      <>
        <path d="M20 20h128M20 42h128M20 64h128" />
        <Letters x={84} y={16}>
          L1
        </Letters>
        <Letters x={84} y={38}>
          N
        </Letters>
        <Letters x={84} y={80}>
          L2
        </Letters>
      </>
    );
  if (kind === "wye")
    return (
      <>
        <path d="M84 46V10M84 46l-36 28M84 46l36 28" />
        <Dot x={84} y={46} lit />
        <Letters x={98} y={50} lit>
          N
        </Letters>
      </>
    );
  return (
    <>
      <path d="M40 70L84 12l44 58z" />
      <Dot x={84} y={70} lit={false} />
      <Dot x={84} y={12} lit />
      <Letters x={84} y={84}>
        N
      </Letters>
      <Letters x={120} y={18} lit>
        high
      </Letters>
    </>
  );
}

function Clamp() {
  return (
    <>
      <path d="M60 60a26 26 0 1 1 48 0" stroke={LIT} strokeWidth="4" />
      <rect x="70" y="60" width="28" height="20" />
      <circle cx="84" cy="42" r="6" fill={INK} />
    </>
  );
}
