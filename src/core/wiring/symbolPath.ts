import type { DrawnSymbol } from "./drawnDevices";

/** Half a capacitor's plate, and half of what lies between two. */
const PLATE = 8;
const BETWEEN = 3;
const MOTOR_RADIUS = 15;

/**
 * The trade's public symbols as one path in the drawing's units, x to the right and y down, in the letters of SVG:
 * capacitor, contact (struck through where it rests closed), motor, earth. The same on the screen, in a saved drawing and on paper.
 */
export function symbolPath(symbol: DrawnSymbol): string {
  if (symbol.kind === "capacitor") {
    const { from, to, x } = symbol;
    const [high, low] = from.y <= to.y ? [from, to] : [to, from];
    const middle = (high.y + low.y) / 2;
    const plate = (y: number) => `M${x - PLATE} ${y}H${x + PLATE}`;
    return [
      `M${high.x} ${high.y}H${x}V${middle - BETWEEN}`,
      plate(middle - BETWEEN),
      plate(middle + BETWEEN),
      `M${x} ${middle + BETWEEN}V${low.y}H${low.x}`,
    ].join("");
  }
  const { x, y } = symbol.at;
  switch (symbol.kind) {
    case "contact":
      return `M${x - 12} ${y}H${x - 4}M${x - 4} ${y - 7}V${y + 7}M${x + 4} ${y - 7}V${y + 7}M${x + 4} ${y}H${x + 12}${symbol.rests === "closed" ? `M${x - 9} ${y + 8}L${x + 9} ${y - 8}` : ""}`;
    case "motor":
      // A circle, and the letter in it.
      return `M${x - MOTOR_RADIUS} ${y}A${MOTOR_RADIUS} ${MOTOR_RADIUS} 0 1 0 ${x + MOTOR_RADIUS} ${y}A${MOTOR_RADIUS} ${MOTOR_RADIUS} 0 1 0 ${x - MOTOR_RADIUS} ${y}M${x - 6} ${y + 6}V${y - 6}L${x} ${y + 2}L${x + 6} ${y - 6}V${y + 6}`;
    case "ground":
      return `M${x} ${y - 8}V${y}M${x - 11} ${y}H${x + 11}M${x - 7} ${y + 5}H${x + 7}M${x - 3} ${y + 10}H${x + 3}`;
  }
}
