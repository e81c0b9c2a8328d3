import type * as z from "zod/mini";
import { matchRequest } from "../../stock/matchRequest";

/** Where the motor works: what a replacement has to fit. */
export const place = matchRequest.shape.place;
export type MachinePlace = z.output<typeof place>;
