import type { ReactNode } from "react";
import look from "./FieldFault.module.css";

/** What is wrong with what stands in a field, under it, read out at once; with nothing wrong it waits there unseen. */
export function FieldFault({ id, children }: { readonly id: string; readonly children: ReactNode }) {
  return (
    <p id={id} role="alert" className={look.fault}>
      {children}
    </p>
  );
}
