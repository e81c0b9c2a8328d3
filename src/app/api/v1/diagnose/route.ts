import { diagnoseMotor } from "@/contract";
import { diagnose } from "@/core/proving";
import { Problem } from "@/server/problem";
import { served, serveRoutes } from "@/server/serveRoutes";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(diagnoseMotor, ({ body }) => {
    const result = diagnose(body);
    return result.ok
      ? result
      : new Problem(422, "The sheet does not hold together.", { faults: result.faults });
  }),
);
