import { type DrawnSymbol, symbolPath } from "@/core/wiring";

/** A symbol of the trade in a device's box. */
export function DeviceSymbol({ symbol }: { symbol: DrawnSymbol }) {
  return <path d={symbolPath(symbol)} fill="none" stroke="currentColor" strokeWidth="1.5" />;
}
