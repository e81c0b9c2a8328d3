import { LABEL_MM, type LabelContent, layoutLabel } from "@/core";

/** The label as it prints: 100 × 60 mm, black on white, no colour needed to read it. */
export function LabelDrawing({ content, width }: { content: LabelContent; width: string }) {
  const { texts, rules, qr } = layoutLabel(content);
  const rows = content.rows.map((row) => `${row.wire}: ${row.role}, ${row.to}`).join("; ");
  return (
    <svg
      className="label"
      display="block"
      width={width}
      viewBox={`0 0 ${LABEL_MM.width} ${LABEL_MM.height}`}
      role="img"
      aria-label={`Label for ${content.unit || "the motor"}: ${rows}`}
    >
      <rect x="0" y="0" width={LABEL_MM.width} height={LABEL_MM.height} fill="#fff" />
      <rect
        x="1"
        y="1"
        width={LABEL_MM.width - 2}
        height={LABEL_MM.height - 2}
        fill="none"
        stroke="#000"
        strokeWidth="0.4"
        rx="2"
      />
      {rules.map((y) => (
        <path key={y} d={`M4 ${y}H96`} stroke="#000" strokeWidth="0.3" />
      ))}
      {qr ? (
        <path
          d={qr.dark
            .map(
              ([row, column]) =>
                `M${qr.x + column * qr.moduleMm} ${qr.y + row * qr.moduleMm}h${qr.moduleMm}v${qr.moduleMm}h${-qr.moduleMm}z`,
            )
            .join("")}
          fill="#000"
          shapeRendering="crispEdges"
        />
      ) : null}
      {texts.map((text) => (
        <text
          key={`${text.x} ${text.y}`}
          x={text.x}
          y={text.y}
          fontSize={text.sizeMm}
          fontWeight={text.bold ? 700 : 400}
          fontFamily="Atkinson Hyperlegible Next Variable, sans-serif"
          fill="#000"
        >
          {text.text}
        </text>
      ))}
    </svg>
  );
}
